/** What the set-up finds: frames that are not true, and what to do with one's hands; codes, data and sentences. */
import { entry, figure, word, type FindingsOf } from '../findings';
import type { Cause } from './causes';
import { MENDS } from './fault-words';
import type { FaultChoice } from './schema';
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
  'built-strained': entry(
    { panel: word, hand: word, strain: figure, drawn: figure },
    ({ panel, hand, strain, drawn }) =>
      `${panel}, ${hand}, stretches ${per100(strain)} as the boat stands, ${per100(drawn)} as drawn. ` +
      'Put the frames right before it is cut.',
    { panel: 'Side', hand: 'port', strain: 0.004, drawn: 0.0005 },
  ),
  'built-undeveloped': entry(
    { panels: word },
    ({ panels }) => `${panels} does not develop as drawn: what it changes as built says little. See Panels first.`,
    { panels: 'Bottom' },
  ),
  'built-none': entry(
    { panels: word },
    ({ panels }) => `${panels} cannot be developed as the boat stands: see whether each reading is what the rule said.`,
    { panels: 'Side' },
  ),
  'gap-too-wide': entry(
    { frame: word, edge: word, gapMm: figure, alongMm: figure, limitMm: figure, offered: word, isLeft: figure },
    ({ frame, edge, gapMm, limitMm, offered, isLeft }, { length }) =>
      `${frame} stands ${length(gapMm)} off the ${edge.toLowerCase()}, ` +
      `where ${length(limitMm)} is the most that you leave${isLeft ? ', and it is left' : ''}. ` +
      // one of them, as it was found
      MENDS[offered as FaultChoice],
    { frame: 'Bulkhead 2', edge: 'Side', gapMm: 7, alongMm: 210, limitMm: 5, offered: 'fill', isLeft: 0 },
  ),
  'jig-clash': entry(
    { one: word, other: word },
    ({ one, other }) => `${one} and ${other} would stand in one place: move the frame, or set the rails further apart.`,
    { one: 'Bulkhead 2: cross piece', other: 'Bulkhead 3: cross piece of its braces' },
  ),
  'jig-short': entry(
    { shortMm: figure },
    ({ shortMm }, { length }) => `The strongback in hand is ${length(shortMm)} too short for this boat and its marks.`,
    { shortMm: 300 },
  ),
  'frame-unheld': entry(
    { frames: word },
    ({ frames }) =>
      `No upright finds enough of ${frames} to fasten to between the rails: set them closer, or hold it from above.`,
    { frames: 'Bulkhead 1' },
  ),
  'frame-unbraced': entry(
    { frames: word },
    ({ frames }) => `There is no room for braces at ${frames}: battens to its neighbours hold it upright.`,
    { frames: 'Bulkhead 1' },
  ),
  'nothing-to-set': entry(
    {},
    () =>
      'No frame stands across the boat, so there is nothing to set up. Add one on Frames, a mould if nothing stays.',
    {},
  ),
} as const;

/** A share in per cent, to a hundredth. */
const per100 = (share: number): string => `${(share * 100).toFixed(2)} %`;

export type SetupFinding = FindingsOf<typeof SETUP_FINDINGS>;
