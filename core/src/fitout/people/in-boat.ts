/**
 * Whether a person has room: over the head, ahead of the knees and the feet, and at the elbows.
 *
 * Method: the boat is cut across (section.ts) at the places that matter, and the person's own lines are held against
 * what is there: parts over the head, parts and frames that the legs run into, the skin beside the elbows. The feet
 * stand on the highest thing under the seat: as the legs go forward until they reach it, it is looked for thrice.
 * Ropes, oars and cushions are not counted.
 */
import type { Frame } from '../../frames';
import { placeInPlane } from '../../frames';
import type { Hull } from '../../lines';
import { contains, crossings, lerp3, upright, type Vec2, type Vec3 } from '../../geometry';
import { insideOf, type Panel } from '../../panels';
import { HANDLES_OVER, HEADROOM_LYING, OAR_LEVER, SEAT_PACKED } from '../constants';
import type { Lying } from '../lying';
import type { PersonPlan } from '../schema';
import { sheerAt } from '../sheer';
import { partsAcross, skinAcross } from '../section';
import { bodyOf, type Body } from './body';

export type RoomLost = { readonly by: string; readonly room: number; readonly needs: number };

export type Seated = Body & {
  readonly plan: string;
  /** Over the seat, under what: where it is less than is needed. */
  readonly headroom?: RoomLost;
  /** From the back to what the legs run into. */
  readonly legs?: RoomLost;
  /** How much the boat is too narrow, and where. */
  readonly narrow?: { readonly mm: number; readonly x: number };
  /** Nothing is there to sit on; and what is nearest under it. */
  /** Of one who rows: between the rowlocks over the sheer, and an oar for that. */
  readonly oars?: { readonly spanMm: number; readonly longMm: number };
  readonly onNothing?: { readonly nearest?: { readonly name: string; readonly top: number } };
};

export type PeopleBoat = {
  readonly panels: readonly Panel[];
  readonly frames: readonly Frame[];
  readonly skin: { readonly inside: number; readonly outside: number };
  readonly hull: Hull;
} & Lying;

export function seatedIn(plan: PersonPlan, boat: PeopleBoat): Seated {
  const body = settled(plan, boat);
  const headroom = overHead(body, plan, boat);
  const legs =
    body.pose === 'lying'
      ? alongFrames(body, plan, boat)
      : (alongFrames(body, plan, boat) ?? kneesAndFeet(body, plan, boat));
  const narrow = besideElbows(body, plan, boat);
  const onNothing = restsOn(body, plan, boat);
  return {
    ...{ ...body, plan: plan.id },
    ...(headroom && { headroom }),
    ...(legs && { legs }),
    ...(narrow && { narrow }),
    ...(onNothing && { onNothing }),
    ...oarsOf(body, boat),
  };
}

function oarsOf({ rowlock }: Body, { hull }: PeopleBoat): Pick<Seated, 'oars'> {
  const on = rowlock && sheerAt(hull, rowlock[0]);
  if (!on) return {};
  const inner = Math.max(0, on[1] - HANDLES_OVER.value);
  return { oars: { spanMm: 2 * on[1], longMm: inner * OAR_LEVER.value } };
}

/** Times that the feet are looked for. */
const ROUNDS = 3;

function settled(plan: PersonPlan, boat: PeopleBoat): Body {
  let body = bodyOf(plan, plan.height - plan.size.shin);
  if (plan.pose === 'lying') return body;
  for (let round = 0; round < ROUNDS; round++) {
    const floor = floorAt(body.heel[0], plan, boat);
    if (floor === undefined) return body;
    body = bodyOf(plan, floor);
  }
  return body;
}

/** Where an upright line at a place passes what lies there, by name. */
const spansAt = (x: number, out: number, boat: PeopleBoat) =>
  partsAcross(boat, x).flatMap(({ name, outline }) =>
    upright(outline, out).map(([low, high]) => ({ name, low, high })),
  );

/** The inside of the skin, both sides. */
const insideAt = (x: number, { panels, skin }: PeopleBoat): Vec2[][] =>
  panels.flatMap((panel) => skinAcross(panel, x, insideOf(panel, skin.inside)));

/** Lower than the seat by no less, mm. */
const UNDER_SEAT_MM = 40;

/** The highest under the seat: a part or the bottom; undefined outside of the boat. */
function floorAt(x: number, { out, height }: PersonPlan, boat: PeopleBoat): number | undefined {
  const tops = spansAt(x, out, boat).map(({ high }) => high);
  const skin = insideAt(x, boat).flatMap((line) => crossings(line, 0, out).map(([, z]) => z));
  const under = [...tops, ...skin].filter((z) => z < height - UNDER_SEAT_MM);
  return under.length > 0 ? Math.max(...under) : undefined;
}

function overHead(body: Body, { size, out, height }: PersonPlan, boat: PeopleBoat): RoomLost | undefined {
  const isLying = body.pose === 'lying';
  const needs = isLying ? HEADROOM_LYING.value : size.sitting;
  const [from, to] = body.span;
  const places = isLying ? [0.1, 0.3, 0.5, 0.7, 0.9].map((w) => from + w * (to - from)) : [body.crown[0]];
  const over = places
    .flatMap((x) => spansAt(x, out, boat))
    .filter(({ low }) => low > height + SEAT_PACKED.value && low < height + needs);
  const [lowest] = over.sort((a, b) => a.low - b.low);
  return lowest && { by: lowest.name, room: lowest.low - height, needs };
}

/** Nearer to a joint than this is the frame that one leans on, mm. */
const BESIDE_MM = 15;
const STEPPED_OVER_MM = 100;

function alongFrames(
  { limbs, ahead, span, heel, pose }: Body,
  { x, out }: PersonPlan,
  { frames }: PeopleBoat,
): RoomLost | undefined {
  const needs = span[1] - span[0];
  // feet are lifted over a bottom timber
  const over = pose === 'lying' ? -Infinity : heel[1] + STEPPED_OVER_MM;
  const lost = frames
    .filter(({ kind }) => kind !== 'mould')
    .flatMap((frame) => {
      const faces = frame.face === 'fore' ? [0, frame.width] : [-frame.width, 0];
      const near = ahead < 0 ? Math.max(...faces) : Math.min(...faces);
      return limbs.flatMap(({ from, to }): RoomLost[] => {
        const place = passes(frame, near, [from[0], out, from[1]], [to[0], out, to[1]]);
        if (!place || place[2] <= over || !standsThere(frame, place)) return [];
        const room = (place[0] - x) * ahead;
        return room < BESIDE_MM || room > needs - BESIDE_MM ? [] : [{ by: frame.name, room, needs }];
      });
    });
  return lost.sort((a, b) => a.room - b.room)[0];
}

/** Where a straight line passes one of a frame's faces, so far aft of its plane; raked or not. */
function passes(frame: Frame, face: number, from: Vec3, to: Vec3): Vec3 | undefined {
  const [a, b] = [from, to].map((place) => placeInPlane(frame, place)[0] - face) as [number, number]; // two
  return a > 0 === b > 0 ? undefined : lerp3(from, to, a / (a - b));
}

function standsThere(frame: Frame, place: Vec3): boolean {
  const [, y, up] = placeInPlane(frame, place);
  const side = frame.hand === 'pair' ? Math.abs(y) : frame.hand === 'port' ? -y : y;
  const { outline, holes } = frame.cut;
  return contains(outline, [side, up]) && !holes.some((hole) => contains(hole, [side, up]));
}

/** Parts in the way of the knees and the shins, and the skin before the toes. */
function kneesAndFeet(body: Body, plan: PersonPlan, boat: PeopleBoat): RoomLost | undefined {
  const { knee, heel, toe, ahead, limbs } = body;
  const needs = body.span[1] - body.span[0];
  const thick = limbs[1]?.thick ?? 0;
  const shin = (w: number): Vec2 => [knee[0] + w * (heel[0] - knee[0]), knee[1] + w * (heel[1] - knee[1])];
  const places = [{ at: knee, half: thick / 2 }, ...[0.3, 0.6].map((w) => ({ at: shin(w), half: (0.35 * thick) / 2 }))];
  for (const { at, half } of places) {
    const struck = spansAt(at[0], plan.out, boat).find(
      ({ low, high }) =>
        Math.abs(high - plan.height) > UNDER_SEAT_MM && low < at[1] + half - TOUCH_MM && high > at[1] - half + TOUCH_MM,
    );
    if (struck) return { by: struck.name, room: (at[0] - plan.x) * ahead, needs };
  }
  if (body.hangs > 0) return undefined;
  const low = Math.min(heel[1], toe[1]);
  const bottom = insideAt(toe[0], boat).flatMap((line) => crossings(line, 0, plan.out).map(([, z]) => z));
  const isOut = bottom.length === 0 || Math.min(...bottom) > low + FOOT_RISE_MM;
  return isOut ? { by: '', room: (heel[0] - plan.x) * ahead, needs } : undefined;
}

const TOUCH_MM = 5;
/** A sole that rises under the foot by less is stood on, mm. */
const FOOT_RISE_MM = 60;

type Across = { readonly x: number; readonly z: number; readonly needs: number };

/** Where the body is broad, and how broad, by heights over the seat. */
function broadPlaces({ pose, span, hip, ahead, broad }: Body, { height, size }: PersonPlan): Across[] {
  if (pose !== 'lying')
    return [0.05, 0.14, 0.22].map((w) => ({ x: hip[0], z: height + w * size.tall, needs: broad / 2 }));
  const head = ahead < 0 ? span[1] : span[0];
  return [
    [0.2, 1],
    [0.47, 0.8],
    [0.95, 0.5],
  ].map(([w = 0, share = 1]) => ({
    x: head + ahead * w * size.tall,
    z: height + UNDER_SEAT_MM,
    needs: (share * broad) / 2,
  }));
}

function besideElbows(body: Body, plan: PersonPlan, boat: PeopleBoat): Seated['narrow'] {
  const short = broadPlaces(body, plan).flatMap(({ x, z, needs }) => {
    const sides = insideAt(x, boat).flatMap((line) => crossings(line, 1, z).map(([y]) => y));
    return sides.map((y) => ({ mm: needs - (y > 0 ? y - plan.out : plan.out - y), x }));
  });
  const worst = short.reduce<Seated['narrow']>((most, one) => (!most || one.mm > most.mm ? one : most), undefined);
  return worst && worst.mm > 1 ? worst : undefined;
}

/** What lies under the middle of the body, at its own height. */
function restsOn({ hip, pose, span }: Body, { out, height }: PersonPlan, boat: PeopleBoat): Seated['onNothing'] {
  const x = pose === 'lying' ? (span[0] + span[1]) / 2 : hip[0];
  const tops = spansAt(x, out, boat).map(({ name, high }) => ({ name, top: high }));
  if (tops.some(({ top }) => Math.abs(top - height) <= SEAT_PACKED.value)) return undefined;
  const [nearest] = tops.sort((a, b) => Math.abs(a.top - height) - Math.abs(b.top - height));
  return nearest ? { nearest } : {};
}
