/** Weights of tens of kilograms as they are typed, and what stands beside the field. */
import { isImperial, type Notation } from '@kalotrope/core/measure';

/** Avoirdupois, exact. */
const KG_PER_LB = 0.45359237;
const KG_M3_PER_LB_FT3 = 16.018463;

export const heavyUnit = (notation: Notation): string => (isImperial(notation) ? 'lb' : 'kg');
/** What one shown unit is in the project, kg. */
export const kgPerShown = (notation: Notation): number => (isImperial(notation) ? KG_PER_LB : 1);

export const densityUnit = (notation: Notation): string => (isImperial(notation) ? 'lb/ft³' : 'kg/m³');
export const densityPerShown = (notation: Notation): number => (isImperial(notation) ? KG_M3_PER_LB_FT3 : 1);
