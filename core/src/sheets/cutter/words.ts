/** What the simulated cutter found, in words. */
import { formatWithUnit, type Notation } from '../../measure';
import type { CutFault } from './simulate';

export function cutFaultWords({ kind, amount }: CutFault, part: string, notation: Notation): string {
  const shown = formatWithUnit(amount, notation);
  switch (kind) {
    case 'open':
      return `${part}: its line is open by ${shown}. The machine would not know which side to cut.`;
    case 'double':
      return `${part}: a line lies on another for ${shown}. It would be cut twice.`;
    case 'tight':
      return `${part}: a corner is too tight for the cutter; ${shown} is left in it.`;
    case 'neighbour':
      return (
        `${part}: the cutter would cut into the part beside it. ` + 'Set the gap no smaller than the cutter’s diameter.'
      );
    case 'tabs':
      return `${part}: ${amount} of its tabs are missing.`;
  }
}

/** 12 min, or 1 h 5 min. */
export function timeWords(seconds: number): string {
  const minutes = Math.max(1, Math.round(seconds / 60));
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
