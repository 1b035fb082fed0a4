import { useEffect, useState, type RefObject } from 'react';

/** The size of an element, followed as it changes. */
export function useSize(ref: RefObject<HTMLElement | null>): {
  readonly width: number;
  readonly height: number;
} {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}

export const useWidth = (ref: RefObject<HTMLElement | null>): number => useSize(ref).width;
