export { solidSum } from './convolution';
export { random } from './random';
export {
  area,
  boundsOf,
  boxOutline,
  contains,
  convexHull,
  counterClockwise,
  crossesItself,
  differenceOf,
  grownRound,
  intersectionOf,
  middleOf,
  minkowskiSum,
  mirrored,
  moved,
  netArea,
  regionDistance,
  rounded,
  segmentsCross,
  signedArea,
  solidDistance,
  turned,
  unionOf,
  upright,
  widened,
} from './polygon';
export type { Box, Outline, Region } from './polygon';
export { add3, at, cross3, distance2, distance3, dot3, length3, lerp2, lerp3, scale3, sub3, unit3 } from './vec';
export type { Vec2, Vec3 } from './vec';
export {
  arcWeights,
  crossLines,
  crossings,
  distanceToSegment,
  footOn,
  nearestIndex,
  placeAtLength,
  pointAtLength,
  polylineLength,
  polylineLength3,
  runsInside,
  simplify,
  simplifyRing,
} from './polyline';
export { SAME_POINT_MM, evaluate, evaluateTangent, fitSpline, uEnd } from './spline';
export type { CurvePoint, CurveTangent, Spline } from './spline';
export { seenLines } from './hidden-lines';
export type { SeenSurface } from './hidden-lines';
export { setOut } from './set-out';
export { bracketedRoot } from './root';
export { solveDense } from './dense';
export { laidOn } from './laid-on';
export { hashOf } from './hash';
