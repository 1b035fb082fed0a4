/** A worker for cards that are bent while someone drags at them: small, so that it starts at once. */
import { expose } from 'comlink';
import { createCardBender, SPANS, type Card, type CardBent } from '@kalotrope/core/bend';

const bend = createCardBender();
let newest = 0;

const api = {
  bend: (card: Card, spans: number): CardBent => {
    const made = bend(card, spans);
    const mine = ++newest;
    // the first of a drag is then much like one that was bent just before
    if (spans !== SPANS.dragged && made.ok)
      setTimeout(() => {
        if (mine === newest) bend(card, SPANS.dragged);
      });
    return made;
  },
};

export type BendApi = typeof api;
expose(api);
