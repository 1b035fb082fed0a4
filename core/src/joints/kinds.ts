/** What each kind of joint takes: length of the sheets, room along the panel; and what it is called. Lengths mm. */
import type { JointKind, JointsPart } from './schema';
import { shortestTongue } from './tongues';

type Sizes = Pick<JointsPart, 'scarfRatio' | 'strapRatio' | 'tongue' | 'cutterRadius' | 'fit' | 'boughtLoss'>;

/** How far tongues reach: as far as asked, or as the cutter needs. */
export const reachOf = (sizes: Pick<Sizes, 'tongue' | 'cutterRadius' | 'fit'>): number =>
  Math.max(sizes.tongue, shortestTongue(sizes));

/**
 * How far two pieces lie over, or reach into, each other: of n sheets n − 1 of these are lost, so that a blank of n
 * sheets of length S is n·S − (n − 1)·lap long.
 */
export function lapOf(kind: JointKind, sizes: Sizes, thickness: number): number {
  switch (kind) {
    case 'scarf':
      return sizes.scarfRatio * thickness;
    case 'strap':
    case 'butt':
      return 0;
    case 'tongues':
      return reachOf(sizes);
    case 'bought':
      return sizes.boughtLoss;
  }
}

/** What a joint takes up along the panel: nothing else may stand there. */
export const widthOf = (kind: JointKind, sizes: Sizes, thickness: number): number =>
  kind === 'strap' ? sizes.strapRatio * thickness : lapOf(kind, sizes, thickness);

export const KIND_WORDS: Readonly<Record<JointKind, string>> = {
  scarf: 'scarf',
  strap: 'butt strap',
  tongues: 'tongued joint',
  bought: 'bought joint',
  butt: 'butt',
};

/** Both at once, with the kind. */
export const sizesOfJoint = (kind: JointKind, sizes: Sizes, thickness: number) => ({
  ...{ kind, lap: lapOf(kind, sizes, thickness), width: widthOf(kind, sizes, thickness) },
});
