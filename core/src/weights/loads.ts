/** Loads that are put aboard by one press: people where they sit, a motor at the transom, gear forward, water. */
import type { InsidePart } from '../fitout';
import { BOTTOM_OVER, PERSON_KG, SITTING_OVER } from './constants';
import type { Load } from './schema';

type Boat = {
  /** From the stem to the hull's after end, and her lowest and her highest. */
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  readonly people: InsidePart['people'];
};

export const LOADINGS = ['alone', 'two', 'gear', 'motor', 'sitting'] as const;
export type Loading = (typeof LOADINGS)[number];

export const LOADING_NAMES: Readonly<Record<Loading, string>> = {
  ...{ alone: 'One aboard, amidships', two: 'Two aboard', gear: 'Two, and gear forward' },
  ...{ motor: 'One, and a motor aft', sitting: 'Those who sit in her' },
};

/** The list with the loads of a standard loading in the place of all that was aboard; what was ashore stays. */
export function loaded(loads: readonly Load[], loading: Loading, boat: Boat): Load[] {
  const put = itemsFor(loading, boat);
  const ashore = loads.filter(({ isAboard }) => !isAboard);
  const taken = new Set(ashore.map(({ id }) => id));
  return [...ashore, ...put.map((load) => ({ ...load, id: freeId(load.id, taken) }))];
}

function itemsFor(loading: Loading, { from, to, low, high, people }: Boat): Load[] {
  const long = to - from;
  const seat = low + (high - low) / 2;
  const load = (id: string, name: string, kg: number, [share, up]: readonly [number, number]): Load => ({
    ...{
      id,
      name,
      kg,
      x: Math.min(Math.floor(to), Math.round(from + share * long)),
      out: 0,
      up: Math.round(up),
      isAboard: true,
    },
  });
  const person = (id: string, name: string, share: number) =>
    load(id, name, PERSON_KG.value, [share, seat + SITTING_OVER.value]);
  const gear = load('gear', 'Gear', 20, [0.3, low + BOTTOM_OVER.value]);
  switch (loading) {
    case 'alone':
      return [person('person', 'One aboard', 0.55)];
    case 'two':
      return [person('person', 'Amidships', 0.5), person('person-2', 'Aft', 0.8)];
    case 'gear':
      return [person('person', 'Amidships', 0.5), person('person-2', 'Aft', 0.8), gear];
    case 'motor':
      return [person('person', 'At the tiller', 0.75), load('motor', 'Motor', 15, [1, high])];
    case 'sitting':
      return people.map(({ id, name, x, out, height, faces, size }) => ({
        ...{ id: `sits-${id}`.slice(0, 60), name, kg: PERSON_KG.value },
        // the middle lies ahead of the back
        x: x + (faces === 'forward' ? -1 : 1) * (size.thigh / 3),
        ...{ out, up: height + SITTING_OVER.value, isAboard: true },
      }));
  }
}

export function freeId(id: string, taken: Set<string>): string {
  let own = id;
  for (let k = 2; taken.has(own); k++) own = `${id}-${k}`;
  taken.add(own);
  return own;
}
