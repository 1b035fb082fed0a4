/** What the timber stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf } from '../findings';

export const TIMBER_FINDINGS = {
  'timber-too-long': entry(
    { run: word, lengthMm: figure, longestMm: figure, why: word },
    ({ run, lengthMm, longestMm, why }, { length }) =>
      `${run} is ${length(lengthMm)} long, the longest stick ${length(longestMm)}. ${why}`,
    { run: 'Rubbing strake', lengthMm: 5300, longestMm: 4800, why: 'Add a longer stick, or let it be scarfed.' },
  ),
  'timber-without-stock': entry(
    { run: word, widthMm: figure, depthMm: figure },
    ({ run, widthMm, depthMm }, { length }) =>
      `No stick of ${length(widthMm)} × ${length(depthMm)} is in the list, and ${run} needs it. Add one.`,
    { run: 'Rubbing strake', widthMm: 45, depthMm: 20 },
  ),
  'timber-too-few': entry({ runs: word }, ({ runs }) => `Too few sticks in the list for ${runs}. Add some.`, {
    runs: 'Rubbing strake',
  }),
  'timber-laminated': entry(
    { run: word, count: figure, eachMm: figure, radiusMm: figure, mouldMm: figure },
    ({ run, count, eachMm, radiusMm, mouldMm }, { length }) =>
      `${run} bends to ${length(radiusMm)}, tighter than one piece takes by the rule: ` +
      `glue it up of ${count} layers of ` +
      `${length(eachMm)}, over a mould of ${length(mouldMm)}, as it springs back. Bend a trial piece first.`,
    { run: 'Sheer clamp', count: 3, eachMm: 6, radiusMm: 1800, mouldMm: 1600 },
  ),
  'timber-mates-near': entry(
    { run: word, nearMm: figure, wantMm: figure },
    ({ run, nearMm, wantMm }, { length }) =>
      `${run}: the scarfs of both sides are ${length(nearMm)} from each other along the boat; ` +
      `${length(wantMm)} is wanted.`,
    { run: 'Sheer clamp', nearMm: 200, wantMm: 600 },
  ),
  'rip-too-deep': entry(
    { run: word, depthMm: figure, tiltDeg: figure, cutsMm: figure },
    ({ run, depthMm, tiltDeg, cutsMm }, { length }) =>
      `${run} is ${length(depthMm)} deep; tilted by ${tiltDeg.toFixed(1)}° the saw cuts ${length(cutsMm)}. ` +
      'Rip it from both faces along one line, or plane the bevel.',
    { run: 'Chine log', depthMm: 70, tiltDeg: 24, cutsMm: 60 },
  ),
  'rip-too-long': entry(
    { longestMm: figure, roomMm: figure },
    ({ longestMm, roomMm }, { length }) =>
      `The longest stick is ${length(longestMm)}: a rip takes twice that, and the shop has ${length(roomMm)}. ` +
      'Cut sticks shorter first and scarf them, rip out of doors, or carry the saw along the stick on a track.',
    { longestMm: 4800, roomMm: 6000 },
  ),
} as const;

export type TimberFinding = FindingsOf<typeof TIMBER_FINDINGS>;
