export {
  MM_PER_INCH,
  MM_PER_FOOT,
  NOTATIONS,
  DIVISION_MM,
  parseLength,
  roundToRule,
  formatLength,
  formatFine,
  formatWithUnit,
  lostInRounding,
  unitLabel,
} from './length';
export type { Notation, ParsedLength } from './length';
export { toDeg, toRad, formatDeg, formatMass, formatArea, formatShare } from './quantity';
export { parseScale } from './scale';
export type { ParsedScale } from './scale';
