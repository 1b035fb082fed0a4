/**
 * The panels of the boat as it stands, rather than as it was drawn.
 *
 * Method (methods: as built): each frame that was read is its drawn section moved by the rigid motion that explains its
 * readings; the lines run through them as battens do (lines/displaced.ts), and the panels are developed from those
 * lines and cut as the drawn ones are. Of a boat whose sides differ each side has its own. What was not read, and the
 * boat's ends, are taken to stand where they should.
 */
import { at, distance3, type Vec3 } from '../geometry';
import { frameAt, planeOf, type Frame } from '../frames';
import { battenAt, crossingsOfX, displaced, positionOf, type Hull, type MovedSection } from '../lines';
import { toRad } from '../measure';
import {
  assembleSkin,
  depthOfInside,
  needsRemedy,
  skinAsked,
  standingOf,
  type Panel,
  type PanelsPart,
  type SkinProject,
} from '../panels';
import type { Remember } from '../stage';
import { HANDS, type BuiltHand, type BuiltPanel, type FittedFrame } from './built';
import type { SetupFinding } from './findings';
import { edgeChanges } from './edge-changes';
import { moved, type Motion } from './motion';
import type { SetupPart, SidePlace } from './schema';
import { alongFrom, type Heights } from './standing';
import type { SetupValue, Stood } from './value';

/** No frame that is true enough to plank has its keel farther off the string, mm. */
const KEEL_WITHIN_MM = 300;
/** The lines that differ by no more are a pair's, mm. */
const SAME_MM = 0.05;

export type BuiltFrom = {
  readonly hull: Hull;
  readonly frames: readonly Frame[];
  readonly drawn: readonly Panel[];
  readonly stood: readonly Stood[];
  readonly heights: Heights;
  /** Of the sides as they are bent: what was measured, and where the tape's mark is. */
  readonly sides: readonly SidePlace[];
  readonly along: (mm: number) => number;
  readonly project: SkinProject & { readonly panels: PanelsPart };
};

/** Frames that are not set up yet, to the boat as it stands. */
export function framesFitted(
  { frames, stood, project }: Pick<BuiltFrom, 'frames' | 'stood' | 'project'>,
  built: readonly BuiltPanel[],
): FittedFrame[] {
  const side = (hand: 'starboard' | 'port') =>
    built.filter((one) => one.hand === hand || one.hand === 'pair' || one.hand === 'across').map(({ panel }) => panel);
  const skin = depthOfInside(project.panels);
  return stood
    .filter(({ result }) => result.advised.readings === 0)
    .flatMap(({ id }) => frames.find((frame) => frame.id === id) ?? [])
    .flatMap(({ id, name, x, width, face, rakeRad }): FittedFrame[] => {
      const [starboard, port] = (['starboard', 'port'] as const).map(
        (hand) => frameAt(side(hand), x, { skin, width, face, rakeRad })?.outline,
      );
      return starboard && port ? [{ id, name, starboard, port }] : [];
    });
}

/** Panels that can be made of the boat as it stands; one that cannot is left out. */
export function panelsAsBuilt(from: BuiltFrom, remember: Remember): BuiltPanel[] {
  const { hull, drawn, project } = from;
  const sections = movedSections(from);
  const [starboard, port] = [displaced(hull, sections), displaced(hull, sections.map(turnedOver))];
  const isPair = starboard.lines.every((line, k) => isAlike(line, at(port.lines, k)));
  const { settings: asDrawn, stock } = skinAsked(project.panels, project);
  const settings = { ...asDrawn, keelWithinMm: KEEL_WITHIN_MM };
  const skin = (of: Hull, hand: string) =>
    assembleSkin(of, settings, stock, (id, make, ...args) => remember(`${hand}, ${id}`, make, ...args)).value.panels;
  const whole = skin({ ...starboard, ...(starboard.lines[0] && { otherLowest: at(port.lines, 0) }) }, 'starboard');
  const sides = isPair ? [] : skin(port, 'port').filter(({ spansCentreline }) => !spansCentreline);
  const made = [
    ...whole.map((panel) => ({ panel, hand: handOf(panel, isPair) })),
    ...sides.map((panel) => ({ panel, hand: 'port' as const })),
  ];
  return made.flatMap(({ panel, hand }): BuiltPanel[] => {
    const was = drawn.find(({ id }) => id === panel.id);
    return was ? [{ panel, hand, changes: edgeChanges(panel, was) }] : [];
  });
}

const handOf = ({ spansCentreline }: Panel, isPair: boolean): BuiltHand => {
  if (spansCentreline) return 'across';
  return isPair ? 'pair' : 'starboard';
};

type Pointed = Hull['lines'][number];
const isAlike = (a: Pointed, b: Pointed): boolean =>
  a.points.length === b.points.length &&
  a.points.every((p, k) => distance3(positionOf(p), positionOf(at(b.points, k))) < SAME_MM);

/** Where a point of a frame as drawn stands, in the boat's own axes. */
export function builtPlace({ set, result }: Pick<Stood, 'set' | 'result'>, { from, sign }: Heights): (p: Vec3) => Vec3 {
  const { x, y, z, rollDeg, pitchDeg, yawDeg } = result.moved;
  const motion: Motion = [x, y, z, toRad(rollDeg), toRad(pitchDeg), toRad(yawDeg)];
  return ([px, py, pz]) => {
    const [mx, my, mz] = moved(motion, set.centre, [px, py, from + sign * pz]);
    return [mx, my, (mz - from) * sign];
  };
}

/** A frame within its tolerance has not moved. */
const isOut = ({ result }: Stood): boolean => result.advised.readings > 0 && result.cause !== 'true';

/** Frames that hold the hull, read or taken to be right, and places at which it was measured. */
function movedSections({ frames, stood, heights, sides, along }: BuiltFrom): MovedSection[] {
  const measured = sides.map(({ line, along: mm, breadth, over }): MovedSection => {
    const x = along(mm);
    const place: Vec3 = [x, breadth / 2, (over - heights.from) * heights.sign];
    // to port the same: it is half of the breadth that is known
    return { line, plane: { normal: [1, 0, 0], level: x }, move: ([, y]) => (y < 0 ? mirror(place) : place) };
  });
  // sides that were measured are held by what was measured, and by frames that were read
  const holds = sides.length > 0 ? stood.filter(({ result }) => result.advised.readings > 0) : stood;
  const held = holds.flatMap((one): MovedSection[] => {
    const frame = frames.find(({ id }) => id === one.id);
    if (!frame) return [];
    return [{ plane: planeOf(frame), move: isOut(one) ? builtPlace(one, heights) : (p: Vec3): Vec3 => p }];
  });
  return [...measured, ...held];
}

const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
/** Planes stand square to the centreline. */
const turnedOver = ({ move, ...section }: MovedSection): MovedSection => ({
  ...section,
  move: (p) => mirror(move(mirror(p))),
});

/** Strain that is more than force takes up (methods: what cannot be developed). */
const STRAINED = 0.003;

/** Panels that plywood takes as drawn and not as the boat stands, and those that cannot be made at all. */
export function judgeBuilt(built: readonly BuiltPanel[], drawn: readonly Panel[]): SetupFinding[] {
  const where = { stage: 'setup' } as const;
  const unfair = drawn.filter((panel) => needsRemedy(standingOf(panel)));
  const note: SetupFinding[] =
    unfair.length === 0
      ? []
      : [
          {
            ...{ severity: 'note', code: 'built-undeveloped', where },
            data: { panels: unfair.map(({ name }) => name).join(', ') },
          },
        ];
  const missing = drawn.filter(({ id }) => !built.some(({ panel }) => panel.id === id));
  const strained = built.flatMap(({ panel, hand }): SetupFinding[] => {
    const was = drawn.find(({ id }) => id === panel.id);
    const [strain, before] = [panel.maxStrain.value, was?.maxStrain.value ?? 0];
    if (strain <= Math.max(STRAINED, before)) return [];
    const data = { panel: panel.name, hand: HANDS[hand], strain, drawn: before };
    return [{ severity: 'check', code: 'built-strained', where, data }];
  });
  if (missing.length === 0) return [...strained, ...note];
  const data = { panels: missing.map(({ name }) => name).join(', ') };
  return [{ severity: 'check', code: 'built-none', where, data }, ...strained, ...note];
}

/** What a line measures as drawn at a place along the tape, within the line's own ends. */
export function placeAsDrawn(
  { lines, fromX, toX }: Pick<Hull, 'lines' | 'fromX' | 'toX'>,
  asked: {
    readonly line: string;
    readonly along: number;
    readonly part: SetupPart;
    readonly value: Pick<SetupValue, 'heights'>;
  },
): Pick<SidePlace, 'along' | 'breadth' | 'over'> {
  const { heights } = asked.value;
  const place = alongFrom({ fromX, toX, part: asked.part });
  const batten = lines.find(({ id }) => id === asked.line)?.batten;
  const t = batten && crossingsOfX(batten, place(asked.along))[0];
  if (!batten || t === undefined) return { along: asked.along, breadth: 0, over: 0 };
  const { position } = battenAt(batten, t);
  return { along: asked.along, breadth: 2 * position[1], over: Math.max(0, heights.from + heights.sign * position[2]) };
}
