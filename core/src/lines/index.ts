export { linesSchema, longitudinalSchema, offsetPointSchema } from './schema';
export type { LinesPart, Longitudinal, OffsetPoint } from './schema';
export { battenAt, bendBatten, crossingsOfX, lengthAlong, sampleBatten } from './batten';
export type { Batten } from './batten';
export { CENTRELINE_MM, bendLines, drawLines, pointName, pointPath, positionOf } from './hull';
export type { Hull, HullLine, Station } from './hull';
export { residualOf, residuals } from './fairness';
export type { Residual } from './fairness';
