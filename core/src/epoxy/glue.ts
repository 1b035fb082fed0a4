/**
 * Every glue line: where sheets join, scarfs and layers of timber, members on the skin, cleats and doublers on frames,
 * and framed edges against the skin.
 *
 * Method: the faces that meet, by area; a member's from its two edges as they are marked on the flat panel, a cleat's
 * two faces by its length, a doubler's by its ring. Thickened glue on one face, unthickened on both.
 */
import { area, netArea } from '../geometry';
import type { Frame, FramesValue } from '../frames';
import type { CutInside } from '../fitout';
import type { JointedPanel } from '../joints';
import type { ScarfCount, TimberRun } from '../timber';
import { GLUE_LINE, GLUE_PRIMER } from './constants';
import type { EpoxyPart } from './schema';
import type { GlueFace, TakeoffLine } from './line';

export type Glued = {
  readonly jointed: readonly JointedPanel[];
  readonly frames: readonly Frame[];
  readonly members: FramesValue['members'];
  readonly inside: readonly CutInside[];
  readonly runs: readonly TimberRun[];
  readonly scarfs: readonly ScarfCount[];
};

export type Faces = { readonly item: string; readonly what: GlueFace; readonly areaM2: number };

const MM2_PER_M2 = 1e6;

/** Those faces that are glued with epoxy. */
export function glueLines(faces: readonly Faces[], part: Pick<EpoxyPart, 'glueFillerShare'>): TakeoffLine[] {
  return faces
    .filter(({ areaM2 }) => areaM2 > 0)
    .map(({ item, what, areaM2 }): TakeoffLine => {
      const thick = areaM2 * GLUE_LINE.value;
      return {
        ...{ group: 'glue', work: 'glue', item, from: { kind: 'glued', what, areaM2 }, clothM2: 0, tapeM: 0 },
        resin: thick * (1 - part.glueFillerShare) + 2 * areaM2 * GLUE_PRIMER.value,
        filler: thick * part.glueFillerShare,
      };
    });
}

export const facesOf = ({ jointed, frames, members, inside, runs, scarfs }: Glued): Faces[] => [
  ...jointed.map(sheetJoints),
  ...jointed.flatMap(onTheLayerUnder),
  ...runs.flatMap(layersOf),
  ...runs.flatMap((run) => scarfsOf(run, scarfs)),
  ...members.map(onSkin),
  ...frames.flatMap(ofFrame),
  ...inside.flatMap(ofInside),
];

/** What is glued where the sheets join: scarfs, or else whatever there is. */
const jointsWord = ({ joints }: JointedPanel): string =>
  joints.every(({ kind }) => kind === 'scarf')
    ? 'Scarfs'
    : joints.every(({ kind }) => kind === 'strap')
      ? 'Straps'
      : 'Joints';

function sheetJoints(panel: JointedPanel): Faces {
  const mm2 = panel.joints.reduce((sum, { depth, kind, width }) => sum + depth * (kind === 'tongues' ? 0 : width), 0);
  const hands = panel.isPair ? 2 : 1;
  const item = `${jointsWord(panel)}, ${panel.name.toLowerCase()}`;
  return { item, what: 'blanks', areaM2: (mm2 * hands) / MM2_PER_M2 };
}

/** Of a panel laid of layers all but the first are glued down on the whole of a face. */
function onTheLayerUnder({ layer, name, pieces, isPair }: JointedPanel): Faces[] {
  if (!layer || layer.number === 1) return [];
  const mm2 = pieces.reduce((sum, { outline }) => sum + area(outline), 0) * (isPair ? 2 : 1);
  return [{ item: name, what: 'skins', areaM2: Math.abs(mm2) / MM2_PER_M2 }];
}

function layersOf({ name, layers, width, length, qty }: TimberRun): Faces[] {
  if (!layers) return [];
  const pieces = qty / layers.count;
  return [{ item: name, what: 'layers', areaM2: ((layers.count - 1) * pieces * width * length) / MM2_PER_M2 }];
}

/** Each as long as it slopes through the thinner way, and as wide as the other. */
function scarfsOf({ id, name, width, depth, qty }: TimberRun, scarfs: readonly ScarfCount[]): Faces[] {
  const found = scarfs.find(({ run }) => run === id);
  if (!found) return [];
  const [thick, wide] = [Math.min(width, depth), Math.max(width, depth)];
  const mm2 = found.count * qty * wide * Math.hypot(found.scarfMm, thick);
  return [{ item: `${name}, scarfs`, what: 'scarfs', areaM2: mm2 / MM2_PER_M2 }];
}

function onSkin({ name, marks, isPair }: FramesValue['members'][number]): Faces {
  const mm2 = marks.reduce((sum, { near, far }) => sum + Math.abs(area([...near, ...[...far].reverse()])), 0);
  return { item: name, what: 'skin', areaM2: (mm2 * (isPair ? 2 : 1)) / MM2_PER_M2 };
}

/** Of each kind of timber under a part how broad it is glued, of its breadth and its depth. */
const gluedBy: Readonly<Record<CutInside['supports'][number]['of'], (breadth: number, depth: number) => number>> = {
  skin: (breadth, depth) => breadth + depth,
  frame: (breadth, depth) => breadth + depth,
  bearer: (breadth) => breadth,
  pad: (breadth) => breadth,
  // between what it fills up to and what lies on it
  block: (breadth) => 2 * breadth,
  // against the flat of the sides' ends
  stem: (_, depth) => depth,
  // along its arms, as it says itself
  knee: () => 0,
  // the part itself: its edge is counted
  solid: () => 0,
};

/** Its cleats on two faces, its bearers on the one under it, a block on both; a bevelled edge against the skin. */
function ofInside({ name, hand, thickness, isSquare, pieces, supports }: CutInside): Faces[] {
  const hands = hand === 'pair' ? 2 : 1;
  const timbers = supports.reduce(
    (sum, { of, lengthMm, breadth, depth, gluedMm2 }) => sum + (gluedMm2 ?? lengthMm * gluedBy[of](breadth, depth)),
    0,
  );
  const along = pieces.flatMap(({ atSkin }) => atSkin).reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const edge = isSquare ? 0 : along * thickness;
  return [
    // of solid timber nothing lies under it: it is glued along its own faces
    {
      item: `${name}, ${pieces.length > 0 ? 'cleats' : 'faces'}`,
      what: 'cleats',
      areaM2: (timbers * hands) / MM2_PER_M2,
    },
    { item: `${name}, edge`, what: 'edges', areaM2: (edge * hands) / MM2_PER_M2 },
  ];
}

function ofFrame({ name, edges, width, cleats, rims }: Frame): Faces[] {
  const framed = edges.filter(({ school }) => school === 'framed').reduce((sum, { seamMm }) => sum + seamMm, 0);
  const onCleats = cleats.reduce(
    (sum, { pieces, breadthMm, depthMm }) =>
      sum + pieces.reduce((all, { lengthMm, isPair }) => all + lengthMm * (breadthMm + depthMm) * (isPair ? 2 : 1), 0),
    0,
  );
  const onRims = rims
    .filter(({ what }) => what === 'doubler')
    .reduce((sum, { region, isPair }) => sum + netArea(region) * (isPair ? 2 : 1), 0);
  return [
    { item: `${name}, edge`, what: 'edges', areaM2: (framed * width) / MM2_PER_M2 },
    { item: `${name}, cleats`, what: 'cleats', areaM2: onCleats / MM2_PER_M2 },
    { item: `${name}, doublers`, what: 'doublers', areaM2: onRims / MM2_PER_M2 },
  ];
}
