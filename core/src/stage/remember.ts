/**
 * Keeps what pure functions made: the same function with arguments of the same content gives the same object again.
 *
 * A function that is remembered must take all it needs as arguments: it is named at the top of its file, not written at
 * the call, so that nothing it depends on can be left out of what is compared.
 */
import { isReaderView } from './reader';
import { isSame } from './same';

/** @param id names what is made, unlike anything else that the same stage remembers */
export type Remember = <A extends readonly unknown[], T>(id: string, make: (...args: A) => T, ...args: A) => T;

/** Remembered by its content: what was made again and came out the same is the same object as before. */
export const asItIs = <T>(made: T): T => made;

/** Makes everything anew: for computing once. */
export const makeAnew: Remember = (_id, make, ...args) => make(...args);

/** `idle` counts the calls of `settle` since it was last asked for. */
type Kept = { readonly make: unknown; readonly args: readonly unknown[]; readonly value: unknown; idle: number };

/** The last answer and the one before it: so that what is undone, or tried and put back, costs nothing. */
export const ANSWERS_KEPT = 2;

export type Memory = {
  readonly remember: Remember;
  /** Lets go of what was asked for neither since the last call nor between that and the one before. */
  readonly settle: () => void;
};

/** @param onMade is told the id of what had to be made */
export function createMemory(onMade: (id: string) => void): Memory {
  const kept = new Map<string, Kept[]>();
  const remember: Remember = (id, make, ...args) => {
    if (args.some(isReaderView)) throw new Error(`"${id}" was given a reader's view; pass what is read from it`);
    const answers = kept.get(id) ?? [];
    const known = answers.find((one) => one.make === make && isSame(one.args, args));
    const answer = known ?? { make, args, value: make(...args), idle: 0 };
    answer.idle = 0;
    kept.set(id, [answer, ...answers.filter((one) => one !== answer)].slice(0, ANSWERS_KEPT));
    if (!known) onMade(id);
    return answer.value as ReturnType<typeof make>; // made by the same function: checked above
  };
  const settle = () => {
    for (const [id, answers] of kept) {
      for (const one of answers) one.idle++;
      const asked = answers.filter(({ idle }) => idle <= ANSWERS_KEPT);
      if (asked.length > 0) kept.set(id, asked);
      else kept.delete(id);
    }
  };
  return { remember, settle };
}

/**
 * A pure function of one thing, worked out once for each: things are never changed in place, so one that is the same
 * object has the same answer. Answers go when their things do.
 */
export function oncePer<K extends object, V>(make: (thing: K) => V): (thing: K) => V {
  const made = new WeakMap<K, { readonly value: V }>();
  return (thing) => {
    const known = made.get(thing);
    if (known) return known.value;
    const value = make(thing);
    made.set(thing, { value });
    return value;
  };
}
