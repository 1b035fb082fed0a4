/** What was chosen last, for the next boat. A browser that keeps nothing begins with the usual. */
import { z } from 'zod';
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

const SLIP_KEY = 'kalotrope-slip';
/** Narrower, the figures' names wrap at every word; wider, it takes the drawing's room. */
export const SLIP_PX = { least: 264, usual: 344, most: 640 } as const;

const slipSchema = z.object({
  widthPx: z.number().min(SLIP_PX.least).max(SLIP_PX.most),
  isFolded: z.boolean(),
  /** Titles of the sections that are open. */
  open: z.array(z.string()).readonly(),
});
/** How the slip lies on the bench; the same for every boat, and remembered. */
export type SlipLook = Readonly<z.infer<typeof slipSchema>>;

export function keepSlip(slip: SlipLook): void {
  try {
    localStorage.setItem(SLIP_KEY, JSON.stringify(slip));
  } catch {
    // it lies as it lies until the page is left
  }
}

/** As it lay last, or as it lies where nothing that can be read was kept. */
export function lastSlip(usual: SlipLook): SlipLook {
  try {
    const kept = slipSchema.safeParse(JSON.parse(localStorage.getItem(SLIP_KEY) ?? ''));
    return kept.success ? kept.data : usual;
  } catch {
    return usual;
  }
}
