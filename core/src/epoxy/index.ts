export { epoxySchema } from './schema';
export type { EpoxyPart } from './schema';
export { filletArea, takeOff } from './takeoff';
export type { Seam, Takeoff, TakeoffInput, TakeoffLine } from './takeoff';
export { epoxyStage } from './stage';
export { seamOfThing, seamThing } from './things';
export * as epoxyConstants from './constants';
