/** Layouts by hand: what a layout that was found becomes in the project once something of it is moved. */
import type { NestBatch } from './batches';
import { laidBatches, type LaidBatch } from './layouts';
import type { NestResult, Placement } from './result';
import type { LaidByHand } from './schema';

/** Where a piece is put: on a sheet of the stock, by its number. */
export type PutOn = Placement & { readonly sheet: string; readonly index: number };

/** What is laid of other batches, and all of this one as it lies, with one piece put somewhere else. */
export function laidWith(
  laid: readonly LaidByHand[],
  { batch, result }: { readonly batch: NestBatch; readonly result: NestResult },
  put: PutOn | undefined,
): LaidByHand[] {
  const isOfBatch = (id: string) => batch.job.parts.some((part) => part.id === id);
  const isPinned = (id: string) => laid.some((one) => one.id === id && one.isPinned);
  const lying = result.sheets.flatMap(({ id: sheet, index, placements }) =>
    placements.map((placement): PutOn => ({ ...placement, sheet, index })),
  );
  const now = [...lying.filter(({ part }) => part !== put?.part), ...(put ? [put] : [])];
  return [
    ...laid.filter(({ id }) => !isOfBatch(id)),
    ...now.map(({ part: id, sheet, index, x, y, rotationDeg }) => ({
      ...{ id, sheet, index, x, y, rotationDeg },
      isPinned: isPinned(id),
    })),
  ];
}

/** The same with a piece pinned, or let go. */
export const pinned = (laid: readonly LaidByHand[], id: string, isPinned: boolean): LaidByHand[] =>
  laid.map((one) => (one.id === id ? { ...one, isPinned } : one));

/** Every piece of every layout that there is, pinned as it lies: it stays so, and goes with the file. */
export const allKept = (laid: readonly LaidByHand[], batches: readonly LaidBatch[]): LaidByHand[] =>
  batches
    .reduce<readonly LaidByHand[]>(
      (sum, { batch, result }) => (result ? laidWith(sum, { batch, result }, undefined) : sum),
      laid,
    )
    .map((one) => ({ ...one, isPinned: true }));

/** Whether every batch lies as it is kept in the project, so that no search will lay it otherwise. */
export const areKept = (batches: readonly NestBatch[]): boolean =>
  laidBatches(batches, []).every(({ batch, result }) => result !== undefined || batch.job.parts.length === 0);

/** What stays when the rest is laid out again. */
export const onlyPinned = (laid: readonly LaidByHand[]): LaidByHand[] => laid.filter(({ isPinned }) => isPinned);

/** The next way in which a part may lie. */
export function nextTurn(batch: NestBatch, id: string, rotationDeg: number): number {
  const rotations = batch.job.parts.find((part) => part.id === id)?.rotations ?? [0];
  if (rotations === 'any') return (rotationDeg + QUARTER_DEG) % 360;
  const k = rotations.indexOf(rotationDeg);
  return rotations[(k + 1) % rotations.length] ?? 0;
}

const QUARTER_DEG = 90;
