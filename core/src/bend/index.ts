export { bendSheet, type Bent } from './bend';
export {
  alongLower,
  bendCard,
  CARD_LIMITS,
  cardOutline,
  cardProblemWords,
  cardSchema,
  createCardBender,
  emptyCard,
  flareAt,
  sheetLength,
  SPANS,
  upperAtFlare,
  BOW,
  STERN,
} from './card';
export type { Card, CardBent, CardProblem, Spreader } from './card';
export { readBendJob } from './job';
