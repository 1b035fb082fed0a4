export {
  DIVISION_MM,
  MM_PER_FOOT,
  MM_PER_INCH,
  NOTATIONS,
  formatFine,
  formatLength,
  formatWithUnit,
  lostInRounding,
  parseLength,
  unitLabel,
} from './length';
export type { Notation } from './length';
export { formatArea, formatDeg, formatMass, formatShare, toDeg, toRad } from './quantity';
export { parseScale } from './scale';
