export { epoxySchema } from './schema';
export type { EpoxyPart } from './schema';
export { filletArea, takeOff } from './takeoff';
export type { Seam, Takeoff, TakeoffInput, TakeoffLine } from './takeoff';
export * as epoxyConstants from './constants';
