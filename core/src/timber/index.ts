export { faultsOfPlan } from './check';
export { readTimberJob } from './job';
export { solverFrom, type LinearSolver } from './program';
export { planTimber, type TimberPlan } from './solve';
