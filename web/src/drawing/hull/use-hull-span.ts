import { useMemo } from 'react';
import { selectDerived } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

/** Where the hull lies along x, how long and how high it is, mm. */
export function useHullSpan(): { readonly middle: number; readonly length: number; readonly high: number } {
  const hull = useAppSelector((state) => selectDerived(state)?.lines.value);
  return useMemo(() => {
    const { fromX = 0, toX = 0, lines = [] } = hull ?? {};
    const high = Math.max(0, ...lines.flatMap(({ points }) => points.map(({ height }) => height)));
    return { middle: (fromX + toX) / 2, length: toX - fromX, high };
  }, [hull]);
}
