import {
  cutLineOf,
  panelOfThing,
  panelThing,
  developPanel,
  layByHand,
  levelMarks,
  panelInputs,
  stationMarks,
  stitchesOf,
  type Panel,
  type PanelRemedy,
  type PanelsPart,
} from '@kalotrope/core/panels';
import { useTheme } from '@mui/material/styles';
import { memo, useMemo } from 'react';
import { simplify } from '@kalotrope/core/geometry';
import { bendLines, placeOnTape, type Station } from '@kalotrope/core/lines';
import { formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { picked, tapeMarked } from '../../state/screen-slice';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useTape } from '../../state/bench';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { NetLines } from '../../drawing/NetLines';
import { Dimension } from '../../drawing/Dimension';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';
import { PlyShape, UNSEEN } from '../../drawing/Ply';
import { stationStyle } from '../../drawing/station-style';
import { FieldPicture, worstText } from './FieldPicture';
import type { PanelsLook } from './PanelsHead';
import { SplitHandles } from './SplitHandles';

/** One ruling in so many is drawn: enough to see how they run. */
const EVERY = 6;

type Props = {
  readonly panel: Panel;
  readonly panels: readonly Panel[];
  readonly dx: number;
  readonly dy: number;
  readonly stations: readonly Station[];
  readonly part: PanelsPart;
  readonly look: PanelsLook;
  readonly preview: PanelRemedy | null;
  readonly px: number;
};

/** One panel in true shape with what is marked on it; what is looked at lies between the sheet and the marks. */
export const FlatPanel = memo(function FlatPanel({ panel, panels, dx, dy, stations, part, look, preview, px }: Props) {
  const { palette } = useTheme();
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const isPicked = panelOfThing(choice) === panel.id;
  const marks = useMemo(() => stationMarks(panel, stations), [panel, stations]);
  const box = boxAround(panel.outline);
  // clear of the handle in the middle of a cut
  const [middle, half] = [box.minX + (panel.partOf ? 0.3 : 0.5) * (box.maxX - box.minX), -(box.minY + box.maxY) / 2];
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
        outline={cutLineOf(panel)}
        px={px}
        isPicked={isPicked}
        label={panel.name}
        onPick={() => dispatch(picked(panelThing(panel.id)))}
      />
      {panel.proud && <NetLines lines={panel.proud.net} px={px} />}
      {look.field !== 'none' && <FieldPicture panel={panel} field={look.field} thickness={part.thickness} px={px} />}
      <path d={rulings} stroke={palette.info.main} strokeWidth={0.7 * px} opacity={0.55} pointerEvents="none" />
      {marks.map((station) => {
        const index = stations.findIndex((other) => other.label === station.label);
        const end = station.curve[station.curve.length - 1] ?? [0, 0];
        return (
          <g key={station.label} pointerEvents="none">
            <path
              d={pathOf(simplify(station.curve, UNSEEN * px))}
              strokeWidth={1.8 * px}
              {...stationStyle(index, px)}
            />
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
        {panel.layers && `, ${panel.layers.length} layers`}
        {look.field !== 'none' && worstText(panel, look.field, notation)}
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
      {part.waterline !== null && <Waterline panel={panel} heightMm={part.waterline} px={px} />}
      {look.hasHoles && <Holes panel={panel} panels={panels} part={part} px={px} />}
      {look.isByHand && <ByHand panel={panel} stations={stations} px={px} />}
      {preview && <Preview remedy={preview} panel={panel} px={px} />}
      {panel.partOf?.part === 'lower' && <SplitHandles panel={panel} px={px} />}
      {isPicked && <TapeBead panel={panel} px={px} />}
    </g>
  );
});

/** Where the tape's mark lies on the picked panel. */
function TapeBead({ panel, px }: { readonly panel: Panel; readonly px: number }) {
  const { palette } = useTheme();
  const tape = useTape();
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

/** The waterline as it runs on the flat panel. */
function Waterline({ panel, heightMm, px }: { readonly panel: Panel; readonly heightMm: number; readonly px: number }) {
  const { palette } = useTheme();
  const d = levelMarks(panel, heightMm)
    .map((run) => pathOf(run))
    .join('');
  return (
    <path
      d={d}
      stroke={palette.primary.main}
      strokeWidth={1.4 * px}
      strokeDasharray={`${10 * px} ${4 * px}`}
      pointerEvents="none"
    />
  );
}

type HolesProps = {
  readonly panel: Panel;
  readonly panels: readonly Panel[];
  readonly part: PanelsPart;
  readonly px: number;
};

/** Every fifth hole has its number: they are matched by counting. */
const NUMBERED = 5;

function Holes({ panel, panels, part, px }: HolesProps) {
  const { palette } = useTheme();
  const holes = useMemo(() => stitchesOf(panel, panels, part), [panel, panels, part]);
  const middle = panel.outline.reduce((sum, p) => sum + p[1], 0) / panel.outline.length;
  return (
    <g pointerEvents="none">
      {holes.map(({ line, number, at: [u, v] }) => (
        <g key={`${line} ${number} ${v > middle}`}>
          <circle
            cx={u}
            cy={-v}
            r={2.6 * px}
            fill={palette.background.paper}
            stroke={palette.text.primary}
            strokeWidth={1.1 * px}
          />
          {number % NUMBERED === 0 && (
            <text
              x={u}
              y={-v + (v > middle ? 16 : -7) * px}
              fontSize={11 * px}
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {number}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** The panel triangulated from station to station, with how far that is off. */
function ByHand({
  panel,
  stations,
  px,
}: {
  readonly panel: Panel;
  readonly stations: readonly Station[];
  readonly px: number;
}) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const hand = useMemo(
    () =>
      layByHand(
        panel,
        stations.map(({ x }) => x),
      ),
    [panel, stations],
  );
  const { lower, upper, offMm } = hand;
  const bays = lower.map((p, i) => pathOf([p, upper[i] ?? p])).join('');
  const diagonals = lower
    .slice(1)
    .map((_, i) => pathOf([lower[i] ?? [0, 0], upper[i + 1] ?? [0, 0]]))
    .join('');
  const box = boxAround(panel.outline);
  return (
    <g stroke={palette.secondary.main} strokeWidth={1.4 * px} pointerEvents="none">
      <path d={pathOf([...lower, ...[...upper].reverse()], true) + bays} />
      <path d={diagonals} strokeDasharray={`${5 * px} ${4 * px}`} />
      <text
        x={box.maxX}
        y={-box.minY + 16 * px}
        fontSize={13 * px}
        textAnchor="end"
        fill={palette.secondary.main}
        stroke="none"
      >
        {`by hand: ${formatFine(offMm, notation)} ${unitLabel(notation)} off at most`}
      </text>
    </g>
  );
}

/** The panel as it would be with a remedy taken. */
function Preview({ remedy, panel, px }: { readonly remedy: PanelRemedy; readonly panel: Panel; readonly px: number }) {
  const { palette } = useTheme();
  const shapes = useMemo(() => {
    const inputs = panelInputs(bendLines({ longitudinals: [...remedy.lines] }).value);
    const own = inputs.filter(({ lower, upper }) =>
      remedy.kind === 'split'
        ? lower.id === remedy.line || upper.id === remedy.line
        : `${lower.id}-${upper.id}` === panel.id,
    );
    return own.flatMap((input) => {
      const made = developPanel(input);
      return 'reason' in made ? [] : [made.outline];
    });
  }, [remedy, panel.id]);
  return (
    <g pointerEvents="none" data-preview={remedy.line}>
      {shapes.map((outline, i) => (
        <path
          key={i}
          d={pathOf(outline, true)}
          stroke={palette.secondary.main}
          strokeWidth={1.8 * px}
          strokeDasharray={`${8 * px} ${5 * px}`}
        />
      ))}
    </g>
  );
}
