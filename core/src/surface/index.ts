export { bendRadii, layFlat, layStrip, squareUp, wholeEnds } from './strip';
export type { LaidRuling } from './strip';
export { bowOf, sectionAt, sectionBy } from './section';
export type { Plane, SectionPoint } from './section';
export { findRulings } from './rulings';
export type { EdgeCurve } from './edge-curve';
export { twistOf } from './twist';
export { strainOf } from './strain';
export type { StrainField } from './strain';
