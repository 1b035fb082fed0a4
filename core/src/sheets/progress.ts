/** How far a search has come, in sheets: what is in use now, and what no layout can be under. */
import { netArea } from '../geometry';
import type { NestResult } from './result';
import type { NestJob } from './schema';

/**
 * Sheets in use, the last by how much of its length is: 3.4 is three whole ones and four tenths of a fourth. Whole
 * sheets where something is left over.
 */
export function sheetsByLength({ sheetsUsed, density, sheets, unplaced }: NestResult, job: NestJob): number {
  if (sheetsUsed === 0 || density <= 0 || unplaced.length > 0) return sheetsUsed;
  const stock = sheets.map(({ id }) => job.sheets.find((one) => one.id === id));
  const areas = stock.map((one) => (one ? one.width * one.height : 0));
  const placed = sheets.flatMap(({ placements }) =>
    placements.map(({ part }) => job.parts.find(({ id }) => id === part)),
  );
  const used = placed.reduce((sum, part) => sum + (part ? netArea(part) : 0), 0) / density;
  const last = areas[areas.length - 1] ?? 0;
  const before = areas.slice(0, -1).reduce((sum, one) => sum + one, 0);
  return last > 0 ? sheetsUsed - 1 + Math.min(1, Math.max(0, (used - before) / last)) : sheetsUsed;
}

/** The parts' area in sheets of the largest size: no layout takes less. */
export function leastSheets({ parts, sheets, margin }: NestJob): number {
  const most = Math.max(0, ...sheets.map(({ width, height }) => (width - 2 * margin) * (height - 2 * margin)));
  const area = parts.reduce((sum, part) => sum + netArea(part) * part.qty, 0);
  return most > 0 ? area / most : 0;
}
