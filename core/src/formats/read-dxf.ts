/**
 * Reads what a text DXF draws: lines and polylines by layer, words, the unit's code. Knows no boat.
 *
 * A DXF is pairs of lines: a whole number that says what follows (the group code), and its value. Only the sections
 * HEADER and ENTITIES are looked at; each kind of drawn thing that is not read is named in `others`, so that the
 * caller can say so. Written here, and not left to a package, because it has to end whatever the file holds: every
 * step takes two lines of it, and the first pair that is not one ends the reading with its line's number.
 * Arcs within polylines (code 42, the tangent of a quarter of the arc's angle) become chords with a sag of ARC_SAG.
 */
import { at, type Vec2 } from '../geometry';

export type DxfLine = {
  readonly layer: string;
  readonly points: readonly Vec2[];
  /** Said to end where it began; the first point is not there again. */
  readonly isClosed?: true;
};
export type DxfWord = { readonly layer: string; readonly at: Vec2; readonly text: string };
export type DxfContent = {
  /** $INSUNITS; 0 where the drawing names none. */
  readonly unitCode: number;
  readonly lines: readonly DxfLine[];
  readonly words: readonly DxfWord[];
  /** Things that are not read, each layer and kind once. */
  readonly others: readonly { readonly layer: string; readonly kind: string }[];
};
export type ReadDxf =
  { readonly ok: true; readonly content: DxfContent } | { readonly ok: false; readonly problem: string };

/** The lines of a boat have hundreds of points; a drawing with more than this is of something else. */
const MOST_POINTS = 200_000;
/** Of a chord under its arc, in the drawing's unit. */
const ARC_SAG = 0.01;
const MOST_ARC_CHORDS = 64;

type Group = { readonly code: number; readonly value: string; readonly line: number };
/** A drawn thing: its kind and the groups that describe it. */
type Entity = { readonly kind: string; readonly groups: Group[] };

/** The text is not a drawing: `message` says where and what was expected. */
class NotDxf extends Error {}

/** Never throws. */
export function readDxf(text: string): ReadDxf {
  try {
    return { ok: true, content: contentOf(sectionsOf(groupsOf(text))) };
  } catch (error) {
    if (error instanceof NotDxf) return { ok: false, problem: error.message };
    throw error;
  }
}

/** The pairs one by one, up to the last, 0 and EOF. */
function* groupsOf(text: string): Generator<Group> {
  let from = text.startsWith('\uFEFF') ? 1 : 0;
  let line = 0;
  const next = (expected: string): string => {
    if (from >= text.length) throw new NotDxf(`The drawing stops after line ${line}; expected ${expected}`);
    const end = text.indexOf('\n', from);
    const found = text.slice(from, end < 0 ? text.length : end);
    from = end < 0 ? text.length : end + 1;
    line += 1;
    return found.trim();
  };
  for (;;) {
    const code = next('the groups 0 and EOF at its end');
    if (!/^-?\d{1,4}$/.test(code))
      throw new NotDxf(`Line ${line}: found "${code.slice(0, 30)}"; expected a whole number, the code of a group`);
    const group = { code: Number(code), value: next('a value'), line };
    if (group.code === 0 && group.value === 'EOF') return;
    yield group;
  }
}

const tooMany = () => new NotDxf(`Over ${MOST_POINTS} points or things; expected a drawing of the lines alone`);

type Sections = { readonly header: Group[]; readonly entities: Entity[] };

function sectionsOf(groups: Iterable<Group>): Sections {
  const header: Group[] = [];
  const entities: Entity[] = [];
  let section = '';
  for (const group of groups) {
    if (group.code === 0 && (group.value === 'SECTION' || group.value === 'ENDSEC')) section = '';
    else if (section === '' && group.code === 2) section = group.value;
    else if (section === 'HEADER') header.push(group);
    else if (section === 'ENTITIES' && group.code === 0) {
      entities.push({ kind: group.value, groups: [] });
      if (entities.length > MOST_POINTS) throw tooMany();
    } else if (section === 'ENTITIES') entities[entities.length - 1]?.groups.push(group);
  }
  return { header, entities };
}

function contentOf({ header, entities }: Sections): DxfContent {
  const [lines, words]: [DxfLine[], DxfWord[]] = [[], []];
  const others = new Map<string, { layer: string; kind: string }>();
  for (let i = 0; i < entities.length; i++) {
    const entity = at(entities, i);
    const layer = layerOf(entity);
    if (entity.kind === 'TEXT' || entity.kind === 'MTEXT') words.push(wordOf(entity));
    else if (entity.kind === 'POLYLINE') {
      // an old polyline is a head, then its corners as things of their own, then SEQEND
      const corners: Corner[] = [];
      for (; entities[i + 1]?.kind === 'VERTEX'; i++) corners.push(...cornersOf(at(entities, i + 1)));
      if (entities[i + 1]?.kind === 'SEQEND') i += 1;
      lines.push({ layer, points: withArcs(corners), ...closedOf(entity) });
    } else if (entity.kind === 'LWPOLYLINE')
      lines.push({ layer, points: withArcs(cornersOf(entity)), ...closedOf(entity) });
    else if (entity.kind === 'LINE') lines.push({ layer, points: [pointOf(entity, 0), pointOf(entity, 1)] });
    else others.set(`${entity.kind} ${layer}`, { layer, kind: entity.kind });
  }
  if (lines.reduce((sum, { points }) => sum + points.length, 0) > MOST_POINTS) throw tooMany();
  const unit = header.findIndex(({ code, value }) => code === 9 && value === '$INSUNITS');
  const unitGroup = unit < 0 ? undefined : header[unit + 1];
  return { unitCode: unitGroup ? numberOf(unitGroup) : 0, lines, words, others: [...others.values()] };
}

/** The lowest bit of a polyline's flags. */
function closedOf(entity: Entity): { isClosed?: true } {
  const flags = groupOf(entity, 70);
  return flags && numberOf(flags) % 2 === 1 ? { isClosed: true } : {};
}

const groupOf = ({ groups }: Entity, code: number) => groups.find((group) => group.code === code);
const layerOf = (entity: Entity) => groupOf(entity, 8)?.value ?? '0';

function numberOf({ value, line }: Group): number {
  const number = Number(value);
  if (value === '' || !Number.isFinite(number) || Math.abs(number) > 1e9)
    throw new NotDxf(`Line ${line}: found "${value.slice(0, 30)}"; expected a number`);
  return number;
}

/** A thing's first point (codes 10 and 20) or second (11 and 21). */
function pointOf(entity: Entity, which: 0 | 1): Vec2 {
  const [x, y] = [groupOf(entity, 10 + which), groupOf(entity, 20 + which)];
  return [x ? numberOf(x) : 0, y ? numberOf(y) : 0];
}

/** Long words come in pieces: code 3, then the last of them as code 1. */
const wordOf = (entity: Entity): DxfWord => ({
  layer: layerOf(entity),
  at: pointOf(entity, 0),
  text: entity.groups.flatMap(({ code, value }) => (code === 3 || code === 1 ? [value] : [])).join(''),
});

/** `bulge`: how the stretch to the next corner bends. */
type Corner = { readonly at: Vec2; readonly bulge: number };

function cornersOf({ groups }: Entity): Corner[] {
  const corners: { at: [number, number]; bulge: number }[] = [];
  for (const group of groups) {
    const last = corners[corners.length - 1];
    if (group.code === 10) corners.push({ at: [numberOf(group), 0], bulge: 0 });
    else if (last && group.code === 20) last.at[1] = numberOf(group);
    else if (last && group.code === 42) last.bulge = numberOf(group);
  }
  return corners;
}

const withArcs = (corners: readonly Corner[]): Vec2[] =>
  corners.flatMap((corner, i) => {
    const next = corners[i + 1];
    return next && corner.bulge !== 0 ? [corner.at, ...insideArc(corner, next.at)] : [corner.at];
  });

/** Points on the arc between its ends, the ends left out. The angle is 4·atan(bulge), anticlockwise where positive. */
function insideArc({ at: [ax, ay], bulge }: Corner, [bx, by]: Vec2): Vec2[] {
  const angle = 4 * Math.atan(bulge);
  const chord = Math.hypot(bx - ax, by - ay);
  if (chord === 0 || Math.abs(angle) < 1e-9) return [];
  const radius = chord / 2 / Math.sin(angle / 2); // signed, as the angle
  const away = radius * Math.cos(angle / 2);
  const [cx, cy] = [(ax + bx) / 2 - (away * (by - ay)) / chord, (ay + by) / 2 + (away * (bx - ax)) / chord];
  // a chord's sag is r(1 - cos(step/2)), about r·step²/8
  const step = Math.sqrt((8 * ARC_SAG) / Math.abs(radius));
  const count = Math.min(MOST_ARC_CHORDS, Math.max(2, Math.ceil(Math.abs(angle) / step)));
  return Array.from({ length: count - 1 }, (_, i): Vec2 => {
    const turn = (angle * (i + 1)) / count;
    const [dx, dy] = [ax - cx, ay - cy];
    return [cx + dx * Math.cos(turn) - dy * Math.sin(turn), cy + dx * Math.sin(turn) + dy * Math.cos(turn)];
  });
}
