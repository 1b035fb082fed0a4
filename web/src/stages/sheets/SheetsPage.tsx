import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Project } from '@kalotrope/core/project';
import { area } from '@kalotrope/core/geometry';
import { formatArea, formatThickness, formatShare, formatWithUnit } from '@kalotrope/core/measure';
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
  type NestResult,
  type Piece,
  type SheetCount,
} from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectFound, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { plural } from '../../controls/words';
import { LengthField } from '../../controls/LengthField';
import { Figure } from '../../controls/Figure';
import { Section } from '../../controls/Section';
import { Slip } from '../../controls/Slip';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { boxAround, DrawingSurface } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
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
  const piece = parts.flatMap(piecesOf).find(({ id }) => id === pieceOfThing(choice));
  const sheet = shelves[(sheetOfThing(choice) ?? 0) - 1];
  return (
    <>
      <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {isSearching && <LinearProgress aria-label="Laying out the sheets" />}
        {shelves.length > 0 ? (
          <SheetsDrawing shelves={shelves} parts={parts} />
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
            Lay out sheets again
          </Button>
          {isSearching && (
            <Button variant="outlined" onClick={nesting.end}>
              Stop here
            </Button>
          )}
        </Box>
        <SheetSettings project={project} />
        <PartTable parts={parts} left={counts.flatMap(leftOff)} />
      </Slip>
    </>
  );
}

type Shelf = {
  readonly batch: NestBatch;
  readonly sheet: NestResult['sheets'][number];
  readonly width: number;
  readonly height: number;
  readonly dy: number;
};

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

function SheetsDrawing({ shelves, parts }: { readonly shelves: readonly Shelf[]; readonly parts: readonly CutPart[] }) {
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
                const box = boxAround(outline);
                return (
                  <g key={placement.part}>
                    <PlyShape
                      outline={outline}
                      px={px}
                      label={jobPartName(placement.part, parts)}
                      isPicked={pieceOfThing(choice) === placement.part}
                      onPick={() => dispatch(picked(pieceThing(placement.part)))}
                    />
                    <text
                      x={(box.minX + box.maxX) / 2}
                      y={-(box.minY + box.maxY) / 2}
                      fontSize={13 * px}
                      textAnchor="middle"
                      fill={palette.text.primary}
                      stroke={palette.background.paper}
                      strokeWidth={3 * px}
                      paintOrder="stroke"
                      pointerEvents="none"
                    >
                      {jobPartName(placement.part, parts)}
                    </text>
                  </g>
                );
              })}
            </g>
          ))}
        </>
      )}
    </DrawingSurface>
  );
}

type PieceProps = {
  readonly piece: Piece;
  readonly parts: readonly CutPart[];
  readonly shelves: readonly Shelf[];
};

/** The picked piece: how large, and where it is laid. */
function PieceNumbers({ piece, parts, shelves }: PieceProps) {
  const notation = useAppSelector(selectNotation);
  const part = parts.find(({ id }) => id === piece.part);
  if (!part) return null;
  const box = boxAround(part.outline);
  const on = shelves.findIndex(({ sheet }) => sheet.placements.some((placement) => placement.part === piece.id));
  const size = [box.maxX - box.minX, box.maxY - box.minY].map((mm) => formatWithUnit(mm, notation)).join(' × ');
  return (
    <>
      <Figure name="Long × wide" value={size} />
      <Figure name="Thickness" value={formatThickness(part.thickness, notation)} />
      <Figure name="Area" value={formatArea(area(part.outline) / 1e6, notation)} />
      <Figure name="Grain" value={part.grain === 'along' ? 'along the part' : 'either way'} />
      <Figure name="On" value={on < 0 ? 'no sheet' : `sheet ${on + 1}`} />
    </>
  );
}

/** The picked sheet. */
function OneSheet({ shelf: { batch, sheet, width, height } }: { readonly shelf: Shelf }) {
  const notation = useAppSelector(selectNotation);
  const used = sheet.placements.reduce((sum, { part: id }) => {
    const part = batch.job.parts.find((other) => other.id === id);
    return part ? sum + area(part.outline) : sum;
  }, 0);
  return (
    <>
      <Figure name="Size" value={`${formatWithUnit(width, notation)} × ${formatWithUnit(height, notation)}`} />
      <Figure name="Thickness" value={formatThickness(batch.thickness, notation)} />
      <Figure name="Parts on it" value={String(sheet.placements.length)} />
      <Figure name="Used" value={formatShare(used / (width * height))} why="The parts' area over the sheet's" />
    </>
  );
}

function SheetNumbers({ counts }: { readonly counts: readonly SheetCount[] }) {
  const notation = useAppSelector(selectNotation);
  return counts.map((count) => (
    <Figure
      key={count.thickness}
      name={formatThickness(count.thickness, notation)}
      value={sheetsText(count)}
      why="Share of the sheets used, the last counted to its rightmost part"
    />
  ));
}

function sheetsText(count: SheetCount): string {
  const { result, pieces, hasStock } = count;
  if (!hasStock) return `no sheet for ${plural(pieces, 'part')}`;
  if (!result) return 'not yet';
  const left = leftOff(count).length;
  const used = plural(result.sheetsUsed, 'sheet');
  return left > 0 ? `${used}, ${left} of ${pieces} parts on none` : `${used}, ${formatShare(result.density)}`;
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

function PartTable({ parts, left }: { readonly parts: readonly CutPart[]; readonly left: readonly Piece[] }) {
  const notation = useAppSelector(selectNotation);
  const pieces = plural(
    parts.reduce((sum, part) => sum + (part.isPair ? 2 : 1), 0),
    'part',
  );
  return (
    <Section title="Parts to cut" aside={pieces}>
      <Table size="small" aria-label="Parts to cut">
        <TableHead>
          <TableRow>
            <TableCell>part</TableCell>
            <TableCell align="right">long × wide</TableCell>
            <TableCell align="right">no.</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {parts.map((part) => {
            const box = boxAround(part.outline);
            const off = left.filter((piece) => piece.part === part.id).length;
            return (
              <TableRow key={part.id}>
                <TableCell>
                  {part.name}
                  {off > 0 && (
                    <Typography component="span" color="error" sx={{ display: 'block', fontWeight: 600 }}>
                      {part.isPair && off === 1 ? 'one hand on no sheet' : 'on no sheet'}
                    </Typography>
                  )}
                </TableCell>
                <TableCell className="figure">
                  {formatWithUnit(box.maxX - box.minX, notation)} × {formatWithUnit(box.maxY - box.minY, notation)}
                </TableCell>
                <TableCell className="figure">{part.isPair ? '1 port, 1 starboard' : '1'}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Section>
  );
}
