import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Project } from '@kalotrope/core/project';
import {
  areKept,
  laidBatches,
  leftOff,
  pieceOfThing,
  piecesOf,
  pieceThing,
  sheetOfThing,
  sheetsStage,
  tallySheets,
  withZone,
  zoneBetween,
  type CutPart,
  type NestBatch,
} from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { picked, said } from '../../state/screen-slice';
import { selectDerived, selectFound, selectPicked, selectProject } from '../../state/selectors';
import { PartLife } from '../../controls/PartLife';
import { Slip } from '../../controls/Slip';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { ByHand, KeepLayout } from './ByHand';
import { MachineCutting } from './MachineCutting';
import { OfSheet } from './OfSheet';
import { PartTable } from './PartTable';
import { Scribed } from './Scribed';
import { Spares } from './Spares';
import { SearchProgress } from './SearchProgress';
import { OneSheet, PieceNumbers, SheetNumbers } from './SheetNumbers';
import { SheetsDrawing } from './SheetsDrawing';
import { StockSheets } from './StockSheets';
import { shelve, type Shelf } from './shelf';
import { Trimming } from './Trimming';
import { useCutter } from './use-cutter';
import { useNesting } from './use-nesting';
import { WhatItCosts } from './WhatItCosts';

export default function SheetsPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  if (!derived || !project) return null;
  return <Sheets parts={derived.sheets.value.parts} batches={derived.sheets.value.batches} project={project} />;
}

type SheetsProps = {
  readonly parts: readonly CutPart[];
  readonly batches: readonly NestBatch[];
  readonly project: Project;
};

function Sheets({ parts, batches, project }: SheetsProps) {
  const nesting = useNesting(batches, project.sheets.seed);
  const isSearching = useAppSelector((state) => state.derived.isSearching);
  const found = useAppSelector(selectFound);
  const laid = laidBatches(batches, found.sheets ?? []);
  const counts = tallySheets({ parts, batches }, found.sheets ?? []);
  const shelves = shelve(laid);
  const isKept = shelves.length > 0 && areKept(batches);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const piece = parts.flatMap(piecesOf).find(({ id }) => id === pieceOfThing(choice));
  const number = sheetOfThing(choice) ?? 0;
  const sheet = shelves[number - 1];
  const cutter = useCutter(laid, project.sheets.machine);
  const marking = useMarking(project, shelves);
  return (
    <>
      <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {isSearching && <LinearProgress aria-label="Laying out the sheets" />}
        {shelves.length > 0 ? (
          <SheetsDrawing
            shelves={shelves}
            parts={parts}
            paths={cutter.sheets?.map(({ run }) => run.path)}
            onPlace={marking.isOn ? marking.press : undefined}
            corner={marking.corner}
          />
        ) : (
          <Typography sx={{ p: 3 }}>
            {isSearching
              ? 'Laying out the sheets.'
              : 'No sheets to lay out: there are no parts, or no sheet in stock fits them.'}
          </Typography>
        )}
      </Box>
      <Slip
        stage={sheetsStage.name}
        title={piece?.name ?? (sheet ? `Sheet ${number}` : 'Sheets')}
        numbers={
          piece ? (
            <>
              <PieceNumbers piece={piece} parts={parts} shelves={shelves} />
              <Scribed part={piece.part} scribed={project.sheets.scribed} notation={project.notation} />
              <Spares piece={piece} part={parts.find(({ id }) => id === piece.part)} project={project} />
              <PartLife parts={parts.filter(({ id }) => id === piece.part)} />
            </>
          ) : sheet ? (
            <>
              <OneSheet shelf={sheet} />
              <OfSheet {...{ shelf: sheet, parts, number, project }} isMarking={marking.isOn} onMark={marking.turn} />
            </>
          ) : (
            <SheetNumbers counts={counts} />
          )
        }
      >
        <Box sx={{ display: 'flex', gap: 1, my: 1 }}>
          <Button variant="contained" disabled={isSearching || isKept} onClick={nesting.again}>
            Look for a better layout
          </Button>
          {isSearching && (
            <Button variant="outlined" onClick={nesting.end}>
              Stop here
            </Button>
          )}
        </Box>
        {/* not in the place of what stops the search, which one may be about to press */}
        {isKept ? (
          <p className="quiet">
            Every piece lies as it is kept. To look for another layout, let pieces go under By hand.
          </p>
        ) : (
          <KeepLayout laid={laid} own={project.sheets.laid} isSearching={isSearching} />
        )}
        <SearchProgress tracks={nesting.tracks} />
        <ByHand piece={piece} shelves={shelves} laid={project.sheets.laid} />
        <WhatItCosts project={project} />
        <StockSheets project={project} />
        <Trimming project={project} />
        <MachineCutting project={project} parts={parts} runs={cutter} isSearching={isSearching} />
        <PartTable
          parts={parts}
          left={counts.flatMap(leftOff)}
          picked={pieceOfThing(choice)}
          onPick={(id) => dispatch(picked(pieceThing(id)))}
        />
      </Slip>
    </>
  );
}

type Corner = { readonly shelf: number; readonly at: readonly [number, number] };

/** A spoiled place is marked by two of its corners. */
function useMarking(project: Project, shelves: readonly Shelf[]) {
  const dispatch = useAppDispatch();
  const [isOn, setIsOn] = useState(false);
  const [corner, setCorner] = useState<Corner | null>(null);
  const turn = (next: boolean) => {
    setIsOn(next);
    setCorner(null);
  };
  const press = (shelf: number, at: Corner['at']) => {
    const on = shelves[shelf];
    if (!on) return;
    if (corner?.shelf !== shelf) return setCorner({ shelf, at });
    const zone = zoneBetween(corner.at, at, on);
    turn(false);
    if (!zone) return dispatch(said('Nothing is marked: the two corners are one'));
    const value = withZone(project.sheets.stock, on.sheet.id, zone);
    return dispatch(edited({ label: 'Spoiled place', edits: [{ path: ['sheets', 'stock'], value }] }));
  };
  return { isOn, corner, turn, press };
}
