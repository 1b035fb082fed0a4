export { filletArea, filletIn } from './fillet';
export { findSeams, type SeamsOf } from './find-seams';
export { scheduleOf, tapeWidths } from './schedule';
export { isWithin } from './seam';
export type { Seam, SeamEdge } from './seam';
export { SCHEDULE_STARTERS } from './starters';
