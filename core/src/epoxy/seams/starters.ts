/** What goes on the seams of a light, a middling and a heavy boat, to begin with: each a set of edits. */
import { usualIn, type Notation } from '../../measure';
import type { Edit } from '../../findings';
import { SEAMS_HEAVY, SEAMS_LIGHT, SEAMS_MIDDLING } from '../constants';

export type ScheduleStarter = { readonly name: string; readonly editsIn: (notation: Notation) => Edit[] };

/** Each replaces what is set for all seams; what single seams have of their own stays. */
export const SCHEDULE_STARTERS: readonly ScheduleStarter[] = (
  [
    ['light', SEAMS_LIGHT],
    ['middling', SEAMS_MIDDLING],
    ['heavy', SEAMS_HEAVY],
  ] as const
).map(([name, { value }]) => ({
  name,
  editsIn: (notation) => {
    const [radius, leg, width, inside, outside] = value;
    const values = {
      ...{ filletRadius: usualIn(radius, notation), filletLeg: usualIn(leg, notation), filletBy: 'larger' },
      ...{ tapeWidth: usualIn(width, notation), tapeLayersInside: inside, tapeLayersOutside: outside },
    };
    return Object.entries(values).map(([key, part]) => ({ path: ['epoxy', key], value: part }));
  },
}));
