import type { JointKind } from '@kalotrope/core/joints';

/** Of sheets that make a panel by themselves. */
export const SHEET_KIND_NAMES: Readonly<Record<Exclude<JointKind, 'butt'>, string>> = {
  scarf: 'Scarf',
  strap: 'Butt strap',
  tongues: 'Tongues cut into each other',
  bought: 'Bought ready cut',
};

/** Of layers: over a butt the next one lies. */
export const LAYER_KIND_NAMES: Readonly<Record<JointKind, string>> = { butt: 'Butt', ...SHEET_KIND_NAMES };
