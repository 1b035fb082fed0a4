import type { JointKind } from '@kalotrope/core/joints';

export const KIND_NAMES: Readonly<Record<JointKind, string>> = {
  scarf: 'Scarf',
  strap: 'Butt strap',
  tongues: 'Tongues cut into each other',
  bought: 'Bought ready cut',
};
