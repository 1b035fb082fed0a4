/** What lies in the boat or stands on it, each as it is cut. */
import type { FittedBlock } from './blocks/block';
import type { FittedKnee } from './knees/knee';
import type { Fitted } from './value';
import type { FittedWall } from './walls/fitted-wall';

export type Lying = {
  readonly parts: readonly Fitted[];
  readonly walls: readonly FittedWall[];
  readonly blocks: readonly FittedBlock[];
  readonly knees: readonly FittedKnee[];
};
