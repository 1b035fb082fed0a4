/**
 * What the boat is made of, weighed and placed: plywood by its net area, timber by its section and length, epoxy and
 * glass by the list of quantities along their seams, paint dry.
 *
 * Joints of sheets weigh nothing of their own: of a scarf's two tapers one thickness is left. What has no place of its
 * own (screws, paint, timber that the builder added) is put where the skin's middle is, and says so.
 */
import type { Takeoff, TakeoffLine } from '../epoxy';
import { cornersOf, kneeCorners, placesOf, stemCorners, type CutInside, type InsideValue } from '../fitout';
import type { Triangle } from '../formats';
import {
  girderPieces,
  placeInBoat,
  placeOnGirder,
  type Frame,
  type FramesValue,
  type Girder,
  type MemberRun,
} from '../frames';
import {
  add3,
  area,
  at,
  cross3,
  dot3,
  length3,
  middleOf,
  netArea,
  scale3,
  sub3,
  type Region,
  type Vec2,
  type Vec3,
} from '../geometry';
import { isCutTwice, outsideOf, skinTriangles, thicknessOf, transomTriangles } from '../panels';
import type { Panel, PanelsValue } from '../panels';
import type { JointedPanel } from '../joints';
import type { CutPart } from '../sheets';
import type { TimberValue } from '../timber';
import { PAINT_DRY } from './constants';
import { middleOfSurface } from './hull-solid';
import type { WeightsPart } from './schema';

export const ITEM_GROUPS = ['plywood', 'timber', 'epoxy and glass', 'paint', 'fittings'] as const;
export type ItemGroup = (typeof ITEM_GROUPS)[number];

export type Item = {
  readonly id: string;
  readonly name: string;
  readonly group: ItemGroup;
  readonly grams: number;
  /** Of its middle. */
  readonly at: Vec3;
  /** It has no place of its own in the model: it is taken to lie where the skin does. */
  readonly isSpread?: true;
};

export type Made = {
  readonly panels: Pick<PanelsValue, 'panels' | 'transoms'>;
  readonly frames: FramesValue;
  readonly inside: Pick<InsideValue, 'parts' | 'walls' | 'blocks' | 'knees' | 'stems'>;
  readonly timber: Pick<TimberValue, 'runs'>;
  /** All that is cut from sheets, and by panel the pieces that it is joined from. */
  readonly cut: readonly CutPart[];
  readonly jointed: readonly JointedPanel[];
  readonly takeoff: Pick<Takeoff, 'lines' | 'seams' | 'coats' | 'weight'>;
  /** Of the usual sheet: how thick, and how far its outside lies over the lines. */
  readonly skin: { readonly thickness: number; readonly transomThickness: number; readonly outMm: number };
};

const GRAMS = 1e-6; // kg/m³ to g/mm³
const MM2_PER_M2 = 1e6;

const middleOutOf = (panel: Panel, { thickness, outMm }: Made['skin']): number =>
  outsideOf(panel, outMm) - thicknessOf(panel, thickness) / 2;

export function itemsOf(boat: Made, part: WeightsPart): Item[] {
  const { panels, transoms } = boat.panels;
  const surfaces = panels.map((panel) => middleOfSurface(skinTriangles([panel], middleOutOf(panel, boat.skin))));
  const skin = weighted(surfaces.flatMap((one) => (one ? [{ grams: one.areaMm2, at: one.at }] : []))) ?? [0, 0, 0];
  const ply = (areaM2: number, thickness: number) => areaM2 * MM2_PER_M2 * thickness * part.ply * GRAMS;
  const ofPanels = panels.map((panel, k): Item => ({
    ...{ id: panel.id, name: panel.name, group: 'plywood' },
    grams: ply(panel.areaM2 * (isCutTwice(panel) ? 2 : 1), thicknessOf(panel, boat.skin.thickness)),
    at: surfaces[k]?.at ?? skin,
  }));
  const ofTransoms = transoms.map((transom): Item => ({
    ...{ id: transom.id, name: transom.name, group: 'plywood' },
    grams: ply(transom.areaM2, boat.skin.transomThickness),
    at: middleOfSurface(transomTriangles(transom) as readonly Triangle[])?.at ?? skin,
  }));
  const items = [
    ...ofPanels,
    ...ofTransoms,
    ...boat.frames.frames.map((frame) => frameItem(frame, part)),
    ...boat.frames.girders.map((girder) => girderItem(girder, part)),
    ...boat.frames.members.map((member) => memberItem(member, part)),
    ...insideItems(boat.inside, part, skin),
    ...ownTimber(boat.timber, part, skin),
    ...otherPlywood(boat, part, skin),
  ];
  return [
    ...items,
    ...epoxyItems(boat.takeoff, items, skin),
    ...paintItem(boat.takeoff, skin),
    ...(part.fittings > 0
      ? [spread('fittings', 'Fittings and fastenings', 'fittings', 1000 * part.fittings, skin)]
      : []),
  ].filter(({ grams }) => grams > 0);
}

const spread = (id: string, name: string, group: ItemGroup, grams: number, where: Vec3): Item => ({
  ...{ id, name, group, grams, at: where, isSpread: true },
});

/** Of a flat region without its holes, on its own plane. */
function middleOfRegion({ outline, holes }: Region): Vec2 {
  const rings = [{ ring: outline, sign: 1 }, ...holes.map((ring) => ({ ring, sign: -1 }))];
  const sum = rings.reduce(
    (all, { ring, sign }) => {
      const own = sign * area(ring);
      const [u, v] = middleOf(ring);
      return { area: all.area + own, u: all.u + own * u, v: all.v + own * v };
    },
    { area: 0, u: 0, v: 0 },
  );
  return sum.area > 0 ? [sum.u / sum.area, sum.v / sum.area] : middleOf(outline);
}

/** Two of a pair lie to either side: their middle is on the centreline. */
const onMiddle = ([x, , z]: Vec3): Vec3 => [x, 0, z];

function frameItem(frame: Frame, { ply, timber }: WeightsPart): Item {
  const isPly = frame.material === 'plywood';
  const [y, z] = middleOfRegion(frame.cut);
  const where = placeInBoat(frame, [y, z], (frame.face === 'fore' ? 0.5 : -0.5) * frame.width);
  return {
    ...{ id: frame.id, name: frame.name, group: isPly ? 'plywood' : 'timber' },
    grams: frame.areaM2 * MM2_PER_M2 * frame.width * (isPly ? ply : timber) * GRAMS,
    at: frame.hand === 'pair' ? onMiddle(where) : where,
  };
}

function girderItem(girder: Girder, { ply }: WeightsPart): Item {
  const middles = girder.pieces.map((piece) => ({ grams: area(piece.outline), at: middleOfRegion(piece) }));
  const whole = middles.reduce((sum, one) => sum + one.grams, 0);
  const [s, z] = [0, 1].map((k) => middles.reduce((sum, one) => sum + (one.grams / whole) * at(one.at, k), 0));
  const where = placeOnGirder(girder.plane, [s ?? 0, z ?? 0], (girder.faces[0] + girder.faces[1]) / 2);
  return {
    ...{ id: girder.id, name: girder.name, group: 'plywood' },
    grams: girder.areaM2 * MM2_PER_M2 * girder.width * ply * GRAMS,
    at: girder.hand === 'pair' ? onMiddle(where) : where,
  };
}

/** Between one section and the next by their mean area and the way between their middles. */
function solidOf(rings: readonly FourCorners[]): { readonly volume: number; readonly at: Vec3 } | undefined {
  const sections = rings.map(([a, b, c, d]) => ({
    areaMm2: (length3(cross3(sub3(b, a), sub3(d, a))) + length3(cross3(sub3(b, c), sub3(d, c)))) / 2,
    middle: scale3(add3(add3(a, b), add3(c, d)), 1 / 4),
  }));
  let volume = 0;
  let sum: Vec3 = [0, 0, 0];
  sections.slice(1).forEach((next, k) => {
    const before = at(sections, k);
    const own = ((before.areaMm2 + next.areaMm2) / 2) * length3(sub3(next.middle, before.middle));
    volume += own;
    sum = add3(sum, scale3(add3(before.middle, next.middle), own / 2));
  });
  return volume > 0 ? { volume, at: scale3(sum, 1 / volume) } : undefined;
}
/** Round a section. */
type FourCorners = readonly [Vec3, Vec3, Vec3, Vec3];

function memberItem({ id, name, rings, isPair }: MemberRun, { timber }: WeightsPart): Item {
  const solid = solidOf(rings.map(({ near, far, farOff, nearOff }) => [near, far, farOff, nearOff]));
  const { volume, at: where } = solid ?? { volume: 0, at: [0, 0, 0] };
  return {
    ...{ id, name, group: 'timber' },
    grams: volume * (isPair ? 2 : 1) * timber * GRAMS,
    at: isPair ? onMiddle(where) : where,
  };
}

/** Pieces of plywood or solid timber by their area; what is under them by its section. */
function insideItems({ parts, walls, blocks, knees, stems }: Made['inside'], part: WeightsPart, skin: Vec3): Item[] {
  const flat = [...parts, ...walls].map((one) => {
    const place = placesOf(one);
    const middles = one.pieces.map(({ region, areaM2 }) => ({ areaM2, at: place(middleOfRegion(region)) }));
    return {
      one: one as CutInside,
      where: weighted(middles.map(({ areaM2, at: p }) => ({ grams: areaM2, at: p }))) ?? skin,
    };
  });
  const sawn = [
    ...blocks.map((one) => ({ one, rings: cornersOf(one) })),
    ...stems.map((one) => ({ one, rings: stemCorners(one) })),
    ...knees.map((one) => ({ one, rings: kneeCorners(one) })),
  ].flatMap(({ one: { id, name, hand }, rings }): Item[] => {
    const solid = solidOf(rings);
    if (!solid) return [];
    const isPair = hand === 'pair';
    const grams = solid.volume * (isPair ? 2 : 1) * part.timber * GRAMS;
    return [{ ...{ id, name, group: 'timber', grams }, at: isPair ? onMiddle(solid.at) : solid.at }];
  });
  const laid = flat.map(({ one, where }): Item => {
    const times = one.hand === 'pair' ? 2 : 1;
    const areaM2 = one.pieces.reduce((sum, piece) => sum + piece.areaM2, 0);
    const density = one.isTimber ? part.timber : part.ply;
    const under = one.supports.reduce((sum, { lengthMm, breadth, depth }) => sum + lengthMm * breadth * depth, 0);
    return {
      ...{ id: one.id, name: one.name, group: one.isTimber || one.pieces.length === 0 ? 'timber' : 'plywood' },
      grams: times * (areaM2 * MM2_PER_M2 * one.thickness * density + under * part.timber) * GRAMS,
      at: one.hand === 'pair' ? onMiddle(where) : where,
    };
  });
  return [...laid, ...sawn];
}

/** The middle of several by their weights. */
export function weighted(all: readonly { readonly grams: number; readonly at: Vec3 }[]): Vec3 | undefined {
  const sum = all.reduce((total, { grams }) => total + grams, 0);
  if (!(sum > 0)) return undefined;
  return scale3(
    all.reduce((to: Vec3, { grams, at: p }) => add3(to, scale3(p, grams)), [0, 0, 0]),
    1 / sum,
  );
}

/** Straps, doublers, lids, gussets: what is cut beside the parts that have a place. */
function otherPlywood({ cut, jointed, panels, frames, inside }: Made, { ply }: WeightsPart, skin: Vec3): Item[] {
  const placed = new Set([
    ...jointed.flatMap(({ pieces }) => pieces.map(({ id }) => id)),
    ...panels.panels.map(({ id }) => id),
    ...panels.transoms.map(({ id }) => id),
    ...frames.frames.map(({ id }) => id),
    ...frames.girders.flatMap((girder) => girderPieces(girder).map(({ id }) => id)),
    ...[...inside.parts, ...inside.walls].flatMap(({ pieces }) => pieces.map(({ id }) => id)),
  ]);
  const grams = cut
    .filter(({ id }) => !placed.has(id))
    .reduce((sum, { outline, holes = [], thickness, isPair }) => {
      const one = netArea({ outline, holes: [...holes] }) * thickness * (isPair ? 2 : 1);
      return sum + one * ply * GRAMS;
    }, 0);
  return grams > 0 ? [spread('other plywood', 'Straps, doublers and lids', 'plywood', grams, skin)] : [];
}

/** What the builder put into the list of timber, and nobody drew. */
const ownTimber = ({ runs }: Made['timber'], { timber }: WeightsPart, skin: Vec3): Item[] =>
  runs
    .filter(({ own }) => own !== undefined)
    .map(({ id, name, width, depth, length, qty }) =>
      spread(`timber ${id}`, name, 'timber', width * depth * length * qty * timber * GRAMS, skin),
    );

/** Line by line: along its seam, else where what it is named after lies, else over the skin. */
function epoxyItems({ lines, seams, weight }: Made['takeoff'], items: readonly Item[], skin: Vec3): Item[] {
  const resinAndFiller = lines.reduce((sum, line) => sum + line.resin + line.filler, 0);
  const cloth = lines.reduce((sum, { clothM2 }) => sum + clothM2, 0);
  // glass as the list has it in all, by the area of its cloth
  const glassPerM2 = cloth > 0 ? (weight - resinAndFiller) / cloth : 0;
  const placed = lines.map((line) => ({
    grams: line.resin + line.filler + line.clothM2 * glassPerM2,
    at: placeOfLine(line, seams, items) ?? skin,
  }));
  const grams = placed.reduce((sum, one) => sum + one.grams, 0);
  return grams > 0
    ? [{ id: 'epoxy.glass', name: 'Epoxy and glass', group: 'epoxy and glass', grams, at: weighted(placed) ?? skin }]
    : [];
}

function placeOfLine(line: TakeoffLine, seams: Takeoff['seams'], items: readonly Item[]): Vec3 | undefined {
  const seam = seams.find(({ id }) => id === line.seam);
  const along = seam && weighted(seam.paths.flatMap(steps));
  // of a seam on either side, or across: both hands have it
  if (along) return onMiddle(along);
  return items.find(({ name }) => line.item === name || line.item.startsWith(`${name},`))?.at;
}

const steps = (path: readonly Vec3[]): { grams: number; at: Vec3 }[] =>
  path.slice(1).map((b, k) => {
    const a = at(path, k);
    return { grams: Math.sqrt(dot3(sub3(b, a), sub3(b, a))), at: scale3(add3(a, b), 0.5) };
  });

function paintItem({ coats }: Made['takeoff'], skin: Vec3): Item[] {
  const grams = coats.reduce((sum, { ml }) => sum + ml * PAINT_DRY.value, 0);
  return grams > 0 ? [spread('paint', 'Paint and varnish, dry', 'paint', grams, skin)] : [];
}
