/** What bending is measured by. Values from outside carry their source. */
import { house } from '../stage';

export const PLY_MODULUS = house(8, 'GPa', 'plywood of common woods along its face grain, bent by hand');
export const STRAIN_SAID = house(
  { ordinary: 0.0002, most: 0.001 },
  'fraction',
  'up to the first the sheet takes it unseen; up to the second with clamps; beyond it would have to stretch',
);
export const FEEL = house(
  { hand: 60, clamp: 200, people: 500 },
  'N',
  'what one hand holds while the other ties, what a clamp draws in, what two people lean on',
);
