/** Who is aboard the demo boats on a fair day, and what they take along. */
import type { Load } from '../../weights';

const aboard = (id: string, name: string, kg: number, [x, out, up]: readonly [number, number, number]): Load => ({
  ...{ id, name, kg, x, out, up, isAboard: true },
});

export const TAMSEL_LOADS: readonly Load[] = [
  aboard('rower', 'At the oars', 78, [2450, 0, 560]),
  aboard('aft', 'On the stern seat', 64, [3700, 0, 610]),
  aboard('basket', 'Nets and basket', 18, [1500, 60, 270]),
];

/** One slender hull does not stand by herself with nothing in her; the other holds her, or what lies low in her. */
export const ILVEN_LOADS: readonly Load[] = [
  aboard('nets', 'Nets', 120, [3300, 0, 150]),
  aboard('hides', 'Hides', 80, [4300, 0, 150]),
];
