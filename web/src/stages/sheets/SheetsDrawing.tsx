/** The sheets with their parts, drawn to one scale; pieces are moved by hand. */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { Outline, Region } from '@kalotrope/core/geometry';
import { formatWithUnit, type Notation } from '@kalotrope/core/measure';
import {
  edgeOfSheet,
  jobPartName,
  materialWords,
  netOfPiece,
  pieceOfThing,
  placedOutline,
  placedRegion,
  sheetOfThing,
  sheetThing,
  type CutPart,
} from '@kalotrope/core/sheets';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { NetLines } from '../../drawing/NetLines';
import { GrainPattern } from '../../drawing/Ply';
import { PieceOnSheet } from './PieceOnSheet';
import { inColumns, type Shelf } from './shelf';
import { useHand } from './use-hand';

/** Of a sheet on a narrow screen, with its name. */
const NARROW_SHEET_PX = 185;

type Props = {
  readonly shelves: readonly Shelf[];
  readonly parts: readonly CutPart[];
  /** Of the cutter's middle, sheet by sheet, once it was run. */
  readonly paths: readonly (readonly Outline[])[] | undefined;
  /** A place on a sheet is asked for. */
  readonly onPlace?: ((shelf: number, at: readonly [number, number]) => void) | undefined;
  /** Where the first corner of a spoiled place was set. */
  readonly corner: { readonly shelf: number; readonly at: readonly [number, number] } | null;
};

export function SheetsDrawing({ shelves, parts, paths, onPlace, corner }: Props) {
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const placed = inColumns(shelves, isWide);
  const bounds = boxAround(
    placed.flatMap(
      ({ dx, dy, width, height }) =>
        [
          [dx, dy],
          [dx + width, dy + height],
        ] as const,
    ),
  );
  const place = onPlace && {
    onPlace: ([x, y]: readonly [number, number]) => {
      const under = placed.findIndex(
        ({ dx, dy, width, height }) => x >= dx && x <= dx + width && y >= dy && y <= dy + height,
      );
      // the second corner may be set beyond the edge
      const on = under < 0 ? (corner?.shelf ?? under) : under;
      const shelf = placed[on];
      if (shelf) onPlace(on, [x - shelf.dx, y - shelf.dy]);
    },
  };
  return (
    <DrawingSurface
      label="Sheets with their parts"
      bounds={bounds}
      hasHandles
      // one under the other they are as large as the screen is wide
      tall={isWide ? undefined : NARROW_SHEET_PX * placed.length}
      {...place}
    >
      {({ px }) => <Drawn placed={placed} parts={parts} paths={paths} corner={corner} px={px} />}
    </DrawingSurface>
  );
}

type DrawnProps = Pick<Props, 'parts' | 'paths' | 'corner'> & {
  readonly placed: readonly Shelf[];
  readonly px: number;
};

function Drawn({ placed, parts, paths, corner, px }: DrawnProps) {
  const { palette } = useTheme();
  const choice = pieceOfThing(useAppSelector(selectPicked));
  const laid = useAppSelector((state) => selectProject(state)?.sheets.laid) ?? [];
  const nameOf = (id: string) => jobPartName(id, parts);
  const { held, handle } = useHand(placed, px, nameOf);
  return (
    <>
      <GrainPattern px={px} />
      {placed.map((shelf, i) => (
        <g
          key={`${shelf.batch.key} ${shelf.sheet.id} ${shelf.sheet.index}`}
          transform={`translate(${shelf.dx} ${-shelf.dy})`}
          fill="none"
        >
          <WholeSheet shelf={shelf} number={i + 1} px={px} />
          {shelf.sheet.placements.map((placement) => {
            const region = regionOf(shelf, placement);
            if (!region) return null;
            const isHeld = held?.part === placement.part;
            return (
              <g key={placement.part} opacity={isHeld && held.to ? 0.25 : 1}>
                <PieceOnSheet
                  name={nameOf(placement.part)}
                  region={region}
                  px={px}
                  isPicked={choice === placement.part}
                  isPinned={laid.some(({ id, isPinned }) => id === placement.part && isPinned)}
                  hold={handle(i, placement)}
                />
                <ScribedLine net={netOfPiece(placement.part, parts)} placement={placement} px={px} />
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
          {held?.to?.shelf === i && <Landing region={regionOf(shelf, held.to.placement)} px={px} />}
          {held?.over?.shelf === i && <AtPointer region={regionOf(shelf, held.over.placement)} px={px} />}
          {corner?.shelf === i && (
            <circle cx={corner.at[0]} cy={-corner.at[1]} r={5 * px} fill={palette.secondary.main} />
          )}
        </g>
      ))}
    </>
  );
}

type Placement = Shelf['sheet']['placements'][number];
const known = new WeakMap<Placement, Region>();

/** The same object for the same placement: what is drawn of it is drawn once. */
function regionOf({ batch }: Shelf, placement: Placement): Region | undefined {
  const before = known.get(placement);
  if (before) return before;
  const part = batch.job.parts.find(({ id }) => id === placement.part);
  if (!part) return undefined;
  const region = placedRegion(part, placement);
  known.set(placement, region);
  return region;
}

type LineProps = { readonly net: Outline | undefined; readonly placement: Placement; readonly px: number };

/** The part itself, drawn on the blank that it is scribed from. */
function ScribedLine({ net, placement, px }: LineProps) {
  if (!net) return null;
  const line = placedOutline(net, placement);
  return <NetLines lines={[[...line, ...line.slice(0, 1)]]} px={px} />;
}

/** Where a held piece comes to lie. */
function Landing({ region, px }: { readonly region: Region | undefined; readonly px: number }) {
  const { palette } = useTheme();
  if (!region) return null;
  return (
    <path
      d={[region.outline, ...region.holes].map((ring) => pathOf(ring, true)).join('')}
      fill="url(#grain)"
      fillRule="evenodd"
      stroke={palette.secondary.main}
      strokeWidth={2.4 * px}
      pointerEvents="none"
    />
  );
}

/** Where the pointer has it, whether there is room or not. */
function AtPointer({ region, px }: { readonly region: Region | undefined; readonly px: number }) {
  const { palette } = useTheme();
  if (!region) return null;
  return (
    <path
      d={pathOf(region.outline, true)}
      stroke={palette.secondary.main}
      strokeWidth={1.2 * px}
      strokeDasharray={`${5 * px} ${4 * px}`}
      pointerEvents="none"
    />
  );
}

type SheetProps = { readonly shelf: Shelf; readonly number: number; readonly px: number };

/** The sheet itself: its edge, what of it is spoiled, and what it is. */
function WholeSheet({ shelf: { batch, sheet, width, height, stack }, number, px }: SheetProps) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const isPicked = useAppSelector((state) => sheetOfThing(selectPicked(state)) === number);
  const dispatch = useAppDispatch();
  const stock = batch.job.sheets.find(({ id }) => id === sheet.id);
  if (!stock) return null;
  return (
    <>
      <path
        d={pathOf(edgeOfSheet(stock), true)}
        stroke={isPicked ? palette.secondary.main : palette.text.secondary}
        strokeWidth={(isPicked ? 2.6 : 1.4) * px}
        fill={palette.background.paper}
        style={{ cursor: 'pointer' }}
        data-part={`Sheet ${number}`}
        onClick={() => dispatch(picked(sheetThing(number)))}
      />
      {stock.zones?.map((zone, k) => (
        <path
          key={k}
          d={`${pathOf(zone, true)}${crossOver(zone)}`}
          stroke={palette.error.main}
          strokeWidth={1.2 * px}
          pointerEvents="none"
        />
      ))}
      <text x={0} y={-height - 6 * px} fontSize={14 * px} fontWeight={600} fill={palette.text.primary}>
        {sheetName({ number, width, height, stack }, materialWords(batch, notation), notation)}
      </text>
    </>
  );
}

/** From corner to corner, as a carpenter strikes out what is not to be used. */
const crossOver = (zone: Outline): string => {
  const [a, b, c, d] = zone;
  return a && b && c && d ? pathOf([a, c]) + pathOf([b, d]) : '';
};

const sheetName = (
  { number, width, height, stack }: Pick<Shelf, 'width' | 'height' | 'stack'> & { readonly number: number },
  material: string,
  notation: Notation,
): string => {
  const of = stack ? `${number} ${stack.isOver ? 'over' : 'under'} ${stack.number}` : String(number);
  return `Sheet ${of}: ${material}, ${formatWithUnit(width, notation)} × ${formatWithUnit(height, notation)}`;
};
