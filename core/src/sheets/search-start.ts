/**
 * A nesting job as the search sees it, from the layout that it starts with, and back again.
 *
 * The search works with every copy by its number, on outlines simplified outward; what stands in no layout yet is put
 * on sheets anyhow, and separated first.
 */
import { at, counterClockwise, mirrored, netArea, random, type Outline, type Region } from '../geometry';
import { toRad } from '../measure';
import { copiesOf, isFixed, openSheet, type Copy, type Layout, type OpenSheet } from './lay-down';
import { coarser, smaller, type Pose } from './laying/poses';
import type { NestJob } from './schema';
import { NOUGHT_MM, type Places, type Problem, type SearchPart } from './search/layout-state';

/** Kept over the gap in the search, so that what counts as nought there is apart. */
const OVER_GAP_MM = NOUGHT_MM + 0.001;

export type Start = {
  readonly problem: Problem;
  readonly start: Places;
  readonly isValid: boolean;
  readonly copies: readonly Copy[];
  readonly left: readonly Copy[];
  readonly sheets: readonly Omit<OpenSheet, 'placed'>[];
};

type From = { readonly poses: readonly (readonly Pose[])[]; readonly first: Layout; readonly seed: number };

/** The search's problem, and where it starts: what was laid down, and what was left over anywhere. */
export function startOf(job: NestJob, { poses, first, seed }: From): Start | undefined {
  const isHopeless = ({ part }: Copy) =>
    !job.sheets.some((sheet) => at(poses, part).some((pose) => fits(pose, sheet, job)));
  const left = first.unplaced.filter(isHopeless);
  const stray = first.unplaced.filter((copy) => !isHopeless(copy));
  const sheets = stray.length === 0 ? first.sheets : withRest(first.sheets, job);
  const placed = first.sheets.flatMap((sheet, k) =>
    sheet.placed.map(({ item, pose, at: place }) => ({ item, pose, place, k })),
  );
  const copies = copiesOf(job).filter(({ part, copy }) => !left.some((one) => one.part === part && one.copy === copy));
  const turns = [...new Set(poses.flatMap((own) => own.map(({ rotationDeg }) => rotationDeg)))];
  const shapes: Region[] = [];
  const parts = job.parts.map((part, k): SearchPart => {
    const firstShape = shapes.length;
    for (const isMirrored of part.mirror ? [false, true] : [false]) shapes.push(coarseRegion(part, isMirrored));
    return {
      areaMm2: netArea(part),
      poses: at(poses, k).map(({ rotationDeg, isMirrored, exactBox }) => ({
        ...{ rotationDeg, isMirrored, box: exactBox, turn: turns.indexOf(rotationDeg) },
        ...{
          cos: Math.cos(toRad(rotationDeg)),
          sin: Math.sin(toRad(rotationDeg)),
          shape: firstShape + (isMirrored ? 1 : 0),
        },
      })),
    };
  });
  const blocks = sheets.flatMap((sheet, k) => sheet.blocks.map(({ pose }) => ({ pose, k })));
  if (blocks.length > 0 && !turns.includes(0)) turns.push(0);
  const blockParts = blocks.map(({ pose }): SearchPart => {
    shapes.push({ outline: pose.shape, holes: [] });
    const still = { turn: turns.indexOf(0), cos: 1, sin: 0, rotationDeg: 0, isMirrored: false };
    return { areaMm2: 0, isBlock: true, poses: [{ ...still, box: pose.box, shape: shapes.length - 1 }] };
  });
  const next01 = random(seed);
  const count = copies.length + blocks.length;
  const start: Places = {
    ...{ pose: new Int16Array(count), sheet: new Int16Array(count) },
    ...{ x: new Float64Array(count), y: new Float64Array(count) },
  };
  // blocks lie in their sheet's own coordinates, after all copies
  blocks.forEach(({ k }, i) => (start.sheet[copies.length + i] = k));
  copies.forEach(({ part, copy }, i) => {
    const here = placed.find(({ item }) => item.part === part && item.copy === copy);
    start.sheet[i] = here ? here.k : Math.floor(next01() * sheets.length);
    start.pose[i] = here ? at(poses, part).indexOf(here.pose) : 0;
    start.x[i] = here?.place[0] ?? 0;
    start.y[i] = here?.place[1] ?? 0;
  });
  const problem: Problem = {
    ...{ parts: [...parts, ...blockParts], shapes, turns },
    copies: [...copies.map(({ part }) => part), ...blockParts.map((_, i) => parts.length + i)],
    fixed: [...copies.map((copy) => isFixed(copy, job)), ...blockParts.map(() => true)],
    sheets: sheets.map(({ width, height }) => ({ widthMm: width, heightMm: height })),
    ...{ marginMm: job.margin, apartMm: job.gap + OVER_GAP_MM },
  };
  return copies.length === 0 ? undefined : { problem, start, isValid: stray.length === 0, copies, left, sheets };
}

const fits = ({ exactBox }: Pose, { width, height }: { width: number; height: number }, { margin }: NestJob): boolean =>
  exactBox.maxX - exactBox.minX <= width - 2 * margin && exactBox.maxY - exactBox.minY <= height - 2 * margin;

/** The outline simplified outward, holes inward. */
function coarseRegion({ outline, holes }: NestJob['parts'][number], isMirrored: boolean): Region {
  const over = (ring: Outline) => counterClockwise(isMirrored ? mirrored(ring) : ring);
  return { outline: coarser(over(outline)), holes: holes.flatMap((hole) => smaller(over(hole))) };
}

/** All that stock has, those in use first. */
function withRest(used: readonly OpenSheet[], job: NestJob): Start['sheets'] {
  const rest = job.sheets.flatMap((stock) => {
    const count = used.filter((sheet) => sheet.id === stock.id).length;
    return Array.from({ length: stock.qty - count }, (_, k) => openSheet(stock, count + k, job));
  });
  return [...used, ...rest];
}

export function layoutOf({ copies, left, sheets }: Start, places: Places, poses: From['poses']): Layout {
  const counts = new Map<string, number>();
  const made = sheets.flatMap((sheet, k): OpenSheet[] => {
    const placed = copies.flatMap((item, i) =>
      places.sheet[i] === k
        ? [{ item, pose: at(at(poses, item.part), places.pose[i]!), at: [places.x[i]!, places.y[i]!] as const }]
        : [],
    );
    if (placed.length === 0) return [];
    const index = counts.get(sheet.id) ?? 0;
    counts.set(sheet.id, index + 1);
    return [{ ...sheet, index, placed }];
  });
  return { sheets: made, unplaced: left, isCut: false };
}
