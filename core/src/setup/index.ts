export { setUp, type SetResult } from './cause';
export { readSetupJob } from './job';
