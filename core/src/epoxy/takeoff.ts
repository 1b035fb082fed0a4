/**
 * What to buy: resin and glass for seams, sealing, sheathing and scarfs, each line with what it was counted from.
 *
 * Method: a fillet of radius r in an angle θ has the section r²·(cot(θ/2) − (π−θ)/2): the kite between the two sides
 * and the centre, less the sector (derived here); times length and density, less the filler's share. Glass takes
 * resin in proportion to its weight. Waste is a share of what is mixed, so the sum is divided by one less that share.
 */
import { at, cross3, distance2, dot3, unit3, type Vec3 } from '../geometry';
import type { Assumption } from '../findings';
import type { Frame, Girder, School } from '../frames';
import type { JointedPanel } from '../joints';
import { CENTRELINE_MM, type Hull } from '../lines';
import { toDeg, toRad } from '../measure';
import {
  lengthBetween,
  onEdge,
  sharedStretches,
  type EdgeOfPanel,
  type Panel,
  type Shared,
  type Transom,
} from '../panels';
import {
  BULKHEAD_ANGLE_DEG,
  FILL_COAT,
  FILL_COATS,
  GLUE_LINE,
  GLUE_PRIMER,
  MIX_DENSITY,
  RESIN_PER_BIAXIAL,
  RESIN_PER_WOVEN,
  SEAL_FIRST_COAT,
  SEAL_NEXT_COAT,
} from './constants';
import type { EpoxyFinding, EpoxyResult } from './findings';
import type { EpoxyPart } from './schema';
import { sheathedPanels, sheathingFindings } from './sheathing';

type Seam = {
  readonly id: string;
  /** What meets: two panels, a panel and its mirror at keel or end, the skin and a transom, the skin and a bulkhead. */
  readonly kind: 'two-panels' | 'mirror' | 'transom' | 'bulkhead';
  readonly name: string;
  /** Both sides of the boat together, mm. */
  readonly length: number;
  readonly angleDeg: number;
  readonly isFilleted: boolean;
};

/** What a line was counted from: figures, said in words by from-words.ts. Lengths mm, areas m². */
export type CountedFrom =
  | {
      readonly kind: 'fillet';
      readonly length: number;
      readonly sectionMm2: number;
      readonly radius: number;
      readonly angleDeg: number;
    }
  | { readonly kind: 'tape'; readonly length: number; readonly layers: number; readonly width: number }
  | { readonly kind: 'cloth'; readonly areaM2: number; readonly weight: number; readonly coats: number }
  | { readonly kind: 'faces'; readonly areaM2: number; readonly coats: number }
  | { readonly kind: 'scarf'; readonly areaM2: number };

export type TakeoffLine = {
  readonly group: 'fillets' | 'tapes' | 'sheathing' | 'sealing' | 'glue';
  readonly item: string;
  readonly from: CountedFrom;
  /** Mixed resin and hardener, g, before waste. */
  readonly resin: number;
  /** Filler powder, g. */
  readonly filler: number;
  /** Cloth or tape, m²; and its running length where it is tape, m. */
  readonly clothM2: number;
  readonly tapeM: number;
};

export type Takeoff = {
  readonly seams: readonly Seam[];
  readonly lines: readonly TakeoffLine[];
  readonly resin: number;
  readonly resinWithWaste: number;
  readonly filler: number;
  readonly clothM2: number;
  readonly tapeM: number;
};

export type TakeoffInput = {
  /** The lines that the panels lie between, lowest first. */
  readonly lines: Hull['lines'];
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly jointed: readonly JointedPanel[];
  readonly school: School;
  readonly part: EpoxyPart;
};

/** Section of a fillet in an angle, mm²; nought from a straight angle on. */
export function filletArea(radius: number, angleRad: number): number {
  if (angleRad <= 0 || angleRad >= Math.PI) return 0;
  return radius * radius * (1 / Math.tan(angleRad / 2) - (Math.PI - angleRad) / 2);
}

/** The whole list. Quantities for both sides of the boat. */
export function takeOff(input: TakeoffInput): EpoxyResult<Takeoff> {
  const seams = findSeams(input);
  const lines = [
    ...seams
      .filter(({ kind }) => kind === 'bulkhead' || input.school === 'filleted')
      .flatMap((seam) => filletLines(seam, input.part)),
    ...seams.flatMap((seam) => tapeLines(seam, input)),
    ...sheathingLines(input),
    ...sealingLines(input),
    ...scarfLines(input),
  ].filter((line) => line.resin > 0 || line.clothM2 > 0);
  const sum = (key: 'resin' | 'filler' | 'clothM2' | 'tapeM') => lines.reduce((total, line) => total + line[key], 0);
  const resin = sum('resin');
  const value = {
    seams,
    lines,
    resin,
    filler: sum('filler'),
    clothM2: sum('clothM2'),
    tapeM: sum('tapeM'),
    resinWithWaste: resin / (1 - input.part.waste),
  };
  const findings: EpoxyFinding[] = [
    { severity: 'note', code: 'epoxy-safety', where: { stage: 'epoxy' }, data: {} },
    ...sheathingFindings(input),
  ];
  const assumed: Assumption[] =
    input.frames.length + input.transoms.length > 0 && input.school === 'filleted'
      ? [
          {
            what: 'Angle at bulkheads and transom',
            value: `${BULKHEAD_ANGLE_DEG.value}°`,
            because: BULKHEAD_ANGLE_DEG.note,
          },
        ]
      : [];
  return { value, findings, assumed };
}

function findSeams({ panels, transoms, frames, girders, school }: TakeoffInput): Seam[] {
  const seams: Seam[] = [];
  const all = sharedStretches(panels);
  for (const shared of all) {
    const isOnly = all.filter(({ line }) => line === shared.line).length === 1;
    seams.push(shared.below ? chineSeam(shared, shared.below, isOnly) : keelSeam(shared, panels, isOnly));
  }
  seams.push(...panels.flatMap(endSeams));
  const isFilleted = school === 'filleted';
  for (const transom of transoms) {
    const length = transom.seam.reduce((sum, stretch) => sum + stretch.length, 0);
    const turned = transom.seam.reduce((sum, stretch) => sum + stretch.length * stretch.angleRad, 0);
    const angleDeg = length > 0 ? toDeg(turned / length) : BULKHEAD_ANGLE_DEG.value;
    seams.push({ id: transom.id, kind: 'transom', name: transom.name, length, angleDeg, isFilleted });
  }
  return [...seams, ...frames.flatMap(bulkheadSeam), ...girders.flatMap(girderSeam)];
}

/** Along the skin under a girder, on both its faces. */
function girderSeam({ id, name, school, seamMm: length }: Girder): Seam[] {
  if (school !== 'filleted') return [];
  return [{ id, kind: 'bulkhead', name, length, angleDeg: BULKHEAD_ANGLE_DEG.value, isFilleted: true }];
}

/** Along the edges that are filleted; none where no edge is. */
function bulkheadSeam({ id, name, edges }: Frame): Seam[] {
  const filleted = edges.filter(({ school }) => school === 'filleted');
  const length = filleted.reduce((sum, { seamMm }) => sum + seamMm, 0);
  if (length === 0) return [];
  return [{ id, kind: 'bulkhead', name, length, angleDeg: BULKHEAD_ANGLE_DEG.value, isFilleted: true }];
}

/** Inner angle between two panels that meet, averaged over the seam by the normals of the rulings along it. */
function chineSeam({ line, from, to, above }: Shared, below: EdgeOfPanel, isOnly: boolean): Seam {
  const angles = placesBetween(from, to).map((t) => Math.PI - angleBetween(normalAt(below, t), normalAt(above, t)));
  return {
    id: isOnly ? line : `${line}.${below.panel.id}.${above.panel.id}`,
    kind: 'two-panels',
    name: `${below.panel.name} to ${above.panel.name.toLowerCase()}`,
    length: 2 * lengthBetween(above, [from, to]),
    angleDeg: toDeg(angles.reduce((sum, a) => sum + a, 0) / angles.length),
    isFilleted: true,
  };
}

/** A panel and its own mirror: along the keel, and, where it runs on beyond the panel below it, along stem or stern. */
function keelSeam({ line, from, to, above }: Shared, panels: readonly Panel[], isOnly: boolean): Seam {
  const angles = placesBetween(from, to).map((t) => {
    const [x, y, z] = normalAt(above, t);
    return Math.PI - angleBetween([x, y, z], [x, -y, z]);
  });
  const isLowest = above.panel === panels[0];
  const place = from === 0 ? 'Stem' : to === 1 ? 'Stern' : 'Keel';
  return {
    id: isOnly ? line : `${line}.${above.panel.id}.${place.toLowerCase()}`,
    kind: 'mirror',
    name: isLowest ? 'Keel' : `${place}, ${above.panel.name.toLowerCase()}`,
    length: lengthBetween(above, [from, to]),
    angleDeg: toDeg(angles.reduce((sum, a) => sum + a, 0) / angles.length),
    isFilleted: true,
  };
}

/** A panel and its mirror where they end on each other along a straight stem or stern: the panel's own last ruling. */
function endSeams(panel: Panel): Seam[] {
  if (panel.spansCentreline) return [];
  return (['fore', 'aft'] as const).flatMap((end): Seam[] => {
    const { p, q, flatP, flatQ, normal } = at(panel.rulings, end === 'fore' ? 0 : -1);
    const length = distance2(flatP, flatQ);
    if (length < LEAST_SEAM_MM || Math.max(Math.abs(p[1]), Math.abs(q[1])) > CENTRELINE_MM) return [];
    const [x, y, z] = normal;
    const name = `${end === 'fore' ? 'Stem' : 'Stern'}, ${panel.name.toLowerCase()}`;
    const angleDeg = toDeg(Math.PI - angleBetween([x, y, z], [x, -y, z]));
    return [{ id: `${panel.id}.${end}`, kind: 'mirror', name, length, angleDeg, isFilleted: true }];
  });
}

/** A shorter end comes to a point. */
const LEAST_SEAM_MM = 1;

const STEPS = [0.1, 0.3, 0.5, 0.7, 0.9];
const placesBetween = (from: number, to: number): number[] => STEPS.map((w) => from + w * (to - from));

function normalAt({ panel, end, stretch }: EdgeOfPanel, t: number): Vec3 {
  const u = onEdge(stretch, t);
  return (panel.rulings.find((r) => (end === 'P' ? r.s : r.t) >= u) ?? at(panel.rulings, -1)).normal;
}

const angleBetween = (a: Vec3, b: Vec3): number =>
  Math.atan2(Math.hypot(...cross3(unit3(a), unit3(b))), dot3(unit3(a), unit3(b)));

const none = { resin: 0, filler: 0, clothM2: 0, tapeM: 0 };

function filletLines(seam: Seam, part: EpoxyPart): TakeoffLine[] {
  if (!seam.isFilleted) return [];
  const section = filletArea(part.filletRadius, toRad(seam.angleDeg));
  // a bulkhead is filleted on both its faces, a seam or a transom on the inside only
  const sides = seam.kind === 'bulkhead' ? 2 : 1;
  const mass = (section * seam.length * sides * MIX_DENSITY.value) / 1000;
  const from: CountedFrom = {
    ...{ kind: 'fillet', length: seam.length * sides, sectionMm2: section },
    ...{ radius: part.filletRadius, angleDeg: seam.angleDeg },
  };
  return [
    {
      ...none,
      group: 'fillets',
      item: seam.name,
      from,
      resin: mass * (1 - part.fillerShare),
      filler: mass * part.fillerShare,
    },
  ];
}

function tapeLines(seam: Seam, { part, school }: TakeoffInput): TakeoffLine[] {
  const isBulkhead = seam.kind === 'bulkhead';
  const inside = isBulkhead || school === 'filleted' ? part.tapeLayersInside * (isBulkhead ? 2 : 1) : 0;
  const layers = inside + (isBulkhead ? 0 : part.tapeLayersOutside);
  const tapeM = (seam.length * layers) / 1000;
  const clothM2 = (tapeM * part.tapeWidth) / 1000;
  const from: CountedFrom = { kind: 'tape', length: seam.length, layers, width: part.tapeWidth };
  return [
    {
      ...none,
      group: 'tapes',
      item: seam.name,
      from,
      resin: clothM2 * part.tapeWeight * RESIN_PER_BIAXIAL.value,
      clothM2,
      tapeM,
    },
  ];
}

const bothSides = (panel: Panel): number => panel.areaM2 * (panel.spansCentreline ? 1 : 2);

function sheathingLines({ lines, panels, part }: TakeoffInput): TakeoffLine[] {
  const { sheathed } = sheathedPanels({ lines, panels, part });
  return sheathed.map((panel): TakeoffLine => {
    const clothM2 = bothSides(panel);
    const resin = clothM2 * (part.sheathingWeight * RESIN_PER_WOVEN.value + FILL_COATS.value * FILL_COAT.value);
    const { sheathingWeight: weight } = part;
    const from: CountedFrom = { kind: 'cloth', areaM2: clothM2, weight, coats: FILL_COATS.value };
    return { ...none, group: 'sheathing', item: panel.name, from, resin, clothM2 };
  });
}

function sealingLines({ panels, transoms, frames, girders, part }: TakeoffInput): TakeoffLine[] {
  const rate = part.sealingCoats === 0 ? 0 : SEAL_FIRST_COAT.value + (part.sealingCoats - 1) * SEAL_NEXT_COAT.value;
  const line = (item: string, faceM2: number): TakeoffLine => ({
    ...none,
    group: 'sealing',
    item,
    resin: faceM2 * rate,
    from: { kind: 'faces', areaM2: faceM2, coats: part.sealingCoats },
  });
  const skin = panels.map((panel) => line(panel.name, 2 * bothSides(panel)));
  const ends = transoms.map((transom) => line(transom.name, 2 * transom.areaM2));
  const bulkheads = frames
    .filter(({ material }) => material === 'plywood')
    .map(({ name, areaM2 }) => line(name, 2 * areaM2));
  const along = girders.map(({ name, areaM2 }) => line(name, 2 * areaM2));
  return [...skin, ...ends, ...bulkheads, ...along];
}

/** What is glued where the sheets join: scarfs, or else whatever there is. */
const jointsWord = ({ joints }: JointedPanel): string =>
  joints.every(({ kind }) => kind === 'scarf')
    ? 'Scarfs'
    : joints.every(({ kind }) => kind === 'strap')
      ? 'Straps'
      : 'Joints';

function scarfLines({ jointed, part }: TakeoffInput): TakeoffLine[] {
  return jointed.flatMap((panel) => {
    const sides = panel.spansCentreline ? 1 : 2;
    const faceM2 =
      (panel.joints.reduce((sum, joint) => sum + joint.depth * (joint.kind === 'tongues' ? 0 : joint.width), 0) *
        sides) /
      1e6;
    if (faceM2 === 0) return [];
    const thick = faceM2 * GLUE_LINE.value;
    const line: TakeoffLine = {
      ...none,
      group: 'glue',
      item: `${jointsWord(panel)}, ${panel.name.toLowerCase()}`,
      from: { kind: 'scarf', areaM2: faceM2 },
      resin: thick * (1 - part.fillerShare) + 2 * faceM2 * GLUE_PRIMER.value,
      filler: thick * part.fillerShare,
    };
    return [line];
  });
}
