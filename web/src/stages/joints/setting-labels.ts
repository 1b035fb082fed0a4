/** The settings of all joints by their labels. */
import type { JointKind, JointsPart } from '@kalotrope/core/joints';

export type LengthKey = 'strapShort' | 'tongue' | 'cutterRadius' | 'fit' | 'boughtLoss' | 'clearOfFrames' | 'stagger';

export const LENGTHS: Readonly<Record<LengthKey, string>> = {
  strapShort: 'Short of the edges',
  tongue: 'Tongues reach',
  cutterRadius: 'Radius of its cutter',
  fit: 'Room between halves',
  boughtLoss: 'Lost at a joint',
  clearOfFrames: 'Clear of frames',
  stagger: 'Stagger between panels',
};

/** Of each kind what is set for it alone; shown where some joint is of it. */
const OF_KIND: Readonly<Record<JointKind, readonly string[]>> = {
  scarf: ['Scarf, times the thickness'],
  strap: ['Strap, times the thickness', 'Straps of', 'Screws into straps', LENGTHS.strapShort],
  tongues: [LENGTHS.tongue, LENGTHS.cutterRadius, LENGTHS.fit],
  bought: [LENGTHS.boughtLoss],
  butt: [],
};

/** What is set of the joints of a boat, by its labels. */
export const settingLabels = ({ kind, own, toFrames }: Pick<JointsPart, 'kind' | 'own' | 'toFrames'>): string[] => [
  'Joined by',
  ...[...new Set([kind, ...own.map((joint) => joint.kind)])].flatMap((one) => OF_KIND[one]),
  'What is cut first',
  'Joints and frames',
  ...(toFrames === 'clear' ? [LENGTHS.clearOfFrames] : []),
  LENGTHS.stagger,
];
