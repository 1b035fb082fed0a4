/** What the joints stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

export const JOINTS_FINDINGS = {
  'joint-near-frame': entry(
    { panel: word, joint: word, uMm: figure, clearMm: figure, wantMm: figure, frame: word, why: word },
    ({ panel, joint, uMm, clearMm, wantMm, frame, why }, { length }) =>
      `${panel}: the ${joint} ${length(uMm)} from its fore end is ${length(clearMm)} from ${frame}; ` +
      `${length(wantMm)} is wanted. ${why}`,
    {
      ...{ panel: 'Side', joint: 'scarf', uMm: 2100, clearMm: 40, wantMm: 75, frame: 'station 4' },
      why: 'No better place uses as few sheets.',
    },
  ),
  'frame-in-joint': entry(
    { panel: word, joint: word, uMm: figure, frame: word },
    ({ panel, joint, uMm, frame }, { length }) =>
      `${frame} stands on the ${joint} of ${panel}, ${length(uMm)} from its fore end. ` +
      'Move the frame or the joint, or set Clear of frames larger.',
    { panel: 'Side', joint: 'scarf', uMm: 2100, frame: 'Bulkhead 2' },
  ),
  'joint-off-frames': entry(
    { panel: word, joint: word, uMm: figure, why: word },
    ({ panel, joint, uMm, why }, { length }) =>
      `${panel}: the ${joint} ${length(uMm)} from its fore end is on no frame, as is wanted. ${why}`,
    { panel: 'Side', joint: 'butt strap', uMm: 2100, why: 'No better place uses as few sheets.' },
  ),
  'joint-not-staggered': entry(
    { panel: word, joint: word, other: word, staggerMm: figure, wantMm: figure, why: word },
    ({ panel, joint, other, staggerMm, wantMm, why }, { length }) =>
      `${panel}: the ${joint} is ${length(staggerMm)} from that of ${other}, along the seam; ` +
      `${length(wantMm)} is wanted. ${why}`,
    {
      ...{ panel: 'Side', joint: 'scarf', other: 'Bottom', staggerMm: 120, wantMm: 300 },
      why: 'No better place uses as few sheets.',
    },
  ),
  'planked-in-layers': entry(
    { panel: word },
    ({ panel }) => `${panel}: the panel is laid across in boards, too. Choose one of the two; it is cut as layers.`,
    { panel: 'Bottom, inner layer' },
  ),
  'butt-alone': entry(
    { panel: word, uMm: figure },
    ({ panel, uMm }, { length }) =>
      `${panel}: nothing lies over the butt ${length(uMm)} from its fore end. ` +
      'Only layers may be butted: choose a scarf, a strap or tongues there.',
    { panel: 'Side', uMm: 2100 },
  ),
  'joint-in-bend': entry(
    { panel: word, joint: word, uMm: figure, why: word },
    ({ panel, joint, uMm, why }, { length }) =>
      `${panel}: the ${joint} ${length(uMm)} from its fore end lies where the panel bends hardest. ${why}`,
    { panel: 'Side', joint: 'scarf', uMm: 2100, why: 'No better place uses as few sheets.' },
  ),
  'too-narrow-for-tongues': entry(
    { panel: word, joint: word, uMm: figure, depthMm: figure, wantMm: figure },
    ({ panel, joint, uMm, depthMm, wantMm }, { length }) =>
      `${panel}: the ${joint} ${length(uMm)} from its fore end has ${length(depthMm)} across; tongues take ` +
      `${length(wantMm)}. It is cut straight: choose another kind there, or shorter tongues.`,
    { panel: 'Side', joint: 'tongued joint', uMm: 2100, depthMm: 90, wantMm: 140 },
  ),
  'tongues-too-short': entry(
    { tongueMm: figure, radiusMm: figure, reachMm: figure },
    ({ tongueMm, radiusMm, reachMm }, { length }) =>
      `Tongues that reach ${length(tongueMm)} are too short for a cutter of radius ${length(radiusMm)}: ` +
      `they reach ${length(reachMm)}.`,
    { tongueMm: 10, radiusMm: 6, reachMm: 15 },
  ),
  'joints-alike': entry(
    { one: word, other: word },
    ({ one, other }) =>
      `The tongues of ${one} and of ${other} are nearly alike: their pieces could be put together the wrong way. ` +
      'Mark them, or let the tongues reach farther.',
    { one: 'Side, joint 1', other: 'Bottom, joint 1' },
  ),
  'joint-off-panel': entry(
    { panel: word, uMm: figure, lengthMm: figure },
    ({ panel, uMm, lengthMm }, { length }) =>
      `A joint of ${panel} was put ${length(uMm)} from its fore end; the panel is ${length(lengthMm)} long. ` +
      'It is left out: move it, or take it out.',
    { panel: 'Side', uMm: 5000, lengthMm: 4373 },
  ),
  'panel-too-deep': entry(
    { panel: word, depthMm: figure, sheetMm: figure },
    ({ panel, depthMm, sheetMm }, { length }) =>
      `${panel} is ${length(depthMm)} deep; the sheet is ${length(sheetMm)} wide. It needs a joint along its length, ` +
      'which is not worked out here: choose a wider sheet, or cut the panel in two.',
    { panel: 'Side', depthMm: 1400, sheetMm: 1220 },
  ),
  'sheet-too-short': entry(
    { panel: word, sheetMm: figure, lapMm: figure },
    ({ panel, sheetMm, lapMm }, { length }) =>
      `${panel} cannot be joined from sheets of ${length(sheetMm)}: a joint alone takes ${length(lapMm)}. ` +
      'Choose a longer sheet.',
    { panel: 'Side', sheetMm: 120, lapMm: 48 },
  ),
} as const;

export type JointsFinding = FindingsOf<typeof JOINTS_FINDINGS>;
export type JointsResult<T> = StageResult<T, JointsFinding>;
