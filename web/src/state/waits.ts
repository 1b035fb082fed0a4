import type { Derived } from '@kalotrope/core/project';

/** Fewer lines than this bound no panel. */
const FEWEST_LINES = 2;

/** What every stage after the lines waits for. */
export const waitsForLines = ({ lines }: Derived): string | undefined =>
  lines.value.lines.length < FEWEST_LINES ? 'the table' : undefined;
