export { clothMetres, clothToLay, laidCloth, type ClothToLay, type LaidCloth } from './cloth/cloth';
export { flatParts, type FlatPart } from './flat-parts';
export { gluedAreas } from './glued-areas';
export type { TakeoffLine } from './line';
export type { Takeoff } from './takeoff';
export { chinesOf } from './sheathing';
export { epoxyStage } from './stage';
export { jobOfThing, jobThing, seamOfThing, seamThing } from './things';
export * as epoxyConstants from './constants';
export { fromWords, width as formatWidth } from './from-words';
export { faultsOfMix, mix, readMixJob, type Mix } from './mixing';
export { planPots, type Job, type PlannedPot, type PotPlan, type Stretch } from './jobs';
export { ratioByWeight } from './mixing';
export { SCHEDULE_STARTERS, scheduleOf, type Seam } from './seams';
export type { EpoxyPart, Finish, Glue, Pack, SeamPlan } from './schema';
export { FINISH_KINDS, FINISH_PLACES, GLUE_KINDS } from './schema';
export { zoneEdges, zonesOn, type Zone } from './zones';
export type { Coat, OtherLine } from './others/others';
export * from './weighing';
export {
  coatWindow,
  dewPointC,
  fitStretches,
  holdOffs,
  hourly,
  paceAt,
  paceOfFinish,
  windowsFrom,
  type HoldOff,
  type Resin,
  type Weather,
} from './windows';
export { coldCures, type ColdCure } from './cold-cure';
export { readForecast, type ClockOf } from './forecast';
