export {
  DIVISION_MM,
  MM_PER_FOOT,
  MM_PER_INCH,
  NOTATIONS,
  ANY_LENGTH,
  formatFine,
  formatLength,
  formatWithUnit,
  isImperial,
  lostInRounding,
  parseLength,
  unitLabel,
} from './length';
export type { Notation } from './length';
export { marksIn } from './marks';
export type { Marks } from './marks';
export { plainText } from './plain-text';
export {
  areaFigure,
  areaUnit,
  formatArea,
  formatClothWeight,
  formatDeg,
  formatMass,
  formatRun,
  formatShare,
  massFigure,
  massUnit,
  toDeg,
  toRad,
} from './quantity';
export { parseScale } from './scale';
