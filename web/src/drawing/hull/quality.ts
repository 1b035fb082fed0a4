/**
 * How finely the hull is drawn. With a graphics processor always as finely as the screen shows; without one coarsely
 * while it moves or the boat is being changed, and finely once it rests.
 */
import { invalidate, useFrame } from '@react-three/fiber';
import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { graphics } from './graphics';

/** Pixels of the picture to one of the screen: at rest, and while it moves, as finely as keeps up. */
const RESTING = 1.3;
const MOVING = [0.75, 0.6, 0.5, 0.4, 0.3] as const;
const REST_MS = 700;
/** Thirty frames a second, and so quick that a finer picture would keep up too; judged over so many frames. */
const SLOW_MS = 31;
const QUICK_MS = 17;
const APART_MS = 150;
const JUDGED = 4;

/**
 * Without a graphics processor the boat is made anew when edits pause, and of a long row of them now and then, ms: a
 * picture costs as much as several edits.
 */
export const SOFTWARE_REST = { pause: 300, longest: 1000 } as const;
/** So long a picture waits for what else is changed with it; and for the tape's mark to stand still, ms. */
const TOGETHER_MS = 30;
const MARK_PAUSE_MS = 150;
const LONGEST_MS = 500;

let waiting: { timer: ReturnType<typeof setTimeout>; readonly since: number } | undefined;

/** An edit was made, of which the picture will follow: while they go on, a coarse picture stays coarse. */
export function edits(): void {
  if (isMoving) moves();
}

/** The boat has been made anew: draw it coarsely at once, as another edit may come, and finely when none does. */
export function drawSoon(): void {
  moves();
  drawWithin(TOGETHER_MS);
}

/** The mark has moved on it: without a graphics processor it is drawn when it rests. */
export function drawMark(): void {
  moves();
  drawWithin(MARK_PAUSE_MS);
}

function drawWithin(pause: number): void {
  if (graphics() === 'processor') {
    invalidate();
    return;
  }
  const now = performance.now();
  const since = waiting?.since ?? now;
  clearTimeout(waiting?.timer);
  const left = Math.min(pause, Math.max(0, since + LONGEST_MS - now));
  const timer = setTimeout(() => {
    waiting = undefined;
    invalidate();
  }, left);
  waiting = { timer, since };
}

/** It is being turned, or moved by a slider. */
export function moves(): void {
  if (graphics() === 'processor') return;
  clearTimeout(resting);
  resting = setTimeout(() => turn(false), REST_MS);
  turn(true);
}

let isMoving = false;
let resting: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
const listen = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

function turn(now: boolean): void {
  if (isMoving === now) return;
  isMoving = now;
  listeners.forEach((listener) => listener());
}

/** Whether what is dear and not missed in moving is left out for now. */
export const useIsCoarse = (): boolean => useSyncExternalStore(listen, () => isMoving);

/** How coarse it is while it moves: found out by moving it, and kept. */
let level = 2;

const finenessNow = (): number =>
  graphics() === 'processor' ? Math.min(2, window.devicePixelRatio) : isMoving ? (MOVING[level] ?? RESTING) : RESTING;

/** Pixels of the picture to one of the screen. */
export const useFineness = (): number => useSyncExternalStore(listen, finenessNow);

/** Looks how quickly the frames follow one another while it moves. */
export function Quality() {
  const isCoarse = useIsCoarse();
  const times = useRef<{ last: number; readonly taken: number[] }>({ last: 0, taken: [] });
  useLayoutEffect(() => {
    times.current = { last: 0, taken: [] };
    invalidate();
  }, [isCoarse]);
  useFrame(() => {
    if (!isCoarse) return;
    const { last, taken } = times.current;
    const now = performance.now();
    times.current.last = now;
    if (last > 0) taken.push(now - last);
    if (taken.length < JUDGED) return;
    const middle = [...taken].sort((a, b) => a - b)[JUDGED / 2] ?? 0;
    taken.length = 0;
    // frames far apart are edits, each drawn by itself
    const next = middle > APART_MS ? level : level + (middle > SLOW_MS ? 1 : middle < QUICK_MS ? -1 : 0);
    if (next === level || MOVING[next] === undefined) return;
    level = next;
    listeners.forEach((listener) => listener());
  });
  return null;
}
