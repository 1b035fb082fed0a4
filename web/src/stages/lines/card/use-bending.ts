/** The card as it is bent: coarse while a handle is dragged, fine when it rests. */
import { useEffect, useMemo, useRef, useState } from 'react';
import { SPANS, type Card, type CardBent } from '@kalotrope/core/bend';
import { startBending, type Bending, type BendingTold } from '../../../engine/bending';

export type CardTold = {
  /** The last that was bent; null until there is one. */
  readonly bent: Extract<CardBent, { readonly ok: true }> | null;
  /** What is wrong with the card as it is now. */
  readonly wrong: Extract<CardBent, { readonly ok: false }>['problem'] | null;
  readonly failed: string | null;
  /** What is shown is of the card as it is now, at its finest. */
  readonly isNow: boolean;
};

export function useBending(card: Card, isDragged: boolean): CardTold {
  const bending = useRef<Bending | null>(null);
  const [told, setTold] = useState<BendingTold | null>(null);
  const [bent, setBent] = useState<CardTold['bent']>(null);
  useEffect(() => {
    const own = startBending((next) => {
      setTold(next);
      if (next.kind === 'bent' && next.result.ok) setBent(next.result);
    });
    bending.current = own;
    return () => own.end();
  }, []);
  const spans = isDragged ? SPANS.dragged : SPANS.rested;
  useEffect(() => bending.current?.ask({ card, spans }), [card, spans]);
  return useMemo(() => {
    const isOfThis = told?.asked.card === card;
    return {
      bent,
      wrong: isOfThis && told.kind === 'bent' && !told.result.ok ? told.result.problem : null,
      failed: isOfThis && told.kind === 'failed' ? told.message : null,
      isNow: isOfThis && told.kind === 'bent' && told.result.ok && told.asked.spans === SPANS.rested,
    };
  }, [bent, told, card]);
}
