export { bendSheet, type Bent } from './bend';
export {
  alongLower,
  bendCard,
  cardOutline,
  cardProblemWords,
  cardSchema,
  createCardBender,
  emptyCard,
  sheetLength,
  SPANS,
  STERN,
} from './card';
export type { Card, CardBent, CardFrame, CardHeld, CardOutline, CardProblem } from './card';
export { readBendJob } from './job';
