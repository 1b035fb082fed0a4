/** What the joints stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

export const JOINTS_FINDINGS = {
  'joint-near-frame': entry(
    { panel: word, uMm: figure, clearMm: figure, wantMm: figure, frame: word },
    ({ panel, uMm, clearMm, wantMm, frame }, { length }) =>
      `${panel}: the scarf ${length(uMm)} from its fore end is ${length(clearMm)} from ${frame}; ` +
      `${length(wantMm)} is wanted. ` +
      'No better place uses as few sheets.',
    { panel: 'Side', uMm: 2100, clearMm: 40, wantMm: 75, frame: 'station 4' },
  ),
  'frame-in-joint': entry(
    { panel: word, uMm: figure, frame: word },
    ({ panel, uMm, frame }, { length }) =>
      `${frame} stands on the scarf of ${panel}, ${length(uMm)} from its fore end. ` +
      'Move the frame, or set Clear of frames larger.',
    { panel: 'Side', uMm: 2100, frame: 'Bulkhead 2' },
  ),
  'joint-not-staggered': entry(
    { panel: word, other: word, staggerMm: figure, wantMm: figure },
    ({ panel, other, staggerMm, wantMm }, { length }) =>
      `${panel}: the scarf is ${length(staggerMm)} from that of ${other}, along the seam; ` +
      `${length(wantMm)} is wanted. ` +
      'No better place uses as few sheets.',
    { panel: 'Side', other: 'Bottom', staggerMm: 120, wantMm: 300 },
  ),
  'joint-in-bend': entry(
    { panel: word, uMm: figure },
    ({ panel, uMm }, { length }) =>
      `${panel}: the scarf ${length(uMm)} from its fore end lies where the panel bends hardest. ` +
      'No better place uses as few sheets.',
    { panel: 'Side', uMm: 2100 },
  ),
  'panel-too-deep': entry(
    { panel: word, depthMm: figure, sheetMm: figure },
    ({ panel, depthMm, sheetMm }, { length }) =>
      `${panel} is ${length(depthMm)} deep; the sheet is ${length(sheetMm)} wide. It needs a joint along its length, ` +
      'which is not worked out here: choose a wider sheet, or cut the panel in two.',
    { panel: 'Side', depthMm: 1400, sheetMm: 1220 },
  ),
  'sheet-too-short': entry(
    { panel: word, sheetMm: figure, scarfMm: figure },
    ({ panel, sheetMm, scarfMm }, { length }) =>
      `${panel} cannot be joined from sheets of ${length(sheetMm)}: a scarf alone takes ${length(scarfMm)}. ` +
      'Choose a longer sheet.',
    { panel: 'Side', sheetMm: 120, scarfMm: 48 },
  ),
} as const;

export type JointsFinding = FindingsOf<typeof JOINTS_FINDINGS>;
export type JointsResult<T> = StageResult<T, JointsFinding>;
