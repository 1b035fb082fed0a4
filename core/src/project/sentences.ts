/** The sentences of all stages' findings, by code. */
import { sentenceFrom, type Catalogue, type Finding } from '../findings';
import type { Notation } from '../measure';
import { CHAIN } from './document';

/** Codes are unlike from stage to stage: a test shows it. */
export const CATALOGUE: Catalogue = Object.assign({}, ...CHAIN.map(({ catalogue }) => catalogue)) as Catalogue;

/** The finding as one plain sentence or two, lengths in the notation asked for. */
export const sentence = (finding: Finding, notation: Notation): string => sentenceFrom(CATALOGUE, finding, notation);
