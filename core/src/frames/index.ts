export { SCHOOLS } from './schema';
export type { FramesPart, School } from './schema';
export { cutOutline, frameAt } from './frame';
export type { Frame } from './frame';
export { framesStage } from './stage';
export { frameOfThing, frameThing } from './things';
