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
  'frame-empty': entry(
    { frame: word },
    ({ frame }) => `Nothing is left of ${frame}: its bounds or its top leave no part of the section. Widen them.`,
    { frame: 'Bulkhead 3' },
  ),
  'frame-in-pieces': entry(
    { frame: word, pieces: figure },
    ({ frame, pieces }) =>
      `What is cut in ${frame} parts it into ${pieces} pieces, of which the largest is drawn. ` +
      'Make an opening smaller, or move it.',
    { frame: 'Bulkhead 2', pieces: 2 },
  ),
  'spall-nowhere': entry(
    { frame: word, upMm: figure, fromMm: figure, toMm: figure },
    ({ frame, upMm, fromMm, toMm }, { length }) =>
      `${frame}: no cross-spall at ${length(upMm)}, for the part reaches from ${length(fromMm)} to ${length(toMm)}. ` +
      'Set it between these, with room for its own breadth.',
    { frame: 'Frame 1', upMm: 420, fromMm: 30, toMm: 405 },
  ),
  'cut-outside': entry(
    { frame: word, cut: word },
    ({ frame, cut }) => `${frame}: ${cut} lies off the part. Set it nearer to the centreline.`,
    { frame: 'Bulkhead 2', cut: 'limber hole 1' },
  ),
  'cut-sharp': entry(
    { frame: word, cut: word, cornerMm: figure, leastMm: figure },
    ({ frame, cut, cornerMm, leastMm }, { length }) =>
      `${frame}: the corners of ${cut} have a radius of ${length(cornerMm)}. ` +
      `Make it ${length(leastMm)}: cracks start from sharp corners.`,
    { frame: 'Bulkhead 2', cut: 'opening 1', cornerMm: 5, leastMm: 25 },
  ),
  'cut-near-edge': entry(
    { frame: word, cut: word, nearMm: figure, leastMm: figure },
    ({ frame, cut, nearMm, leastMm }, { length }) =>
      `${frame}: ${cut} leaves ${length(nearMm)} of plywood to the edge, for ${length(leastMm)} at least. ` +
      'Move it inward, or make it smaller.',
    { frame: 'Bulkhead 2', cut: 'opening 1', nearMm: 32, leastMm: 60 },
  ),
  'cuts-near': entry(
    { frame: word, cut: word, other: word, nearMm: figure, leastMm: figure },
    ({ frame, cut, other, nearMm, leastMm }, { length }) =>
      `${frame}: ${cut} and ${other} are ${length(nearMm)} apart, for ${length(leastMm)} at least. Move one of them.`,
    { frame: 'Bulkhead 2', cut: 'opening 1', other: 'limber hole 2', nearMm: 4, leastMm: 60 },
  ),
  'girder-nowhere': entry(
    { girder: word },
    ({ girder }) =>
      `Nothing is left of ${girder}: it stands over no skin, or its top lies under it. ` +
      'Move it inward, or make it higher.',
    { girder: 'Girder 1' },
  ),
  'girder-short': entry(
    { girder: word, fromMm: figure, toMm: figure },
    ({ girder, fromMm, toMm }, { length }) =>
      `${girder} reaches from ${length(fromMm)} to ${length(toMm)}: beyond, its top or the hull ends it. ` +
      'Let it begin and end between these, or make it higher.',
    { girder: 'Girder 1', fromMm: 620, toMm: 3410 },
  ),
  'girder-in-pieces': entry(
    { girder: word, pieces: figure },
    ({ girder, pieces }) =>
      `What is cut in ${girder} parts it into ${pieces} pieces. ` +
      'Make an opening smaller, or let it stand between frames.',
    { girder: 'Girder 1', pieces: 2 },
  ),
  'frame-no-shape': entry(
    { frame: word },
    ({ frame }) =>
      `${frame} is cut to a shape that was not taken, or of which less than two points are left. ` +
      'Choose another shape, or the hull.',
    { frame: 'Bulkhead 2' },
  ),
  'taken-apart': entry(
    { shape: word, point: figure },
    ({ shape, point }) => `${shape}: the two distances of point ${point} do not meet. Measure them again.`,
    { shape: 'Shape 1', point: 3 },
  ),
  'taken-unfair': entry(
    { shape: word, point: figure, offMm: figure },
    ({ shape, point, offMm }, { length }) =>
      `${shape}: point ${point} lies ${length(offMm)} off the curve through its neighbours. ` +
      'Measure it again, or say that a corner is there.',
    { shape: 'Shape 1', point: 4, offMm: 12 },
  ),
  'planked-nowhere': entry(
    {},
    () =>
      'The bottom cannot be planked athwart: the panel chosen is not there, or is one of a pair. ' +
      'Choose one that spans the centreline, or none.',
    {},
  ),
  'planked-many': entry(
    { seams: figure, most: figure },
    ({ seams, most }) =>
      `The planked bottom has ${seams} seams; timbers are worked out for ${most} at most, so it has none. ` +
      'Take broader boards, or set the depth of the timbers to 0.',
    { seams: 80, most: 60 },
  ),
  'doubler-off': entry(
    { frame: word, cut: word },
    ({ frame, cut }) =>
      `${frame}: the doubler round ${cut} reaches over the part's edge. Make it narrower, or move the opening.`,
    { frame: 'Bulkhead 2', cut: 'opening 1' },
  ),
  'lip-closes': entry(
    { frame: word, cut: word },
    ({ frame, cut }) => `${frame}: the lip of ${cut} closes it, so it has no doubler. Make the lip narrower.`,
    { frame: 'Bulkhead 2', cut: 'opening 1' },
  ),
  'lid-loose': entry(
    { frame: word, cut: word },
    ({ frame, cut }) =>
      `${frame}: the lid within ${cut} has nothing to lie on. ` +
      'Give the opening a doubler, with a lip that is broader than the room round the lid.',
    { frame: 'Bulkhead 2', cut: 'opening 1' },
  ),
  'cleat-nowhere': entry(
    { frame: word, cleat: figure },
    ({ frame, cleat }) =>
      `${frame}: nothing is left of cleat ${cleat}: the part has no such edge, or the cleat lies off it. ` +
      'Choose another edge, or set it in less.',
    { frame: 'Bulkhead 2', cleat: 1 },
  ),
  'landing-narrow': entry(
    { into: word, landingMm: figure, leastMm: figure, diameterMm: figure },
    ({ into, landingMm, leastMm, diameterMm }, { length }) =>
      `${into}: ${length(landingMm)} of wood for a screw ${length(diameterMm)} thick, which wants ` +
      `${length(leastMm)}, or the wood splits. ` +
      'Take thinner screws, staples, or a broader landing.',
    { into: 'Frame 1', landingMm: 18, leastMm: 20, diameterMm: 4 },
  ),
  'screw-near-edge': entry(
    { panel: word, into: word, count: figure, nearMm: figure, leastMm: figure },
    ({ panel, into, count, nearMm, leastMm }, { length }) =>
      `${panel} on ${into}: ${count === 1 ? 'a screw stands' : `${count} screws stand`} ${length(nearMm)} from the ` +
      `panel's edge, for ${length(leastMm)} at least: the plane meets it when the edge is trimmed. ` +
      'Draw them first, or set the timber further from the edge.',
    { panel: 'Side', into: 'Chine log', count: 4, nearMm: 8, leastMm: 10 },
  ),
  'plug-deep': entry(
    { into: word, heldMm: figure, takesMm: figure, leftMm: figure },
    ({ into, heldMm, takesMm, leftMm }, { length }) =>
      `A plug and the head beneath it take ${length(takesMm)} of a sheet of ${length(heldMm)} (${into}): only ` +
      `${length(leftMm)} would hold. Leave the heads flush, or draw the screws again.`,
    { into: 'Frame 1', heldMm: 6, takesMm: 5, leftMm: 1 },
  ),
  'screw-ply-edge': entry(
    { frame: word, panels: word, widthMm: figure },
    ({ frame, panels, widthMm }, { length }) =>
      `${frame}: on ${panels} there is only plywood's edge, ${length(widthMm)} wide, to fasten into, where a screw ` +
      'parts the layers. Add a cleat along it, fillet that edge, or fasten nothing there.',
    { frame: 'Bulkhead 2', panels: 'Side', widthMm: 9 },
  ),
  'member-nowhere': entry(
    { member: word },
    ({ member }) =>
      `${member} has nowhere to run: no panel lies on that side of its line, or nothing is left between its ends.`,
    { member: 'Chine log' },
  ),
} as const;

export type FramesFinding = FindingsOf<typeof FRAMES_FINDINGS>;
export type FramesResult<T> = StageResult<T, FramesFinding>;
