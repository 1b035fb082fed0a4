import { useTheme } from '@mui/material/styles';
import { memo, useMemo, type ReactNode } from 'react';
import { placeOnTape, type Station } from '@kalotrope/core/lines';
import { formatWithUnit } from '@kalotrope/core/measure';
import { stationMarks, type Panel, type Transom } from '@kalotrope/core/panels';
import { picked, tapeMarked } from '../../app/screen-slice';
import { selectNotation, selectPicked, selectTape } from '../../app/selectors';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { Dimension } from '../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { stationStyle } from '../../drawing/station-style';
import { longest, stack, wholeBox } from './layout';

type Props = {
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly stations: readonly Station[];
  readonly corner: ReactNode;
};

/** The flat panels in true shape, with rulings, stations and the tape's mark; transoms under them. */
export function PanelsDrawing({ panels, transoms, stations, corner }: Props) {
  const { palette } = useTheme();
  const shelves = useMemo(
    () => stack<Panel | Transom>([...panels, ...transoms], longest(panels) * 0.085),
    [panels, transoms],
  );
  return (
    <DrawingSurface label="Flat panels" bounds={wholeBox(shelves)} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          {shelves.map((shelf) =>
            'rulings' in shelf.item ? (
              <FlatPanel
                key={shelf.item.id}
                panel={shelf.item}
                dx={shelf.dx}
                dy={shelf.dy}
                stations={stations}
                px={px}
              />
            ) : (
              <g key={shelf.item.id} transform={`translate(${shelf.dx} ${-shelf.dy})`}>
                <PlyShape outline={shelf.item.outline} px={px} label={shelf.item.name} />
                <text
                  x={shelf.box.minX - shelf.dx + (shelf.box.maxX - shelf.box.minX) / 2}
                  y={-(shelf.box.minY - shelf.dy + shelf.box.maxY - shelf.dy) / 2}
                  fill={palette.text.primary}
                  fontSize={14 * px}
                  textAnchor="middle"
                >
                  {shelf.item.name}
                </text>
              </g>
            ),
          )}
        </>
      )}
    </DrawingSurface>
  );
}

/** One ruling in so many is drawn: enough to see how they run. */
const EVERY = 6;

const FlatPanel = memo(function FlatPanel({
  panel,
  dx,
  dy,
  stations,
  px,
}: {
  readonly panel: Panel;
  readonly dx: number;
  readonly dy: number;
  readonly stations: readonly Station[];
  readonly px: number;
}) {
  const { palette } = useTheme();
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const isPicked = choice?.kind === 'panel' && choice.id === panel.id;
  const marks = useMemo(() => stationMarks(panel, stations), [panel, stations]);
  const box = boxAround(panel.outline);
  const [middle, half] = [(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2];
  const rulings = panel.rulings
    .filter((_, k) => k % EVERY === 0)
    .map((r) => pathOf([r.flatP, r.flatQ]))
    .join('');
  return (
    <g
      transform={`translate(${dx} ${-dy})`}
      fill="none"
      onPointerMove={(event) => {
        const u = worldU(event);
        if (isPicked && u !== null) dispatch(tapeMarked(nearestAlong(panel, u)));
      }}
    >
      <PlyShape
        outline={panel.outline}
        px={px}
        isPicked={isPicked}
        label={panel.name}
        onPick={() => dispatch(picked({ kind: 'panel', id: panel.id }))}
      />
      <path d={rulings} stroke={palette.info.main} strokeWidth={0.7 * px} opacity={0.55} pointerEvents="none" />
      {marks.map((station) => {
        const index = stations.findIndex((other) => other.label === station.label);
        const end = station.curve[station.curve.length - 1] ?? [0, 0];
        return (
          <g key={station.label} pointerEvents="none">
            <path d={pathOf(station.curve)} strokeWidth={1.8 * px} {...stationStyle(index, px)} />
            <text
              x={end[0]}
              y={-end[1] - 5 * px}
              fontSize={13 * px}
              textAnchor="middle"
              fill={stationStyle(index, px).stroke}
            >
              {station.label}
            </text>
          </g>
        );
      })}
      <text
        x={middle}
        y={half}
        fontSize={15 * px}
        fontWeight={600}
        textAnchor="middle"
        fill={palette.text.primary}
        stroke={palette.background.default}
        strokeWidth={3 * px}
        paintOrder="stroke"
        pointerEvents="none"
      >
        {panel.name}
      </text>
      <text x={box.minX - 8 * px} y={half} fontSize={13 * px} textAnchor="end" fill={palette.text.secondary}>
        fore
      </text>
      <Dimension
        from={[box.minX, box.minY - 26 * px]}
        to={[box.maxX, box.minY - 26 * px]}
        text={formatWithUnit(box.maxX - box.minX, notation)}
        px={px}
      />
      {isPicked && <TapeBead panel={panel} px={px} />}
    </g>
  );
});

/** Where the tape's mark lies on the picked panel. */
function TapeBead({ panel, px }: { readonly panel: Panel; readonly px: number }) {
  const { palette } = useTheme();
  const tape = useAppSelector(selectTape);
  const mark = useAppSelector((state) => state.screen.tapeMm);
  const bead = tape && mark !== null ? flatBead(panel, placeOnTape(tape, mark)) : null;
  return bead && <circle cx={bead[0]} cy={-bead[1]} r={5.5 * px} fill={palette.secondary.main} pointerEvents="none" />;
}

function flatBead(panel: Panel, { index, w }: { index: number; w: number }): readonly [number, number] | null {
  const [a, b] = [panel.edges[1].points[index], panel.edges[1].points[index + 1]];
  return a && b ? [a.flat[0] + w * (b.flat[0] - a.flat[0]), a.flat[1] + w * (b.flat[1] - a.flat[1])] : null;
}

/** The pointer's u on the panel whose group it is over. */
function worldU(event: React.PointerEvent<SVGGElement>): number | null {
  const matrix = event.currentTarget.getScreenCTM();
  return matrix && new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).x;
}

/** Length along the upper edge to where it passes u. */
function nearestAlong(panel: Panel, u: number): number {
  let length = 0;
  const { points } = panel.edges[1];
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!.flat, points[i]!.flat]; // bounded by the loop
    if (b[0] >= u) return length + Math.max(0, u - a[0]);
    length += Math.hypot(b[0] - a[0], b[1] - a[1]);
  }
  return length;
}
