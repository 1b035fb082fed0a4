/** What the frames stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

export const FRAMES_FINDINGS = {
  'frame-outside': entry(
    { frame: word, xMm: figure, fromMm: figure, toMm: figure },
    ({ frame, xMm, fromMm, toMm }, { length }) =>
      `${frame} is at ${length(xMm)}, beyond the hull, which runs from ${length(fromMm)} to ${length(toMm)}. ` +
      'Move it between these.',
    { frame: 'Bulkhead 1', xMm: 5000, fromMm: 100, toMm: 4300 },
  ),
  'frame-beyond': entry(
    { frame: word, toMm: figure, fromMm: figure, endMm: figure },
    ({ frame, toMm, fromMm, endMm }, { length }) =>
      `${frame} reaches to ${length(toMm)}, beyond the hull, which runs from ${length(fromMm)} to ${length(endMm)}. ` +
      'Move it, make it thinner, or turn its other face to the station line.',
    { frame: 'Bulkhead 3', toMm: 4310, fromMm: 20, endMm: 4300 },
  ),
  'frames-overlap': entry(
    { frame: word, other: word, overlapMm: figure },
    ({ frame, other, overlapMm }, { length }) =>
      `${frame} and ${other} stand in one another by ${length(overlapMm)}. Move one of them.`,
    { frame: 'Bulkhead 2', other: 'Bulkhead 3', overlapMm: 6 },
  ),
  'frame-bow': entry(
    { frame: word, panel: word, bowMm: figure },
    ({ frame, panel, bowMm }, { length }) =>
      `${frame}: the edge on ${panel} is curved by ${length(bowMm)}. ` +
      'Cut it to the curve; straight across would leave a gap.',
    { frame: 'Frame at 1200', panel: 'Bottom', bowMm: 4.2 },
  ),
} as const;

export type FramesFinding = FindingsOf<typeof FRAMES_FINDINGS>;
export type FramesResult<T> = StageResult<T, FramesFinding>;
