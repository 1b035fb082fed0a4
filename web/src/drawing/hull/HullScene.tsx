/** The hull as a thing: sheets with their thickness, what stands in them, and its shadow on the floor. */
import type { Thing } from '@kalotrope/core/findings';
import type { Frame, Girder, MemberRun } from '@kalotrope/core/frames';
import { pointOnTape } from '@kalotrope/core/lines';
import { transomOfThing, transomThing, type Field, type FoldedRuling, type Transom } from '@kalotrope/core/panels';
import { useTheme } from '@mui/material/styles';
import { memo, useDeferredValue, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { EdgesGeometry, type BufferGeometry, type Mesh } from 'three';
import { frameThing, girderThing } from '@kalotrope/core/frames';
import {
  insideThing,
  type FittedBlock,
  type FittedKnee,
  type FittedStem,
  type InBoat,
  type InsideValue,
} from '@kalotrope/core/fitout';
import { isSameThing } from '../../state/picked';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectPicked, selectProject } from '../../state/selectors';
import { useTape } from '../../state/bench';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { useRested } from '../../controls/use-rested';
import {
  blockBody,
  fittedBody,
  frameBody,
  girderBody,
  insideBody,
  kneeBody,
  memberBodies,
  stemBody,
  transomBody,
} from './bodies';
import { graphics } from './graphics';
import { groundShadow, type Floor } from './ground';
import { PanelShell } from './PanelShell';
import type { Layers } from './layers';
import { SkinMarks, type SkinMark } from './SkinMarks';
import { takeApart } from './take-apart';
import { useHullSpan } from './use-hull-span';
import { drawMark, drawSoon, edits, SOFTWARE_REST } from './quality';
import { usePly } from './use-ply';

export type SceneProps = {
  /** Shown over the skin, in bands. */
  readonly field?: Field | undefined;
  /** Folded up so far: 0 is flat, 1 the hull. */
  readonly folded?: number | undefined;
  readonly marks?: SkinMark | undefined;
  readonly isLarge: boolean;
  readonly isSeenThrough: boolean;
  /** What stands in the hull and lies on it: which of it is drawn. */
  readonly layers: Layers;
  /** Taken apart so far, from 0 to 1. */
  readonly apart: number;
};

/** x aft, y to starboard, z up becomes x, z, −y of the picture's axes. */
const ON_ITS_KEEL = [-Math.PI / 2, 0, 0] as const;
/** How far frames are lifted out, of the boat's length. */
const LIFT = 0.3;
/** What lies in the hull or on it is lifted over them. */
const LIFT_INSIDE = 0.5;
const NO_FRAMES: readonly Frame[] = [];
const NO_MEMBERS: readonly MemberRun[] = [];
const NO_GIRDERS: readonly Girder[] = [];
const NOTHING: Pick<InsideValue, 'parts' | 'walls' | 'blocks' | 'stems' | 'knees'> = {
  parts: [],
  walls: [],
  blocks: [],
  stems: [],
  knees: [],
};

type Lying = typeof NOTHING;

const partsShown = ({ parts, walls }: Lying, { within, above }: Layers): readonly InBoat[] => [
  ...parts.filter(({ fit }) => (fit === 'over' ? above : within)),
  ...(above ? walls : []),
];

/** What is sawn of solid timber. */
type Bar = FittedBlock | FittedStem | FittedKnee;

const barsShown = ({ blocks, stems, knees }: Lying, { within, above }: Layers): readonly Bar[] => [
  ...(within ? [...blocks, ...knees] : []),
  ...(above ? stems : []),
];

export function HullScene({ field, folded, marks, isLarge, isSeenThrough, layers, apart }: SceneProps) {
  const { thickness, transomThickness } = useAppSelector((state) => selectProject(state)?.panels) ?? NO_SHEETS;
  const skin = useFollowed(useAppSelector((state) => selectDerived(state)?.panels.value));
  // made one after another, each when there is time: a dozen bodies at once would hold the page up
  const frames = useDeferredValue(
    useFollowed(useAppSelector((state) => selectDerived(state)?.frames.value.frames ?? NO_FRAMES)),
  );
  const span = useFollowed(useHullSpan());
  const members = useDeferredValue(
    useFollowed(useAppSelector((state) => selectDerived(state)?.frames.value.members ?? NO_MEMBERS)),
  );
  const girders = useDeferredValue(
    useFollowed(useAppSelector((state) => selectDerived(state)?.frames.value.girders ?? NO_GIRDERS)),
  );
  const inside = useDeferredValue(
    useFollowed(useAppSelector((state) => selectDerived(state)?.fitout.value ?? NOTHING)),
  );
  const { length } = span;
  const place = useMemo(() => [-span.middle, -span.high / 2, 0] as const, [span.middle, span.high]);
  const panels = skin?.panels;
  const { out, shapes } = useMemo(
    () =>
      folded === undefined
        ? takeApart(panels ?? [], apart, length)
        : takeApart(panels ?? [], folded === 1 ? 0 : FOLD_FROM + (1 - FOLD_FROM) * (1 - folded), 0),
    [panels, folded, apart, length],
  );
  if (!skin || !panels) return null;
  const isWhole = folded === undefined;
  const hasFrames = isWhole && layers.standing;
  return (
    <group rotation={ON_ITS_KEEL} position={place}>
      {panels.map((panel, i) => (
        <PanelShell
          key={panel.id}
          panel={panel}
          isTop={i === panels.length - 1}
          shape={shapes[i] ?? panel.rulings}
          field={field}
          thickness={thickness}
          hasRulings={isLarge && apart === 0}
          isSeenThrough={isSeenThrough}
        />
      ))}
      {(isWhole || folded === 1) &&
        skin.transoms.map((transom) => (
          <TransomBody
            key={transom.id}
            transom={transom}
            thickness={transomThickness}
            by={(transom.end === 'aft' ? 1 : -1) * out * length * 0.12}
          />
        ))}
      {hasFrames && apart === 0 && members.length > 0 && <MemberBodies runs={members} />}
      {hasFrames && girders.map((girder) => <GirderBody key={girder.id} girder={girder} by={out * length * LIFT} />)}
      {hasFrames && frames.map((frame) => <FrameBody key={frame.id} frame={frame} by={out * length * LIFT} />)}
      {isWhole &&
        barsShown(inside, layers).map((bar) => <BarBody key={bar.id} bar={bar} by={out * length * LIFT_INSIDE} />)}
      {isWhole &&
        partsShown(inside, layers).map((part) => (
          <InsideBody key={part.id} part={part} by={out * length * LIFT_INSIDE} />
        ))}
      {isWhole && apart === 0 && marks && <SkinMarks marks={marks} panels={panels} />}
      {isWhole && apart === 0 && <Bead size={length / 130} />}
      <Ground shapes={shapes} length={length} middle={span.middle} />
    </group>
  );
}
const NO_SHEETS = { thickness: 6, transomThickness: 9 };
/** Without a graphics processor what is drawn follows edits when they pause: to draw it is dearer than to make it. */
function useFollowed<T>(value: T): T {
  const rested = useRested(value, SOFTWARE_REST);
  useEffect(edits, [value]);
  return graphics() === 'processor' ? value : rested;
}

/** Where the panels begin to come off in taking apart: what folding starts from. */
const FOLD_FROM = 0.35;

const BODY = '#F2DAAE';
const PICKED = '#E0A678';
/** Solid timber, a little redder than plywood. */
const TIMBER = '#E2BE8C';
const INK = '#3B2C18';

type BodyProps<T> = T & { readonly by: number };

const FrameBody = memo(function FrameBody({ frame, by }: BodyProps<{ readonly frame: Frame }>) {
  const thing = useMemo(() => frameThing(frame.id), [frame.id]);
  const geometry = useMemo(() => frameBody(frame), [frame]);
  const fitted = useMemo(() => fittedBody(frame), [frame]);
  return (
    <>
      <Part thing={thing} geometry={geometry} by={by} />
      {fitted && <Part thing={thing} geometry={fitted} by={by} />}
    </>
  );
});

const GirderBody = memo(function GirderBody({ girder, by }: BodyProps<{ readonly girder: Girder }>) {
  const thing = useMemo(() => girderThing(girder.id), [girder.id]);
  const geometry = useMemo(() => girderBody(girder), [girder]);
  return <Part thing={thing} geometry={geometry} by={by} />;
});

const InsideBody = memo(function InsideBody({ part, by }: BodyProps<{ readonly part: InBoat }>) {
  const thing = useMemo(() => insideThing(part.plan), [part.plan]);
  const geometry = useMemo(() => insideBody(part), [part]);
  return geometry ? <Part thing={thing} geometry={geometry} by={by} /> : null;
});

/** Of solid timber: a block, an outer stem, or a knee. */
const BarBody = memo(function BarBody({ bar, by }: BodyProps<{ readonly bar: Bar }>) {
  const thing = useMemo(() => insideThing(bar.plan), [bar.plan]);
  const geometry = useMemo(() => barOf(bar), [bar]);
  return geometry ? <Part thing={thing} geometry={geometry} by={by} /> : null;
});

const barOf = (bar: Bar) => (bar.fit === 'stem' ? stemBody(bar) : bar.fit === 'knee' ? kneeBody(bar) : blockBody(bar));

/** A part that stands in the hull, lifted out so far; picked by a click. */
function Part({ thing, geometry, by }: BodyProps<{ readonly thing: Thing; readonly geometry: BufferGeometry }>) {
  const dispatch = useAppDispatch();
  const theme = useTheme();
  const isPicked = useAppSelector((state) => isSameThing(selectPicked(state), thing));
  return (
    <group position={[0, 0, by]}>
      <Body
        geometry={geometry}
        colour={isPicked ? PICKED : BODY}
        edge={isPicked ? theme.palette.secondary.main : INK}
        onPick={() => dispatch(picked(thing))}
      />
    </group>
  );
}

/** All members, of pairs both. */
const MemberBodies = memo(function MemberBodies({ runs }: { readonly runs: readonly MemberRun[] }) {
  const { solid, edges } = useMemo(() => memberBodies(runs), [runs]);
  return <Solid geometry={solid} edges={edges} colour={TIMBER} edge={INK} />;
});

const TransomBody = memo(function TransomBody({
  transom,
  thickness,
  by,
}: BodyProps<{ readonly transom: Transom; readonly thickness: number }>) {
  const dispatch = useAppDispatch();
  const theme = useTheme();
  const isPicked = useAppSelector((state) => transomOfThing(selectPicked(state)) === transom.id);
  const geometry = useMemo(() => transomBody(transom, thickness), [transom, thickness]);
  return (
    <group position={[by, 0, 0]}>
      <Body
        geometry={geometry}
        colour={isPicked ? PICKED : BODY}
        edge={isPicked ? theme.palette.secondary.main : INK}
        onPick={() => dispatch(picked(transomThing(transom.id)))}
      />
    </group>
  );
});

type SolidProps = {
  readonly geometry: ReturnType<typeof frameBody>;
  readonly colour: string;
  readonly edge: string;
  readonly onPick?: () => void;
};

/** Edges are drawn where faces turn by more. */
const EDGE_DEG = 30;

function Body(props: SolidProps) {
  const { geometry } = props;
  const edges = useMemo(() => new EdgesGeometry(geometry, EDGE_DEG), [geometry]);
  return <Solid edges={edges} {...props} />;
}

type EdgedProps = SolidProps & { readonly edges: SolidProps['geometry'] };

function Solid({ geometry, edges, colour, edge, onPick }: EdgedProps) {
  const material = usePly({ colour, opacity: 1, isSheet: false, hasGrain: true });
  useEffect(() => {
    drawSoon();
    return () => {
      geometry.dispose();
      edges.dispose();
    };
  }, [geometry, edges]);
  return (
    <>
      <mesh
        geometry={geometry}
        material={material}
        onClick={
          onPick &&
          ((event) => {
            event.stopPropagation();
            onPick();
          })
        }
      />
      <lineSegments geometry={edges}>
        <lineBasicMaterial color={edge} transparent opacity={0.75} />
      </lineSegments>
    </>
  );
}

/** Under the lowest point by this share of the length, or the shadow lies in the bottom. */
const UNDER = 0.012;

type GroundProps = {
  readonly shapes: readonly (readonly FoldedRuling[])[];
  readonly length: number;
  readonly middle: number;
};

function Ground({ shapes, length, middle }: GroundProps) {
  const shadow = useMemo(() => groundShadow(), []);
  useEffect(() => () => shadow?.texture.dispose(), [shadow]);
  const { floor, low } = useMemo(() => {
    const places = shapes.flatMap((shape) => shape.flatMap(({ p, q }) => [p, q]));
    const wide = 2 * Math.max(0, ...places.map((p) => Math.abs(p[1]))) + ROUND * length;
    const made: Floor = { x: middle, long: (1 + 2 * ROUND) * length, wide };
    return { floor: made, low: Math.min(0, ...places.map((p) => p[2])) };
  }, [shapes, middle, length]);
  useLayoutEffect(() => {
    shadow?.draw(shapes, floor);
    drawSoon();
  }, [shadow, shapes, floor]);
  if (!shadow) return null;
  return (
    <mesh position={[floor.x, 0, low - length * UNDER]} renderOrder={-1}>
      <planeGeometry args={[floor.long, floor.wide]} />
      <meshBasicMaterial map={shadow.texture} transparent depthWrite={false} />
    </mesh>
  );
}
/** Of the length, round what stands on the floor: its shadow is soft. */
const ROUND = 0.16;

/** Where the tape's mark lies on the hull. It is moved by hand, or each step would be a picture by itself. */
function Bead({ size }: { readonly size: number }) {
  const tape = useTape();
  const mark = useAppSelector((state) => state.screen.tapeMm);
  const theme = useTheme();
  const bead = useRef<Mesh>(null);
  const place = tape && mark !== null ? pointOnTape(tape, mark) : null;
  const [x, y, z] = place ?? [0, 0, 0];
  const isThere = place !== null;
  useLayoutEffect(() => {
    bead.current?.position.set(x, y, z);
    drawMark();
  }, [x, y, z, isThere]);
  if (!isThere) return null;
  return (
    <mesh ref={bead}>
      <sphereGeometry args={[size, 12, 12]} />
      <meshBasicMaterial color={theme.palette.secondary.main} />
    </mesh>
  );
}
