export { changeOf } from './compare';
export { movedParts, type MovedPart, type NowPart } from './moved';
export { keptShape, livesOf, PART_STATES, partRecordSchema, STATE_WORDS, stateOf } from './records';
export type { PartRecord, PartState } from './records';
