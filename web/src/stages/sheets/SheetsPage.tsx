import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import Typography from '@mui/material/Typography';
import type { Outline, Region } from '@kalotrope/core/geometry';
import type { Project } from '@kalotrope/core/project';
import { formatThickness, formatWithUnit } from '@kalotrope/core/measure';
import {
  jobPartName,
  laidBatches,
  leftOff,
  pieceOfThing,
  piecesOf,
  pieceThing,
  placedOutline,
  sheetOfThing,
  sheetsStage,
  sheetThing,
  tallySheets,
  type CutPart,
  type LaidBatch,
  type NestBatch,
} from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectFound, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { Slip } from '../../controls/Slip';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { MachineCutting } from './MachineCutting';
import { PartTable } from './PartTable';
import { OneSheet, PieceNumbers, SheetNumbers } from './SheetNumbers';
import type { Shelf } from './shelf';
import { LETTER_WIDE, NAME_PX, placeOfName } from './place-of-name';
import { useCutter } from './use-cutter';
import { useNesting } from './use-nesting';

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
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const piece = parts.flatMap(piecesOf).find(({ id }) => id === pieceOfThing(choice));
  const sheet = shelves[(sheetOfThing(choice) ?? 0) - 1];
  const cutter = useCutter(laid, project.sheets.machine);
  return (
    <>
      <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {isSearching && <LinearProgress aria-label="Laying out the sheets" />}
        {shelves.length > 0 ? (
          <SheetsDrawing shelves={shelves} parts={parts} paths={cutter.sheets?.map(({ run }) => run.path)} />
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
        title={piece?.name ?? (sheet ? `Sheet ${sheetOfThing(choice)}` : 'Sheets')}
        numbers={
          piece ? (
            <PieceNumbers piece={piece} parts={parts} shelves={shelves} />
          ) : sheet ? (
            <OneSheet shelf={sheet} />
          ) : (
            <SheetNumbers counts={counts} />
          )
        }
      >
        <Box sx={{ display: 'flex', gap: 1, my: 1 }}>
          <Button variant="contained" disabled={isSearching} onClick={nesting.again}>
            Look for a better layout
          </Button>
          {isSearching && (
            <Button variant="outlined" onClick={nesting.end}>
              Stop here
            </Button>
          )}
        </Box>
        <SheetSettings project={project} />
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

/** Of a sheet on a narrow screen, with its name. */
const NARROW_SHEET_PX = 185;

/** Sheets one under the other, thickness by thickness. */
function shelve(laid: readonly LaidBatch[]): Shelf[] {
  let top = 0;
  return laid.flatMap(({ batch, result }) =>
    (result?.sheets ?? []).flatMap((sheet): Shelf[] => {
      const stock = batch.job.sheets.find((other) => other.id === sheet.id);
      if (!stock) return [];
      const dy = top - stock.height;
      top -= stock.height + 220;
      return [{ batch, sheet, width: stock.width, height: stock.height, dy }];
    }),
  );
}

/** Two columns on a wide screen, so that six sheets are still large enough to read. */
const columnsOf = (shelves: readonly Shelf[], isWide: boolean) => {
  const half = Math.ceil(shelves.length / 2);
  const isTwo = isWide && shelves.length > 2;
  const width = Math.max(...shelves.map((shelf) => shelf.width));
  return shelves.map((shelf, i) => ({
    ...shelf,
    dx: isTwo && i >= half ? width + 220 : 0,
    dy: isTwo && i >= half ? shelf.dy - (shelves[half]?.dy ?? 0) + (shelves[0]?.dy ?? 0) : shelf.dy,
  }));
};

type DrawingProps = {
  readonly shelves: readonly Shelf[];
  readonly parts: readonly CutPart[];
  /** Of the cutter's middle, sheet by sheet, once it was run. */
  readonly paths: readonly (readonly Outline[])[] | undefined;
};

function SheetsDrawing({ shelves, parts, paths }: DrawingProps) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const placed = columnsOf(shelves, isWide);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const bounds = boxAround(
    placed.flatMap(
      ({ dx, dy, width, height }) =>
        [
          [dx, dy],
          [dx + width, dy + height],
        ] as const,
    ),
  );
  return (
    <DrawingSurface
      label="Sheets with their parts"
      bounds={bounds}
      // one under the other they are as large as the screen is wide
      tall={isWide ? undefined : NARROW_SHEET_PX * placed.length}
    >
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          {placed.map(({ batch, sheet, dx, dy, width, height }, i) => (
            <g key={`${sheet.id}-${sheet.index}`} transform={`translate(${dx} ${-dy})`} fill="none">
              <rect
                x={0}
                y={-height}
                width={width}
                height={height}
                stroke={sheetOfThing(choice) === i + 1 ? palette.secondary.main : palette.text.secondary}
                strokeWidth={(sheetOfThing(choice) === i + 1 ? 2.6 : 1.4) * px}
                fill={palette.background.paper}
                style={{ cursor: 'pointer' }}
                onClick={() => dispatch(picked(sheetThing(i + 1)))}
              />
              <text x={0} y={-height - 6 * px} fontSize={14 * px} fontWeight={600} fill={palette.text.primary}>
                Sheet {i + 1}: {formatThickness(batch.thickness, notation)}, {formatWithUnit(width, notation)} ×{' '}
                {formatWithUnit(height, notation)}
              </text>
              {sheet.placements.map((placement) => {
                const part = batch.job.parts.find((other) => other.id === placement.part);
                if (!part) return null;
                const outline = placedOutline(part.outline, placement);
                const holes = part.holes.map((hole) => placedOutline(hole, placement));
                return (
                  <g key={placement.part}>
                    <PlyShape
                      outline={outline}
                      holes={holes}
                      px={px}
                      label={jobPartName(placement.part, parts)}
                      isPicked={pieceOfThing(choice) === placement.part}
                      onPick={() => dispatch(picked(pieceThing(placement.part)))}
                    />
                    <PieceName name={jobPartName(placement.part, parts)} region={{ outline, holes }} px={px} />
                  </g>
                );
              })}
              {paths?.[i]?.map((ring, k) => (
                <path
                  key={k}
                  d={`${pathOf(ring)}Z`}
                  stroke={palette.primary.main}
                  strokeWidth={1.2 * px}
                  strokeDasharray={`${5 * px} ${3 * px}`}
                  pointerEvents="none"
                />
              ))}
            </g>
          ))}
        </>
      )}
    </DrawingSurface>
  );
}

type NameProps = { readonly name: string; readonly region: Region; readonly px: number };

/** Along the piece or up it, on its wood; one too small for its name is shown in the list when it is picked. */
function PieceName({ name, region, px }: NameProps) {
  const { palette } = useTheme();
  const place = placeOfName(region, { wide: LETTER_WIDE * NAME_PX * px * name.length, high: NAME_PX * px });
  if (!place) return null;
  const [x, y] = [place.at[0], -place.at[1]];
  return (
    <text
      x={x}
      y={y}
      transform={place.isAlong ? undefined : `rotate(-90 ${x} ${y})`}
      fontSize={NAME_PX * px}
      textAnchor="middle"
      fill={palette.text.primary}
      stroke={palette.background.paper}
      strokeWidth={3 * px}
      paintOrder="stroke"
      pointerEvents="none"
    >
      {name}
    </text>
  );
}

function SheetSettings({ project }: { readonly project: Project }) {
  const { notation } = project;
  const dispatch = useAppDispatch();
  const set = (key: 'gap' | 'margin', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['sheets', key], value }] }));
  return (
    <Section title="Stock and spacing">
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
        <LengthField
          label="Gap for the cut"
          mm={project.sheets.gap}
          onCommit={set('gap', 'Gap for the cut')}
          path={['sheets', 'gap']}
        />
        <LengthField
          label="Margin at the edge"
          mm={project.sheets.margin}
          onCommit={set('margin', 'Margin at the edge')}
          path={['sheets', 'margin']}
        />
      </Box>
      {project.sheets.stock.map((sheet) => (
        <Box key={sheet.id} sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
          {(['width', 'height'] as const).map((key) => (
            <LengthField
              key={key}
              label={`${formatThickness(sheet.thickness, notation)} sheet, ${key === 'width' ? 'length' : 'width'}`}
              mm={sheet[key]}
              path={['sheets', 'stock', sheet.id, key]}
              onCommit={(mm) =>
                dispatch(
                  edited({
                    label: `Sheet ${key === 'width' ? 'length' : 'width'}`,
                    edits: [{ path: ['sheets', 'stock', sheet.id, key], value: mm }],
                  }),
                )
              }
            />
          ))}
        </Box>
      ))}
    </Section>
  );
}
