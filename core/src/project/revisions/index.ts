export { backTo, changesBetween } from './changes';
export type { CountChange, PartChanged, RevisionChanges } from './changes';
export { isOtherPlanOf, newerPlan } from './newer';
