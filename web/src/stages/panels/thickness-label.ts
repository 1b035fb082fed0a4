import { isImperial, type Notation } from '@kalotrope/core/measure';

/** Sheets are sold in millimetres everywhere: of a boat in inches the label says them. */
export const thicknessLabel = (of: 'Skin' | 'Transom', mm: number, notation: Notation): string =>
  isImperial(notation) ? `${of} (${mm} mm)` : `${of} thickness`;
