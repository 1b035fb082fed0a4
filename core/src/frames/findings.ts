/** What the frames stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

export const FRAMES_FINDINGS = {
  'frame-outside': entry(
    { xMm: figure, fromMm: figure, toMm: figure },
    ({ xMm, fromMm, toMm }, { length }) =>
      `No section at ${length(xMm)}: the hull runs from ${length(fromMm)} to ${length(toMm)}.`,
    { xMm: 5000, fromMm: 100, toMm: 4300 },
  ),
  'frame-bow': entry(
    { frame: word, panel: word, bowMm: figure },
    ({ frame, panel, bowMm }, { length }) =>
      `${frame}: the edge on ${panel} is bowed ${length(bowMm)}. ` +
      'Cut it to the curve; straight across would leave a gap.',
    { frame: 'Frame at 1200', panel: 'Bottom', bowMm: 4.2 },
  ),
} as const;

export type FramesFinding = FindingsOf<typeof FRAMES_FINDINGS>;
export type FramesResult<T> = StageResult<T, FramesFinding>;
