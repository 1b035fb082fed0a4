import { useBench, useTape } from '../../state/bench';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { memo, useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import {
  lineOf,
  lineThing,
  lengthAtX,
  pointOnTape,
  type Hull,
  type HullLine,
  type Underlay,
} from '@kalotrope/core/lines';
import { formatWithUnit } from '@kalotrope/core/measure';
import { picked, tapeMarked } from '../../state/screen-slice';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { Dimension } from '../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { spread } from '../../drawing/spread';
import { stationStyle } from '../../drawing/station-style';
import { Grip } from './Grip';
import { Combs } from './Combs';
import { useNudge } from './nudge';
import { UnderlayPicture, type Lying } from './UnderlayPicture';
import {
  bodyPlace,
  bodyPlan,
  drawnLines,
  extentOf,
  isSameExtent,
  scaleWords,
  SIGHT,
  viewsOf,
  type BodySection,
  type Extent,
  type View,
} from './views';

export type LinesLook = {
  /** Teeth that show how sharply a line bends. */
  readonly comb: 'none' | 'seen' | 'true';
  readonly isSighted: boolean;
};

type Props = {
  readonly hull: Hull;
  readonly look: LinesLook;
  readonly underlays: readonly Underlay[];
  /** The view that a click is meant for, and what is done with its place, in mm across and up. */
  readonly clicked?:
    | {
        readonly view: Underlay['view'];
        readonly onPlace: (place: readonly [number, number]) => void;
        readonly places: readonly (readonly [number, number])[];
      }
    | undefined;
  readonly corner: ReactNode;
};

/** Profile above plan on one x axis, and the body plan: forward stations to the right, aft ones to the left. */
export function LinesDrawing({ hull, look, underlays, clicked, corner }: Props) {
  const notation = useAppSelector(selectNotation);
  const store = useAppStore();
  const bench = useBench();
  const dispatch = useAppDispatch();
  const { palette } = useTheme();
  const nudge = useNudge(hull);
  const extent = useHeldExtent(hull);
  const views = useMemo(() => viewsOf(extent, look.isSighted ? SIGHT : 1), [extent, look.isSighted]);
  const inBody = useMemo(() => bodyPlace(extent, views), [extent, views]);
  const body = bodyPlan(hull, extent, inBody);
  // the hull stands beside it: on a narrow screen there is room for two words
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const bodyWords = isWide ? ['Body plan: aft left, forward right', scaleWords(inBody.scale)] : ['Body plan'];
  const bounds = boxAround([...views.flatMap((view) => view.corners), ...inBody.corners]);
  const length = hull.toX - hull.fromX;
  const { drawnX, trueX } = views[0];
  const lying: Readonly<Record<Underlay['view'], Lying>> = {
    profile: { across: drawnX, up: (z) => views[0].zero + z, squeeze: drawnX(1) - drawnX(0) },
    plan: { across: drawnX, up: (y) => views[1].zero + y, squeeze: drawnX(1) - drawnX(0) },
    body: { across: (y) => inBody.drawn([y, 0])[0], up: (z) => inBody.drawn([0, z])[1], squeeze: 1 },
  };
  const place = ([x, y]: readonly [number, number]) => {
    if (clicked?.view === 'body') clicked.onPlace(inBody.trueOf([x, y]));
    else clicked?.onPlace([trueX(x), y - views[clicked.view === 'plan' ? 1 : 0].zero]);
  };
  // while a tool is taken up the arrows move a cross, and Enter is the click
  const [cross, setCross] = useState<readonly [number, number] | null>(null);
  const steer = (event: KeyboardEvent) => {
    const [dx, dy] = ARROWS[event.key] ?? [0, 0];
    const step = (bounds.maxX - bounds.minX) / (event.shiftKey ? 1000 : 100);
    const [x, y] = cross ?? [(bounds.minX + bounds.maxX) / 2, (bounds.minY + bounds.maxY) / 2];
    if (event.key === 'Enter') place([x, y]);
    else if (dx !== 0 || dy !== 0) setCross([x + dx * step, y + dy * step]);
    else return;
    event.preventDefault();
  };
  return (
    <DrawingSurface
      label="Lines: profile, plan and body plan"
      bounds={bounds}
      corner={corner}
      free={inBody.free && boxAround(inBody.free)}
      onKeyDown={clicked ? steer : nudge}
      onPlace={clicked && place}
      onPoint={([drawn]) => {
        const x = trueX(drawn);
        // read when the pointer moves: following the tape would draw all this again at every answer of the engine
        const tape = bench.selectTape(store.getState());
        if (tape && x >= hull.fromX && x <= hull.toX) dispatch(tapeMarked(lengthAtX(tape, x)));
      }}
    >
      {({ px }) => (
        <>
          {underlays.map((underlay) => (
            <UnderlayPicture key={underlay.id} underlay={underlay} lying={lying[underlay.view]} />
          ))}
          {clicked?.places.map(([across, up], i) => {
            const { [clicked.view]: own } = lying;
            const [x, y] = [own.across(across), -own.up(up)];
            return <Cross key={i} at={[x, -y]} colour={palette.secondary.main} arm={9 * px} px={px} />;
          })}
          {clicked && cross && <Cross at={cross} colour={palette.secondary.main} arm={14 * px} px={px} />}
          {views.map((view) => (
            <LongView key={view.name} view={view} hull={hull} look={look} px={px} />
          ))}
          {/* on a narrow screen the plan's labels stand there */}
          {views[0].low - views[1].high > DIMENSION_PX * px && (
            <Dimension
              from={[drawnX(hull.fromX), views[0].low - 34 * px]}
              to={[drawnX(hull.toX), views[0].low - 34 * px]}
              text={formatWithUnit(length, notation)}
              px={px}
            />
          )}
          <g fill="none">
            <path d={pathOf(body.axis)} stroke={palette.text.secondary} strokeWidth={px} />
            {body.sections.map((section) => (
              <path
                key={section.label}
                d={pathOf(section.points)}
                strokeWidth={1.6 * px}
                {...stationStyle(section.index, px)}
              />
            ))}
            <SectionLabels sections={body.sections} px={px} />
            {body.grips.map(({ line, place, at, side }) => (
              <Grip
                key={`${line.id} ${place}`}
                line={line}
                place={place}
                px={px}
                cx={at[0]}
                cy={at[1]}
                figuresAt={(drawn) => {
                  const [across, up] = inBody.trueOf(drawn);
                  return { halfBreadth: side * across, height: up };
                }}
              />
            ))}
            {bodyWords.map((words, i) => (
              <text
                key={words}
                x={inBody.corners[0][0]}
                y={-inBody.corners[0][1] + (18 + 16 * i) * px}
                fontSize={13 * px}
                fill={palette.text.secondary}
              >
                {words}
              </text>
            ))}
          </g>
        </>
      )}
    </DrawingSurface>
  );
}

/** Each over the end of its section, or led to it from beside its neighbours: near ends must not share a label. */
function SectionLabels({ sections, px }: { readonly sections: readonly BodySection[]; readonly px: number }) {
  const size = 13 * px;
  const widths = sections.map(({ label }) => size * (0.45 + 0.55 * Math.max(1, label.length)));
  const places = spread(
    sections.map(({ end }) => end[0]),
    widths,
  );
  const isMoved = sections.map(({ end }, i) => Math.abs((places[i] ?? 0) - end[0]) > 2 * px);
  const over = Math.max(...sections.filter((_, i) => isMoved[i]).map(({ end }) => end[1]), -Infinity) + 14 * px;
  return sections.map(({ label, index, end }, i) => {
    const x = places[i] ?? end[0];
    const { stroke } = stationStyle(index, px);
    const y = isMoved[i] ? over : end[1] + 5 * px;
    return (
      <g key={label} pointerEvents="none">
        {isMoved[i] && <path d={pathOf([[x, y - 2 * px], end])} stroke={stroke} strokeWidth={0.8 * px} />}
        <text x={x} y={-y} fontSize={size} textAnchor="middle" fill={stroke}>
          {label}
        </text>
      </g>
    );
  });
}

/** Between profile and plan, so that a dimension finds its place. */
const DIMENSION_PX = 62;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

type CrossProps = {
  readonly at: readonly [number, number];
  readonly colour: string;
  readonly arm: number;
  readonly px: number;
};

function Cross({ at: [x, y], colour, arm, px }: CrossProps) {
  return (
    <path
      d={`M${x - arm} ${-y}H${x + arm}M${x} ${-y - arm}V${-y + arm}`}
      stroke={colour}
      strokeWidth={2 * px}
      pointerEvents="none"
    />
  );
}

function useHeldExtent(hull: Hull): Extent {
  const now = extentOf(hull);
  const [held, setHeld] = useState(now);
  if (held === now || isSameExtent(held, now)) return held;
  setHeld(now);
  return now;
}

type ViewProps = { readonly view: View; readonly hull: Hull; readonly look: LinesLook; readonly px: number };

function LongView({ view, hull, look, px }: ViewProps) {
  const { drawnX } = view;
  const { palette } = useTheme();
  return (
    <g fill="none">
      <line
        x1={drawnX(hull.fromX)}
        x2={drawnX(hull.toX)}
        y1={-view.zero}
        y2={-view.zero}
        stroke={palette.text.secondary}
        strokeWidth={px}
      />
      {hull.stations.map((station, i) => (
        <g key={station.label}>
          <line
            x1={drawnX(station.x)}
            x2={drawnX(station.x)}
            y1={-view.low}
            y2={-view.high}
            strokeWidth={px}
            opacity={0.75}
            {...stationStyle(i, px)}
          />
          <text
            x={drawnX(station.x)}
            y={-view.high - 6 * px}
            fontSize={13 * px}
            textAnchor="middle"
            fill={stationStyle(i, px).stroke}
          >
            {station.label}
          </text>
        </g>
      ))}
      <text x={drawnX(hull.fromX)} y={-view.low + 18 * px} fontSize={13 * px} fill={palette.text.secondary}>
        {view.name}
      </text>
      {look.comb !== 'none' && <Combs view={view} hull={hull} kind={look.comb} px={px} />}
      {drawnLines(hull).map((line) => (
        <LineInView key={line.id} line={line} view={view} px={px} isExtra={hull.extras.includes(line)} />
      ))}
      <TapeBead view={view} px={px} />
    </g>
  );
}

/** Where the tape's mark lies in the view. */
function TapeBead({ view, px }: { readonly view: View; readonly px: number }) {
  const { palette } = useTheme();
  const tape = useTape();
  const mark = useAppSelector((state) => state.screen.tapeMm);
  if (!tape || mark === null) return null;
  const at = pointOnTape(tape, mark);
  return (
    <circle
      cx={view.drawnX(at[0])}
      cy={-(view.zero + at[view.axis])}
      r={5 * px}
      fill={palette.secondary.main}
      pointerEvents="none"
    />
  );
}

type LineProps = { readonly line: HullLine; readonly view: View; readonly px: number; readonly isExtra: boolean };

/** Drawn again only when its own line changes. */
const LineInView = memo(function LineInView({ line, view, px, isExtra }: LineProps) {
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const { palette } = useTheme();
  const isPicked = lineOf(choice) === line.id;
  const colour = isPicked ? palette.secondary.main : palette.text.primary;
  const curve = pathOf(line.curve.map((p) => [view.drawnX(p[0]), view.zero + p[view.axis]] as const));
  return (
    <g>
      <path d={curve} stroke={colour} strokeWidth={(isPicked ? 2.4 : isExtra ? 0.8 : 1.5) * px} />
      <path
        d={curve}
        stroke="transparent"
        strokeWidth={12 * px}
        style={{ cursor: 'pointer' }}
        onClick={() => dispatch(picked(lineThing(line.id)))}
      />
      {line.points.map((p, place) => {
        const key = view.axis === 2 ? 'height' : 'halfBreadth';
        const isEnd = place === 0 || place === line.points.length - 1;
        return (
          <Grip
            key={p.index}
            line={line}
            place={place}
            px={px}
            cx={view.drawnX(p.x)}
            cy={view.zero + p[key]}
            // a station stays where it is; an end may move along too
            figuresAt={([x, y]) => ({ [key]: y - view.zero, ...(isEnd ? { x: view.trueX(x) } : {}) })}
          />
        );
      })}
    </g>
  );
});
