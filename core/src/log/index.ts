export { logEntrySchema } from './records';
export { figureWords, photosWords } from './tables';
export { LOG_KINDS, NO_RECORDS, readRecords } from './records';
export type { LogEntry, LogKind, LogRecords, PotEntry, RunningClock } from './records';
export { gapLeft } from './judge';
export { logStage } from './stage';
export { standing, type StandingEntry } from './standing';
export { centsByUse, centsOf, epoxySums, hoursByGroup, minutesOf, mixedPots, moneyWords } from './sums';
export { cutOfThing, cutThing, entryOfThing, entryThing } from './things';
export { readHours, readMoney } from './typed';
export {
  changeOf,
  keptShape,
  livesOf,
  movedParts,
  PART_STATES,
  STATE_WORDS,
  stateOf,
  type MovedPart,
  type NowPart,
  type PartRecord,
  type PartState,
} from './life';
