/** What the set-up finds: frames that are not true, and what to do with one's hands; codes, data and sentences. */
import { entry, figure, word, type FindingsOf } from '../findings';
import type { Cause } from './causes';
import { adviceOf } from './say';

export const SETUP_FINDINGS = {
  'frame-not-true': entry(
    {
      ...{ frame: word, cause: word, half: figure, height: figure, x: figure, y: figure, z: figure },
      ...{ roll: figure, pitch: figure, yaw: figure, rivals: word, unknown: word, readings: figure },
    },
    // one of the causes, as it was found
    (advised, { length }) => adviceOf({ ...advised, cause: advised.cause as Cause }, length),
    {
      ...{ frame: 'bulkhead 2', cause: 'rack', half: 600, height: 400, x: 0, y: 0, z: 0, roll: 0, pitch: 0 },
      ...{ yaw: 8 / 600, rivals: 'rack', unknown: '', readings: 8 },
    },
  ),
  'look-again': entry(
    { frames: word, after: word },
    ({ frames, after }) => `${after} was set since ${frames} was looked at. Look again: one frame pulls at the next.`,
    { frames: 'Bulkhead 2', after: 'Bulkhead 3' },
  ),
  'reading-wild': entry(
    { frame: word, offMm: figure },
    ({ frame, offMm }, { length }) =>
      `${frame} would stand ${length(offMm)} off its place. Read again, and see that each figure is in its own field.`,
    { frame: 'Bulkhead 2', offMm: 900 },
  ),
  'nothing-to-set': entry(
    {},
    () =>
      'No frame stands across the boat, so there is nothing to set up. Add one on Frames, a mould if nothing stays.',
    {},
  ),
} as const;

export type SetupFinding = FindingsOf<typeof SETUP_FINDINGS>;
