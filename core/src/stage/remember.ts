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

type Kept = { readonly make: unknown; readonly args: readonly unknown[]; readonly value: unknown; isUsed: boolean };

export type Memory = {
  readonly remember: Remember;
  /** Lets go of what was not asked for since the last call. */
  readonly settle: () => void;
};

/** @param onMade is told the id of what had to be made */
export function createMemory(onMade: (id: string) => void): Memory {
  const kept = new Map<string, Kept>();
  const remember: Remember = (id, make, ...args) => {
    if (args.some(isReaderView)) throw new Error(`"${id}" was given a reader's view; pass what is read from it`);
    const known = kept.get(id);
    if (known && known.make === make && isSame(known.args, args)) {
      known.isUsed = true;
      return known.value as ReturnType<typeof make>; // made by the same function: checked above
    }
    const value = make(...args);
    kept.set(id, { make, args, value, isUsed: true });
    onMade(id);
    return value;
  };
  const settle = () => {
    for (const [id, one] of kept) {
      if (!one.isUsed) kept.delete(id);
      one.isUsed = false;
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
