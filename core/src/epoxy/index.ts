export type { TakeoffLine } from './line';
export type { Takeoff } from './takeoff';
export { chinesOf } from './sheathing';
export { epoxyStage } from './stage';
export { jobOfThing, jobThing, seamOfThing, seamThing } from './things';
export * as epoxyConstants from './constants';
export { fromWords, width as formatWidth } from './from-words';
export { faultsOfMix, mix, readMixJob, type Mix, type MixJob } from './mixing';
export { jobsOf, planPots, type Job, type PlannedPot, type PotPlan, type Stretch } from './jobs';
export { ratioByWeight } from './mixing';
export { SCHEDULE_STARTERS, type Seam } from './seams';
export type { Pack, SeamPlan } from './schema';
export * from './weighing';
export {
  dewPointC,
  fitStretches,
  holdOffs,
  hourly,
  windowsFrom,
  type HoldOff,
  type Weather,
  type Windows,
} from './windows';
export { readForecast } from './forecast';
