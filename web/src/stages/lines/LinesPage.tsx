import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { memo, useState, type ReactNode } from 'react';
import { lineOf, type Hull, type LinesPart } from '@kalotrope/core/lines';
import { selectLiveHull, selectProject } from '../../state/selectors';
import { Slip } from '../../controls/Slip';
import { useAppSelector } from '../../state/store';
import { Tick, ViewTabs } from '../../controls/ViewTabs';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { CardPage } from './card/CardPage';
import { DrawnFrom } from './DrawnFrom';
import { Fairing } from './Fairing';
import { LinesDrawing, type LinesLook } from './LinesDrawing';
import { MarkOutDrawing, MarkOutList, type Board } from './MarkOut';
import { OffsetsTable } from './OffsetsTable';
import { PointNumbers } from './PointNumbers';
import { TableTools } from './TableTools';
import { Underlays, useClicked, type Tool } from './Underlays';

const HULL = <InTheRound />;

type Show = 'drawing' | 'table' | 'board' | 'card';

/**
 * The stage: one of three views, and the slip. What follows every change of the lines is kept apart from what does not:
 * while a point is dragged, only the drawing and the point's own figures are drawn again.
 */
export default function LinesPage() {
  const hasHull = useAppSelector((state) => selectLiveHull(state) !== null);
  const [look, setLook] = useState<LinesLook>({ comb: 'none', isSighted: false });
  const [board, setBoard] = useState<Board>({ station: 0, half: 'starboard' });
  const [tool, setTool] = useState<Tool | null>(null);
  const [station, setStation] = useState<string | null>(null);
  // a table that is still to be filled in is what one has come for
  const isUnfilled = useAppSelector(
    (state) => selectProject(state)?.lines.longitudinals.every(({ points }) => points.length < 2) ?? false,
  );
  // and so is a card that the boat is drawn from
  const hasCard = useAppSelector((state) => selectProject(state)?.lines.card !== undefined);
  const [view, setView] = useState<Show>(hasCard ? 'card' : isUnfilled ? 'table' : 'drawing');
  const lineId = useAppSelector(({ screen: { picked: choice } }) => lineOf(choice));
  const lineName = useAppSelector(
    (state) => selectProject(state)?.lines.longitudinals.find((other) => other.id === lineId)?.name,
  );
  if (!hasHull) return null;
  const head = <Head view={view} onView={setView} look={look} onLook={setLook} />;
  if (view === 'card') return <CardPage head={head} />;
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        {head}
        {view === 'drawing' && <LinesWithPictures look={look} tool={tool} onTool={setTool} />}
        {view === 'table' && (
          <WithLines of={({ part }) => <OffsetsTable part={part} station={station} onStation={setStation} />} />
        )}
        {view === 'board' && <WithLines of={(lines) => <MarkOutDrawing {...lines} board={board} />} />}
      </Box>
      <Slip
        stage="lines"
        title={view === 'board' ? 'Mark out a section' : (lineName ?? 'Pick a point')}
        numbers={
          view === 'board' ? (
            <WithLines of={(lines) => <MarkOutList {...lines} board={board} onBoard={setBoard} />} />
          ) : (
            <PointNumbers />
          )
        }
      >
        {view !== 'board' && <DrawnFrom />}
        {view === 'drawing' && <Fairing picked={lineId} />}
        {view === 'drawing' && <Underlays tool={tool} onTool={setTool} />}
        {view === 'table' && (
          <WithLines of={({ part }) => <TableTools part={part} station={station} onStation={setStation} />} />
        )}
      </Slip>
    </>
  );
}

type LinesNow = { readonly hull: Hull; readonly part: LinesPart };

/** What is drawn from the lines as they are now. */
function WithLines({ of }: { readonly of: (lines: LinesNow) => ReactNode }) {
  const hull = useAppSelector(selectLiveHull);
  const part = useAppSelector((state) => selectProject(state)?.lines);
  return hull && part ? of({ hull, part }) : null;
}

type PictureProps = {
  readonly look: LinesLook;
  readonly tool: Tool | null;
  readonly onTool: (tool: Tool | null) => void;
};

function LinesWithPictures({ look, tool, onTool }: PictureProps) {
  const clicked = useClicked(tool, onTool);
  return (
    <WithLines
      of={({ hull, part }) => (
        <LinesDrawing hull={hull} look={look} underlays={part.underlays} clicked={clicked} corner={HULL} />
      )}
    />
  );
}

type HeadProps = LookProps & { readonly view: Show; readonly onView: (view: Show) => void };

const VIEW_NAMES: Readonly<Record<Show, string>> = {
  drawing: 'Three views',
  table: 'The table',
  board: 'Mark out',
  card: 'Bend a card',
};

const Head = memo(function Head({ view, onView, look, onLook }: HeadProps) {
  return (
    <ViewTabs label="Lines as a drawing, a table, a board or a card" names={VIEW_NAMES} view={view} onView={onView}>
      {view === 'drawing' && <Looks look={look} onLook={onLook} />}
    </ViewTabs>
  );
});

type LookProps = { readonly look: LinesLook; readonly onLook: (look: LinesLook) => void };

/** How the views are drawn. */
function Looks({ look, onLook }: LookProps) {
  return (
    <>
      <TextField
        select
        label="Curvature comb"
        value={look.comb}
        // one of the items below
        onChange={({ target }) => onLook({ ...look, comb: target.value as LinesLook['comb'] })}
        sx={{ width: 190, '& .MuiSelect-select': { py: 0.6, fontSize: 14 } }}
      >
        <MenuItem value="none">none</MenuItem>
        <MenuItem value="seen">as each view shows it</MenuItem>
        <MenuItem value="true">of the true curve</MenuItem>
      </TextField>
      <Tick
        label="Sight along"
        hint="The length drawn at an eighth, as one looks along a batten: humps and flats stand out"
        isTicked={look.isSighted}
        onTick={(isSighted) => onLook({ ...look, isSighted })}
      />
    </>
  );
}
