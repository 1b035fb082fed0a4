/**
 * Lays parts down on sheets one by one: valid at once, and where the search begins.
 *
 * Method: parts go down one by one at the leftmost, then lowest place that touches what lies there already, found from
 * no-fit polygons (laying/). Rounds repeat this with other orders of the parts, kept when fewer sheets, or a shorter
 * last one, come of it. Sheets are taken in the job's order. What is fixed lies where it is before all others; zones
 * and what an offcut lacks of its rectangle are kept clear of. Accuracy: every layout is checked by true distances
 * before it is returned (check.ts). Cost: a round of 20 parts takes some 50 ms once the no-fit polygons are known.
 */
import { at, netArea, type Vec2 } from '../geometry';
import { blocksOn } from './laying/blocks';
import { leastPlace, positionsOn, type Standing } from './laying/least-place';
import { noFitTable, type NoFit } from './laying/no-fit';
import type { Pose } from './laying/poses';
import { orderOfRound, sizeOrder } from './orders';
import type { NestBudget, NestResult, UsedSheet } from './result';
import type { NestJob } from './schema';

/** Weights of a layout's score, so far apart that each only decides where those before it are equal. */
const SCORE = { unplaced: 1e6, sheet: 1e3, lastSheet: 10, others: 0.01 };
/** Of two places that reach as far along the sheet the lower is taken: so little does height count against length. */
const HEIGHT_SHARE = 1e-4;

/** One of the pieces of a part that are wanted: the part by its place in the job. */
export type Copy = { readonly part: number; readonly copy: number };
/** A copy on a sheet: where the pose's origin lies. */
type Placed = Standing & { readonly item: Copy };
export type OpenSheet = {
  readonly id: string;
  readonly index: number;
  readonly width: number;
  readonly height: number;
  /** What is kept clear of. */
  readonly blocks: readonly Standing[];
  placed: Placed[];
};

export type LayingDown = NestBudget & { readonly poses: readonly (readonly Pose[])[] };

/** Lays out the job. Never throws on a valid job; what fits nowhere is listed as unplaced. */
export function layDown(job: NestJob, { poses, seed, rounds, isOver: asked, onProgress }: LayingDown): Layout {
  const copies = copiesOf(job).filter((copy) => !isFixed(copy, job));
  const isOver = asked ?? (() => false);
  const hasHoles = job.parts.some(({ holes }) => holes.length > 0);
  // what goes into holes takes longer to find: the first layout is to be there soon
  const [soon, within] = [noFitTable(job.gap, isOver, false), noFitTable(job.gap, isOver, true)];
  const base = sizeOrder(
    copies,
    job.parts.map((part) => part.outline),
  );
  let best: { layout: Layout; score: number } | undefined;
  let order = base;
  for (let round = 0; round < Math.max(1, rounds); round++) {
    if (round > 0 && isOver()) break;
    const isBase = round === 0 || (round === 1 && hasHoles);
    const trial = isBase ? base : orderOfRound({ order, base, round, seed });
    const layout = layOut(trial, { job, poses, noFit: hasHoles && round > 0 ? within : soon });
    if (layout.isCut && best) break;
    const score = scoreOf(layout);
    if (best && score > best.score) continue;
    // an equal layout is gone on from, but the one that was shown stays the best
    order = trial;
    if (best && score === best.score) continue;
    best = { layout, score };
    onProgress?.(resultOf(layout, job), round);
    if (layout.isCut) break;
  }
  return best?.layout ?? { sheets: [], unplaced: [], isCut: false };
}

/** Every piece that is wanted. */
export const copiesOf = (job: NestJob): Copy[] =>
  job.parts.flatMap((part, k) => Array.from({ length: part.qty }, (_, copy): Copy => ({ part: k, copy })));

/** Whether it lies where the job has put it. */
export const isFixed = ({ part, copy }: Copy, job: NestJob): boolean =>
  (job.fixed ?? []).some((fixed) => fixed.part === at(job.parts, part).id && fixed.copy === copy);

export type Layout = {
  readonly sheets: readonly OpenSheet[];
  readonly unplaced: readonly Copy[];
  /** The time ended before all parts had been tried. */
  readonly isCut: boolean;
};

/** Fewest left over, then fewest sheets, then the shortest last one; the fill of the others breaks ties. */
function scoreOf({ sheets, unplaced }: Layout): number {
  const last = sheets[sheets.length - 1];
  const used = last ? extentOf(last) / last.width : 0;
  const others = sheets.slice(0, -1).reduce((sum, sheet) => sum + extentOf(sheet) / sheet.width, 0);
  return (
    unplaced.length * SCORE.unplaced + sheets.length * SCORE.sheet + used * SCORE.lastSheet + others * SCORE.others
  );
}

const extentOf = (sheet: OpenSheet): number => Math.max(0, ...sheet.placed.map((p) => p.at[0] + p.pose.exactBox.maxX));

type Laying = { readonly job: NestJob; readonly poses: readonly (readonly Pose[])[]; readonly noFit: NoFit };

function layOut(order: readonly Copy[], { job, poses, noFit }: Laying): Layout {
  const sheets = fixedSheets(job, poses);
  const unplaced: Copy[] = [];
  const left = job.sheets.map(({ id, qty }) => qty - sheets.filter((sheet) => sheet.id === id).length);
  for (const [done, item] of order.entries()) {
    const choices = at(poses, item.part);
    const isDown =
      sheets.some((sheet) => putOn(sheet, choices, item, job.margin, noFit)) ||
      openFor(item, { sheets, left, choices, job, noFit });
    // a place that was found just as time ran out is a good one
    if (noFit.isOver())
      return { sheets, unplaced: [...unplaced, ...order.slice(isDown ? done + 1 : done)], isCut: true };
    if (!isDown) unplaced.push(item);
  }
  return { sheets, unplaced, isCut: false };
}

type Opening = {
  readonly sheets: OpenSheet[];
  /** Sheets that are left, by their place in the job. */
  readonly left: number[];
  readonly choices: readonly Pose[];
  readonly job: NestJob;
  readonly noFit: NoFit;
};

/** Puts a copy on the first sheet that is left and has room for it; false where there is none, or the time is over. */
function openFor(item: Copy, { sheets, left, choices, job, noFit }: Opening): boolean {
  return job.sheets.some((stock, kind) => {
    if (at(left, kind) <= 0 || !choices.some((pose) => fitsEmpty(pose, stock, job.margin))) return false;
    const sheet = openSheet(stock, sheets.filter(({ id }) => id === stock.id).length, job);
    if (!putOn(sheet, choices, item, job.margin, noFit)) return false;
    left[kind] = at(left, kind) - 1;
    sheets.push(sheet);
    return true;
  });
}

export function openSheet(stock: NestJob['sheets'][number], index: number, job: NestJob): OpenSheet {
  const { id, width, height } = stock;
  return { id, index, width, height, blocks: blocksOn(stock, job), placed: [] };
}

/** The sheets that something is fixed on, each with that, in the job's order. */
function fixedSheets(job: NestJob, poses: readonly (readonly Pose[])[]): OpenSheet[] {
  const fixed = job.fixed ?? [];
  return job.sheets.flatMap((stock) => {
    const here = fixed.filter(({ sheet }) => sheet === stock.id);
    const indices = [...new Set(here.map(({ index }) => index))].sort((a, b) => a - b);
    return indices.map((index, count): OpenSheet => {
      const sheet = openSheet(stock, count, job);
      sheet.placed = here
        .filter((one) => one.index === index)
        .flatMap(({ part: id, copy, x, y, rotationDeg, mirrored }) => {
          const part = job.parts.findIndex((one) => one.id === id);
          const pose = poses[part]?.find((one) => one.rotationDeg === rotationDeg && one.isMirrored === mirrored);
          return pose ? [{ pose, at: [x, y] as const, item: { part, copy } }] : [];
        });
      return sheet;
    });
  });
}

const fitsEmpty = (pose: Pose, sheet: { width: number; height: number }, margin: number): boolean =>
  positionsOn(pose, sheet, margin) !== undefined;

function putOn(sheet: OpenSheet, choices: readonly Pose[], item: Copy, margin: number, noFit: NoFit): boolean {
  let best: { pose: Pose; at: Vec2; reach: number } | undefined;
  for (const pose of choices) {
    const room = positionsOn(pose, sheet, margin);
    if (!room) continue;
    const limit = best ? best.reach - pose.exactBox.maxX : Infinity;
    const place = leastPlace(room, [...sheet.blocks, ...sheet.placed], pose, noFit, limit);
    if (!place) continue;
    const reach = place[0] + pose.exactBox.maxX + HEIGHT_SHARE * (place[1] + pose.exactBox.maxY);
    if (!best || reach < best.reach) best = { pose, at: place, reach };
  }
  if (!best) return false;
  sheet.placed = [...sheet.placed, { pose: best.pose, at: best.at, item }];
  return true;
}

export function resultOf({ sheets, unplaced, isCut }: Layout, job: NestJob): NestResult {
  const name = (item: Copy) => ({ part: at(job.parts, item.part).id, copy: item.copy });
  const used = sheets.map((sheet): UsedSheet => ({
    id: sheet.id,
    index: sheet.index,
    placements: sheet.placed.map(({ pose, at: [x, y], item }) => ({
      ...name(item),
      x,
      y,
      rotationDeg: pose.rotationDeg,
      mirrored: pose.isMirrored,
    })),
  }));
  const areas = job.parts.map((part) => netArea(part));
  const partsArea = sheets.flatMap((sheet) => sheet.placed).reduce((sum, p) => sum + at(areas, p.item.part), 0);
  const sheetsArea = sheets.reduce(
    (sum, sheet, k) => sum + (k === sheets.length - 1 ? extentOf(sheet) : sheet.width) * sheet.height,
    0,
  );
  return {
    sheets: used,
    unplaced: unplaced.map(name),
    sheetsUsed: sheets.length,
    density: sheetsArea > 0 ? partsArea / sheetsArea : 0,
    ...(isCut ? { isCut } : {}),
  };
}
