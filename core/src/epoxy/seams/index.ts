export { filletArea, filletIn, legOf, type FilletRule } from './fillet';
export { findSeams, type SeamsOf } from './find-seams';
export { scheduleOf, tapeWidths, type Schedule } from './schedule';
export type { Seam, SeamKind } from './seam';
export { SCHEDULE_STARTERS } from './starters';
