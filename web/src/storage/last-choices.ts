/** What was chosen last, for the next boat. A browser that keeps nothing begins with the usual. */
import { NOTATIONS, type Notation } from '@kalotrope/core/measure';

const NOTATION_KEY = 'kalotrope-notation';

export function keepNotation(notation: Notation): void {
  try {
    localStorage.setItem(NOTATION_KEY, notation);
  } catch {
    // the boat has it all the same
  }
}

export function lastNotation(): Notation {
  try {
    const kept = localStorage.getItem(NOTATION_KEY);
    return NOTATIONS.find((notation) => notation === kept) ?? 'mm';
  } catch {
    return 'mm';
  }
}
