import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { floatWords, loadOfThing, NO_APPROVAL, weightsStage, type FloatLine } from '@kalotrope/core/weights';
import { Figure } from '../../controls/Figure';
import { Slip } from '../../controls/Slip';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { Aboard } from './Aboard';
import { FloatDrawing } from './FloatDrawing';
import { LoadFields } from './LoadFields';
import { Materials } from './Materials';
import { PartsTable } from './PartsTable';

export default function WeightsPage() {
  const derived = useAppSelector(selectDerived);
  const part = useAppSelector((state) => selectProject(state)?.weights);
  const notation = useAppSelector(selectNotation);
  const choice = loadOfThing(useAppSelector(selectPicked));
  if (!derived || !part) return null;
  const { value } = derived.weights;
  const words = floatWords(value, notation);
  const load = part.loads.find(({ id }) => id === choice);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        {value.items.length === 0 ? (
          <Typography sx={{ p: 3 }}>Nothing to weigh yet: the parts come from the panels and all the rest.</Typography>
        ) : (
          <>
            <FloatDrawing panels={derived.panels.value.panels} value={value} choice={load?.id} />
            <Typography variant="body2" color="text.secondary" sx={{ px: 2, py: 1 }}>
              {NO_APPROVAL}
            </Typography>
          </>
        )}
      </Box>
      <Slip
        stage={weightsStage.name}
        title={load?.name ?? 'As she floats'}
        numbers={
          load ? (
            <>
              <LoadFields key={load.id} load={load} />
              {words.filter(({ what }) => WITH_A_LOAD.includes(what)).map(figureOf)}
            </>
          ) : (
            words.map(figureOf)
          )
        }
      >
        <Aboard value={value} />
        <PartsTable items={value.items} />
        <Materials part={part} />
      </Slip>
    </>
  );
}

/** What a load that is moved changes. */
const WITH_A_LOAD: readonly string[] = ['Draught', 'Least freeboard', 'Trim', 'Heel'];

/** What a figure is counted from. */
const FROM: Readonly<Record<string, string>> = {
  Trim: 'From the base from which the table counts its heights',
  Heel: 'From upright as she is drawn',
  Draught: 'From the float line down to her lowest',
};

const figureOf = ({ what, value }: FloatLine) => <Figure key={what} name={what} value={value} why={FROM[what]} />;
