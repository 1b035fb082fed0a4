export { setUp, type SetResult } from './cause';
export { checkWords, heldWords } from './check-words';
export { readSetupJob } from './job';
export type { CheckName, KeptReading, SetupPart } from './schema';
export { shouldWords } from './sheets';
export { setupStage } from './stage';
export { standOfThing, standThing } from './things';
export * as setupConstants from './constants';
export { drawnOut, type SetupValue, type Stood } from './value';
