export type { TakeoffLine } from './line';
export type { Takeoff } from './takeoff';
export { chinesOf } from './sheathing';
export { epoxyStage } from './stage';
export { seamOfThing, seamThing } from './things';
export * as epoxyConstants from './constants';
export { fromWords, width as formatWidth } from './from-words';
export { faultsOfMix, mix, readMixJob, type Mix, type MixJob } from './mixing';
