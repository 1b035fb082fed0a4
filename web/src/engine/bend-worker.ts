/** A worker for cards that are bent while someone drags at them: small, so that it starts at once. */
import { expose } from 'comlink';
import { createCardBender, type Card, type CardBent } from '@kalotrope/core/bend';

const bend = createCardBender();

const api = {
  bend: (card: Card, spans: number): CardBent => bend(card, spans),
};

export type BendApi = typeof api;
expose(api);
