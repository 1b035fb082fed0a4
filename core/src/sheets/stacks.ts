/**
 * Pairs cut two at once: two sheets screwed on one another, the lower one turned over; one cut gives both hands.
 *
 * Method (derived here): one hand of every pair is laid out alone, on half as many plain sheets. The other hand lies on
 * a second sheet as its mirror image across the sheet's length: with the first placed by R(r)·a + (x, y), the second,
 * whose own outline is the first's mirrored, is placed by R(180° − r) and (x, height − y). What is no pair is laid in
 * the room that is left, and cut when the two are apart. Conventions as of the job: mm, degrees.
 */
import type { NestResult, Placement, UsedSheet } from './result';
import type { FixedCopy, NestJob } from './schema';

/** By ids of parts: the second is the first one's mirror image. */
export type Couple = readonly [string, string];

/** Whether a sheet can lie on another like it, turned over: it is a whole one. */
const isPlain = ({ outline, zones }: NestJob['sheets'][number]): boolean => !outline && !zones;

/** Of a stock the sheets that nothing is laid on by hand begin after these. */
const firstFree = (id: string, { fixed = [] }: NestJob): number =>
  Math.max(0, ...fixed.filter(({ sheet }) => sheet === id).map(({ index }) => index + 1));

/** One hand of every pair that may be stacked, on half the sheets; undefined where there is none, or no two sheets. */
export function stackJob(job: NestJob): NestJob | undefined {
  const isFixed = (id: string) => (job.fixed ?? []).some(({ part }) => part === id);
  const firsts = new Set((job.couples ?? []).filter((couple) => !couple.some(isFixed)).map(([first]) => first));
  const parts = job.parts.filter(({ id }) => firsts.has(id));
  const sheets = job.sheets
    .filter(isPlain)
    .map((sheet) => ({ ...sheet, qty: Math.floor((sheet.qty - firstFree(sheet.id, job)) / 2) }))
    .filter(({ qty }) => qty > 0);
  const { gap, margin } = job;
  return parts.length > 0 && sheets.length > 0 ? { gap, margin, parts, sheets } : undefined;
}

/** The job with both hands fixed as they lie on their two sheets. */
export function unstacked(job: NestJob, { sheets }: NestResult): NestJob {
  const { couples = [], ...rest } = job;
  const both = sheets.flatMap(({ id, index, placements }) => {
    const stock = job.sheets.find((one) => one.id === id);
    const top = firstFree(id, job) + 2 * index;
    return placements.flatMap((placement): FixedCopy[] => {
      const second = couples.find(([first]) => first === placement.part)?.[1];
      if (!stock || second === undefined) return [];
      const under = underneath(placement, second, stock.height);
      return [
        { ...placement, sheet: id, index: top },
        { ...under, sheet: id, index: top + 1 },
      ];
    });
  });
  return { ...rest, fixed: [...(job.fixed ?? []), ...both] };
}

const underneath = ({ copy, x, y, rotationDeg, mirrored }: Placement, part: string, height: number): Placement => ({
  ...{ part, copy, x, y: height - y, mirrored },
  rotationDeg: (540 - rotationDeg) % 360,
});

/** Nearer than this is the same place. */
const SAME_MM = 1e-3;

const isSamePlace = (a: Placement, b: Placement): boolean =>
  a.mirrored === b.mirrored &&
  Math.abs(a.x - b.x) < SAME_MM &&
  Math.abs(a.y - b.y) < SAME_MM &&
  Math.abs(((a.rotationDeg - b.rotationDeg + 540) % 360) - 180) < SAME_MM;

/** With which sheet of the layout one is stacked, by its place there; `parts`: those that one cut gives on both. */
export type InStack = { readonly with: number; readonly isOver: boolean; readonly parts: ReadonlySet<string> };

/** Of every sheet of a layout in turn; undefined: it is cut by itself. Pieces that were moved by hand are none. */
export function stacksIn(sheets: readonly UsedSheet[], job: NestJob): readonly (InStack | undefined)[] {
  const stacks: (InStack | undefined)[] = sheets.map(() => undefined);
  const { couples = [] } = job;
  if (couples.length === 0) return stacks;
  sheets.forEach((over, k) => {
    if (stacks[k]) return;
    const height = job.sheets.find(({ id }) => id === over.id)?.height ?? 0;
    const found = couples.flatMap(([first, second]): { on: number; couple: Couple }[] => {
      const placement = over.placements.find(({ part }) => part === first);
      if (!placement) return [];
      const wanted = underneath(placement, second, height);
      const on = sheets.findIndex(
        (under, m) =>
          m !== k &&
          under.id === over.id &&
          stacks[m] === undefined &&
          under.placements.some((other) => other.part === second && isSamePlace(other, wanted)),
      );
      return on < 0 ? [] : [{ on, couple: [first, second] }];
    });
    const on = found[0]?.on;
    if (on === undefined) return;
    const both = found.filter((one) => one.on === on).flatMap(({ couple }) => [...couple]);
    const parts = new Set(both);
    stacks[k] = { with: on, isOver: true, parts };
    stacks[on] = { with: k, isOver: false, parts };
  });
  return stacks;
}
