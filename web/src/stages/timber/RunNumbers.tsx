/** The picked piece: its size, its layers, its scarfs, and what it is cut from. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  choosingFor,
  sectionWords,
  USE_NAMES,
  useOfTimber,
  type TimberPlan,
  type TimberRun,
} from '@kalotrope/core/timber';
import { formatWithUnit } from '@kalotrope/core/measure';
import { picked } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = { readonly run: TimberRun; readonly plan: TimberPlan | undefined };

export function RunNumbers({ run, plan }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const shown = (mm: number) => formatWithUnit(mm, notation);
  const use = useOfTimber(run);
  const joins = plan?.joins.filter((join) => join.run === run.id) ?? [];
  return (
    <Box sx={{ mt: 1 }}>
      <Figure name="Section" value={sectionWords(run, notation)} />
      <Figure name="Length" value={shown(run.length)} />
      <Figure name="How many" value={String(run.qty)} />
      {run.layers && (
        <>
          <Figure name="Layers of one" value={`${run.layers.count} of ${shown(run.layers.eachMm)}`} />
          <Figure name="Bends to" value={shown(run.layers.radiusMm)} />
          <Figure
            name="Mould’s radius"
            value={shown(run.layers.mouldMm)}
            why="Layers spring back by about one over the square of their number"
          />
        </>
      )}
      {joins.map(({ copy, at }) => (
        <Figure
          key={copy}
          name={at.length > 1 ? `Scarfs of number ${copy + 1} at` : `Scarf of number ${copy + 1} at`}
          value={at.map(shown).join(', ')}
          why="Middle of the scarf, from the forward end"
        />
      ))}
      {run.layers && (
        <Typography variant="body2" color="text.secondary">
          A rule of thumb: bend a trial strip of the same wood first.
        </Typography>
      )}
      <Typography variant="body2" color="text.secondary">
        {`It is ${USE_NAMES[use]}. Choose for it:`}
      </Typography>
      <ul className="quiet" aria-label="What to choose">
        {choosingFor(use).map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <Button onClick={() => dispatch(picked(null))}>What to buy</Button>
    </Box>
  );
}
