/** The settings of all joints by their labels. */
export type LengthKey = 'strapShort' | 'tongue' | 'cutterRadius' | 'fit' | 'boughtLoss' | 'clearOfFrames' | 'stagger';

export const LENGTHS: Readonly<Record<LengthKey, string>> = {
  strapShort: 'Short of the edges',
  tongue: 'Tongues reach',
  cutterRadius: 'Cutter’s radius',
  fit: 'Room between halves',
  boughtLoss: 'Lost at a joint',
  clearOfFrames: 'Clear of frames',
  stagger: 'Stagger between panels',
};

export const SETTING_LABELS = [
  'Joined by',
  'Scarf, times the thickness',
  'Strap, times the thickness',
  'Straps of',
  ...Object.values(LENGTHS),
];
