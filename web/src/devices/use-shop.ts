/** The shop as its sensor says it, or nothing while nobody listens or nothing comes. */
import { useEffect, useState } from 'react';
import type { Source } from './source';
import type { ShopReading } from './streams';

const LOST_MS = 5000;

export type ShopState = { readonly reading: ShopReading | null; readonly isLost: boolean };
const UNHEARD: ShopState = { reading: null, isLost: false };

export function useShop(source: Source<ShopReading> | null): ShopState {
  const [state, setState] = useState<ShopState>(UNHEARD);
  useEffect(() => {
    if (!source) return undefined;
    let last = Date.now();
    const stop = source.listen((reading) => {
      last = Date.now();
      setState({ reading, isLost: false });
    });
    const timer = setInterval(() => {
      if (Date.now() - last > LOST_MS) setState({ reading: null, isLost: true });
    }, LOST_MS / 5);
    return () => {
      stop();
      clearInterval(timer);
      setState(UNHEARD);
    };
  }, [source]);
  return state;
}
