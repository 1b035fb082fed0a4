export { house } from './constant';
export type { Constant, Constants } from './constant';
export { readerOf } from './reader';
export type { Reader } from './reader';
export { asItIs, createMemory, makeAnew, oncePer } from './remember';
export type { Memory, Remember } from './remember';
export { isSame } from './same';
export { defineStage } from './stage';
export type { FindingOf, Marks } from './stage';
