export { faultsOfPlan } from './check';
export { readTimberJob, type TimberJob } from './job';
export { solverFrom, type LinearSolver } from './program';
export { planTimber, type TimberPlan } from './solve';
