/**
 * Checks a layout by true distances: the parts' own outlines, no polygon around them, nothing of the search's methods.
 * Used by tests, the benchmark and the program itself before a layout is shown.
 */
import { boundsOf, mirrored, moved, regionDistance, turned, type Outline, type Region } from '../geometry';
import { toRad } from '../measure';
import type { NestResult, Placement } from './result';
import type { NestJob } from './schema';

/** Nearer than the gap, or over the margin, by less than this is rounding. */
const ROUNDING_MM = 1e-4;

/** The outline of a part as it is placed (contract: x negated if mirrored, then turned, then moved). */
export function placedOutline(outline: Outline, placement: Placement): Outline {
  const over = placement.mirrored ? mirrored(outline) : outline;
  return moved(turned(over, toRad(placement.rotationDeg)), placement.x, placement.y);
}

/** What is wrong with a layout, in words; empty when nothing is. */
export function faultsOf(job: NestJob, result: NestResult): string[] {
  const faults: string[] = [];
  const parts = new Map(job.parts.map((part) => [part.id, part]));
  const seen = new Map<string, number>();
  const count = (part: string, copy: number) => seen.set(`${part}#${copy}`, (seen.get(`${part}#${copy}`) ?? 0) + 1);
  for (const sheet of result.sheets) {
    const stock = job.sheets.find((other) => other.id === sheet.id);
    if (!stock) {
      faults.push(`sheet ${sheet.id} is not in the job`);
      continue;
    }
    const outlines = sheet.placements.flatMap((placement) => {
      count(placement.part, placement.copy);
      const part = parts.get(placement.part);
      if (!part) return [];
      const [outline, holes] = [
        placedOutline(part.outline, placement),
        part.holes.map((h) => placedOutline(h, placement)),
      ];
      return [{ placement, outline, holes }];
    });
    outlines.forEach(({ placement, ...region }, i) => {
      const box = boundsOf(region.outline);
      const inset = Math.min(box.minX, box.minY, stock.width - box.maxX, stock.height - box.maxY);
      if (inset < job.margin - ROUNDING_MM) faults.push(`${placement.part} is ${inset} from the edge of ${sheet.id}`);
      for (const other of outlines.slice(i + 1)) {
        const apart = boxesApart(box, boundsOf(other.outline), job.gap) ? job.gap : regionDistance(region, other);
        if (apart < job.gap - ROUNDING_MM || (job.gap === 0 && isDeep(region, other)))
          faults.push(`${placement.part} and ${other.placement.part} are ${apart} apart on ${sheet.id}`);
      }
    });
  }
  for (const item of result.unplaced) count(item.part, item.copy);
  for (const part of job.parts)
    for (let copy = 0; copy < part.qty; copy++)
      if (seen.get(`${part.id}#${copy}`) !== 1)
        faults.push(`${part.id} copy ${copy} is there ${seen.get(`${part.id}#${copy}`) ?? 0} times`);
  for (const stock of job.sheets)
    if (result.sheets.filter((sheet) => sheet.id === stock.id).length > stock.qty)
      faults.push(`too many sheets of ${stock.id}`);
  return faults;
}

type Boxed = ReturnType<typeof boundsOf>;
const boxesApart = (a: Boxed, b: Boxed, gap: number): boolean =>
  a.minX - b.maxX > gap || b.minX - a.maxX > gap || a.minY - b.maxY > gap || b.minY - a.maxY > gap;

/** With no gap parts may touch; they overlap when one, drawn in a little, still meets the other. */
function isDeep(a: Region, b: Region): boolean {
  const box = boundsOf(a.outline);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const k = 1 - 1e-5;
  const outline = a.outline.map(([x, y]) => [cx + (x - cx) * k, cy + (y - cy) * k] as const);
  return regionDistance({ outline, holes: a.holes.map(widenedByHair) }, b) === 0;
}

/** About its middle: what touches a hole's edge from within does not overlap. */
function widenedByHair(hole: Outline): Outline {
  const box = boundsOf(hole);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return hole.map(([x, y]) => [cx + (x - cx) * (1 + 1e-5), cy + (y - cy) * (1 + 1e-5)] as const);
}
