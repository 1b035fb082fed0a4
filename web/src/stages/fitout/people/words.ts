/** What the choices of a person are called. */
import type { PersonPlan } from '@kalotrope/core/fitout';

export const POSE_WORDS: Readonly<Record<PersonPlan['pose'], string>> = {
  seated: 'sits',
  lying: 'lies',
  rowing: 'rows',
};
export const FACES_WORDS: Readonly<Record<PersonPlan['faces'], string>> = {
  forward: 'forward',
  aft: 'aft',
};

export const SIZES_SECTION = 'Sizes';
export const LENGTHS_SECTION = 'Lengths along the boat';
export const LIMITS_SECTION = 'Shop, door and trailer';
