/** Who is aboard the Tamsel on a fair day, and what they take along. */
import type { Load } from '../../weights';

const aboard = (id: string, name: string, kg: number, [x, out, up]: readonly [number, number, number]): Load => ({
  ...{ id, name, kg, x, out, up, isAboard: true },
});

export const TAMSEL_LOADS: readonly Load[] = [
  aboard('rower', 'At the oars', 78, [2450, 0, 560]),
  aboard('aft', 'On the stern seat', 64, [3700, 0, 610]),
  aboard('basket', 'Nets and basket', 18, [1500, 60, 270]),
];
