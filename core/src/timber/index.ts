export { faultsOfPlan } from './check';
export { readTimberJob, type TimberJob } from './job';
export { planOf } from './judge';
export { solverFrom, type LinearSolver } from './program';
export { sectionOfStick, sectionWords, type TimberRun } from './runs';
export type { OwnRun, StockStick } from './schema';
export { planTimber, type TimberPlan, type TimberResult } from './solve';
export { timberStage, type TimberValue } from './stage';
export { runOfThing, runThing } from './things';
