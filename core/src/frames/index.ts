export { SCHOOLS } from './schema';
export type { FramesPart, School } from './schema';
export { bodyOf, cutOutline, frameAt } from './frame';
export type { Frame } from './frame';
export { FRAMES_PATH, oneMore, widestRoom } from './plans';
export { framesDrawings } from './drawings';
export type { FramesWhole } from './drawings';
export { framesStage } from './stage';
export { frameOfThing, frameThing } from './things';
