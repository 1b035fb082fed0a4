/**
 * The panels of the boat as it stands, rather than as it was drawn.
 *
 * Method (methods: as built): each frame that was read is its drawn section moved by the rigid motion that explains its
 * readings; the lines run through them as battens do (lines/displaced.ts), and the panels are developed from those
 * lines and cut as the drawn ones are. Of a boat whose sides differ each side has its own. What was not read, and the
 * boat's ends, are taken to stand where they should.
 */
import { at, distance3, type Vec3 } from '../geometry';
import { planeOf, type Frame } from '../frames';
import { displaced, positionOf, type Hull, type MovedSection } from '../lines';
import { toRad } from '../measure';
import { assembleSkin, skinAsked, type Panel, type PanelsPart, type SkinProject } from '../panels';
import type { Remember } from '../stage';
import type { SetupFinding } from './findings';
import { edgeChanges, type EdgeChange } from './edge-changes';
import { moved, type Motion } from './motion';
import type { Heights } from './standing';
import type { Stood } from './value';

export type BuiltHand = 'pair' | 'starboard' | 'port' | 'across';
export type BuiltPanel = {
  readonly panel: Panel;
  readonly hand: BuiltHand;
  readonly changes: readonly EdgeChange[];
};
/** The lines that differ by no more are a pair's, mm. */
const SAME_MM = 0.05;

export type BuiltFrom = {
  readonly hull: Hull;
  readonly frames: readonly Frame[];
  readonly drawn: readonly Panel[];
  readonly stood: readonly Stood[];
  readonly heights: Heights;
  readonly project: SkinProject & { readonly panels: PanelsPart };
};

/** Panels that can be made of the boat as it stands; one that cannot is left out. */
export function panelsAsBuilt(from: BuiltFrom, remember: Remember): BuiltPanel[] {
  const { hull, drawn, project } = from;
  const sections = movedSections(from);
  const [starboard, port] = [displaced(hull, sections), displaced(hull, sections.map(turnedOver))];
  const isPair = starboard.lines.every((line, k) => isAlike(line, at(port.lines, k)));
  const { settings, stock } = skinAsked(project.panels, project);
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

const movedSections = ({ frames, stood, heights }: BuiltFrom): MovedSection[] =>
  stood.flatMap((one) => {
    const frame = frames.find(({ id }) => id === one.id);
    if (!frame) return [];
    return [{ plane: planeOf(frame), move: isOut(one) ? builtPlace(one, heights) : (p: Vec3): Vec3 => p }];
  });

const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
/** Planes stand square to the centreline. */
const turnedOver = ({ plane, move }: MovedSection): MovedSection => ({ plane, move: (p) => mirror(move(mirror(p))) });

/** Strain that is more than force takes up (methods: what cannot be developed). */
const STRAINED = 0.003;

/** Panels that plywood takes as drawn and not as the boat stands, and those that cannot be made at all. */
export function judgeBuilt(built: readonly BuiltPanel[], drawn: readonly Panel[]): SetupFinding[] {
  const where = { stage: 'setup' } as const;
  const missing = drawn.filter(({ id }) => !built.some(({ panel }) => panel.id === id));
  const strained = built.flatMap(({ panel, hand }): SetupFinding[] => {
    const was = drawn.find(({ id }) => id === panel.id);
    const [strain, before] = [panel.maxStrain.value, was?.maxStrain.value ?? 0];
    if (strain <= Math.max(STRAINED, before)) return [];
    const data = { panel: panel.name, hand: HANDS[hand], strain, drawn: before };
    return [{ severity: 'check', code: 'built-strained', where, data }];
  });
  if (missing.length === 0) return strained;
  const data = { panels: missing.map(({ name }) => name).join(', ') };
  return [{ severity: 'check', code: 'built-none', where, data }, ...strained];
}

export const HANDS = { pair: 'both sides', starboard: 'starboard', port: 'port', across: 'across' } as const;
