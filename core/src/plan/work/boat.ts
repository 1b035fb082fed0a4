/** What a boat has that there is work in, and a dry job begun. */
import type { Takeoff } from '../../epoxy';
import type { CutInside, InsidePart } from '../../fitout';
import type { FramesValue, School } from '../../frames';
import type { JointedPanel } from '../../joints';
import type { PanelsValue } from '../../panels';
import type { SetupPart, SetupValue } from '../../setup';
import type { CutPart } from '../../sheets';
import type { TimberRun } from '../../timber';
import type { Hours } from './epoxy-work';
import type { WorkJob } from './job';

export type BoatToBuild = {
  readonly school: School;
  readonly panels: PanelsValue;
  readonly frames: FramesValue;
  readonly setup: Pick<SetupValue, 'frames' | 'jig'>;
  readonly way: SetupPart['way'];
  readonly inside: readonly CutInside[];
  readonly plans: Pick<InsidePart, 'walls' | 'knees'>;
  readonly jointed: readonly JointedPanel[];
  readonly cut: readonly CutPart[];
  readonly runs: readonly TimberRun[];
  readonly takeoff: Pick<Takeoff, 'jobs' | 'seams' | 'coats' | 'lines' | 'plan'>;
  readonly hours: Hours;
  readonly paintPace: number;
  /** Under which epoxy and paint stay soft, °C; over which they blush, per cent. */
  readonly warmth: { readonly leastC: number; readonly dampest: number; readonly paintLeastC: number };
};

export const MM_PER_M = 1000;

type Dry = Pick<WorkJob, 'id' | 'name' | 'group' | 'does' | 'minutes'> & Partial<WorkJob>;
export const dry = (given: Dry): WorkJob => ({
  ...{ parts: [], isOneGo: false, hands: 1, needs: [], isWet: false, isPaint: false },
  ...given,
});

/** Within a sentence. */
export const lower = (words: string): string => `${words.charAt(0).toLowerCase()}${words.slice(1)}`;
