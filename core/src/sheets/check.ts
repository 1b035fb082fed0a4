/**
 * Checks a layout by true distances: the parts' own outlines, no polygon around them, nothing of the search's methods.
 * Used by tests, the benchmark and the program itself before a layout is shown.
 */
import { boundsOf, boxOutline, mirrored, moved, regionDistance, turned, type Outline, type Region } from '../geometry';
import { toRad } from '../measure';
import type { NestResult, Placement } from './result';
import type { NestJob } from './schema';

/** Nearer than the gap, or over the margin, by less than this is rounding. */
const ROUNDING_MM = 1e-4;

/** A sheet's true edge. */
export const edgeOfSheet = ({ width, height, outline }: Stock): Outline =>
  outline ?? boxOutline({ minX: 0, minY: 0, maxX: width, maxY: height });

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
      return [{ placement, ...placedRegion(part, placement) }];
    });
    outlines.forEach(({ placement, ...region }, i) => {
      faults.push(...edgeFaults(region, stock, job).map((fault) => `${placement.part} is ${fault} of ${sheet.id}`));
      for (const other of outlines.slice(i + 1)) {
        const apart = tooNear(region, other, job);
        if (apart !== undefined)
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

/** An offcut's edge is moved on the polygons' grid. */
const BLOCK_ROUNDING_MM = 2e-3;
const FAR_MM = 1e6;

/** From within an edge; 0 where it is crossed, or the part lies outside. */
function toEdge(edge: Outline, outline: Outline): number {
  const around = boxOutline({ minX: -FAR_MM, minY: -FAR_MM, maxX: FAR_MM, maxY: FAR_MM });
  return regionDistance({ outline: around, holes: [edge] }, { outline, holes: [] });
}

/** What is wrong with where a part lies on an empty sheet. */
function edgeFaults(region: Region, stock: Stock, { margin, gap }: Pick<NestJob, 'margin' | 'gap'>): string[] {
  const { outline } = region;
  const box = boundsOf(outline);
  const inset = Math.min(box.minX, box.minY, stock.width - box.maxX, stock.height - box.maxY);
  const fromEdge = stock.outline ? toEdge(stock.outline, outline) : margin;
  const nearZone = (stock.zones ?? []).some(
    (zone) => regionDistance(region, { outline: zone, holes: [] }) < gap - BLOCK_ROUNDING_MM,
  );
  return [
    ...(inset < margin - ROUNDING_MM ? [`${inset} from the edge`] : []),
    ...(fromEdge < margin - BLOCK_ROUNDING_MM ? [`${fromEdge} from the true edge`] : []),
    ...(nearZone ? ['too near to a zone'] : []),
  ];
}

/** How far two parts are apart, where that is too near; undefined where it is not. */
function tooNear(a: Region, b: Region, { gap }: Pick<NestJob, 'gap'>): number | undefined {
  const apart = boxesApart(boundsOf(a.outline), boundsOf(b.outline), gap) ? gap : regionDistance(a, b);
  return apart < gap - ROUNDING_MM || (gap === 0 && isDeep(a, b)) ? apart : undefined;
}

/** Whether a part may lie there, with what lies on the sheet already. */
export const liesClear = (region: Region, others: readonly Region[], stock: Stock, job: NestJob): boolean =>
  edgeFaults(region, stock, job).length === 0 && others.every((other) => tooNear(region, other, job) === undefined);

/** A part as it is placed. */
export const placedRegion = (
  { outline, holes = [] }: { readonly outline: Outline; readonly holes?: readonly Outline[] },
  placement: Placement,
): Region => ({
  outline: placedOutline(outline, placement),
  holes: holes.map((hole) => placedOutline(hole, placement)),
});

type Stock = NestJob['sheets'][number];

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
