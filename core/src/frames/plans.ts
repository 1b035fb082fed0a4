/** Frames put in and taken out. Lengths mm. */
import { BULKHEAD_THICKNESS } from './constants';
import type { FramePlan } from './schema';

/** Where frames are kept in the project, for edits. */
export const FRAMES_PATH = ['frames', 'frames'] as const;

type Ends = { readonly fromX: number; readonly toX: number };

/** Places are found with a pencil: to a whole millimetre. */
const whole = (mm: number) => Math.round(mm);

/** The middle of the widest room between two frames, or between one and an end of the hull. */
export function widestRoom(plans: readonly FramePlan[], { fromX, toX }: Ends): number {
  const inside = plans.map(({ x }) => x).filter((x) => x > fromX && x < toX);
  const places = [fromX, ...inside.sort((a, b) => a - b), toX];
  const rooms = places.slice(1).map((to, i) => ({ from: places[i] ?? to, to }));
  const { from, to } = rooms.reduce((most, room) => (room.to - room.from > most.to - most.from ? room : most));
  return whole((from + to) / 2);
}

/** One more, of the thickness and named after the manner of the last: `Bulkhead 4` after three. */
export function oneMore(plans: readonly FramePlan[], x: number): FramePlan {
  const last = plans[plans.length - 1];
  const word = last?.name.replace(/[\s\d½.]+$/, '') || 'Frame';
  const isFree = (n: number) =>
    plans.every(({ id, name }) => id !== `frame.${n}` && name.toLowerCase() !== `${word} ${n}`.toLowerCase());
  let number = plans.length + 1;
  while (!isFree(number)) number++;
  return {
    id: `frame.${number}`,
    name: `${word} ${number}`.slice(0, 60),
    x: whole(x),
    width: last?.width ?? BULKHEAD_THICKNESS.value,
    face: last?.face ?? 'fore',
  };
}
