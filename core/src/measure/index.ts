export {
  DIVISION_MM,
  MM_PER_FOOT,
  MM_PER_INCH,
  NOTATIONS,
  ANY_LENGTH,
  formatField,
  formatFine,
  formatLength,
  formatScantling,
  formatSection,
  formatSmall,
  formatThickness,
  formatWithUnit,
  isImperial,
  lostInRounding,
  parseLength,
  unitLabel,
  usualIn,
} from './length';
export type { Notation } from './length';
export { marksIn } from './marks';
export type { Marks } from './marks';
export { plainText } from './plain-text';
export { unbroken } from './unbroken';
export {
  areaFigure,
  areaUnit,
  clothWeightUnit,
  formatArea,
  formatClothWeight,
  formatDeg,
  formatMass,
  formatRun,
  formatRunToBuy,
  formatShare,
  formatTemperature,
  formatVolume,
  fromShownTemperature,
  gramsPerShown,
  massFigure,
  massUnit,
  mlPerShown,
  shownTemperature,
  temperatureUnit,
  toDeg,
  toRad,
  volumeUnit,
} from './quantity';
export { parseScale } from './scale';
