/**
 * Which places of a panel's faces are glued, and so stay bare when it is sealed flat: under members that lie on it, and
 * under framed edges, from face to face. Fillets and tapes go on what is sealed and keyed.
 */
import { marksOfFrame, type Frame, type MemberRun } from '../frames';
import { at, type Outline, type Vec2 } from '../geometry';
import type { Panel } from '../panels';

export type GluedArea = {
  readonly name: string;
  readonly side: 'inside' | 'outside';
  /** On the flat panel, mm: its two long sides, from one end to the other, and round it. */
  readonly sides: readonly [readonly Vec2[], readonly Vec2[]];
  readonly outline: Outline;
};

export type GluedTo = { readonly frames: readonly Frame[]; readonly members: readonly MemberRun[] };

export function gluedAreas(panel: Panel, { frames, members }: GluedTo): GluedArea[] {
  const along = members.flatMap(({ name, side, marks }) =>
    marks.filter((mark) => mark.panel === panel.id).map(({ near, far }) => areaOf(name, side, [near, far])),
  );
  const athwart = frames.flatMap((frame): GluedArea[] => {
    const isGlued = frame.kind !== 'mould' && frame.edges.some((e) => e.panel === panel.id && e.school === 'framed');
    const curves = isGlued ? marksOfFrame(panel, frame).map(({ curve }) => curve) : [];
    if (curves.length < 2) return [];
    return [areaOf(frame.name, 'inside', [at(curves, 0), at(curves, 1)])];
  });
  return [...along, ...athwart];
}

const areaOf = (name: string, side: GluedArea['side'], sides: GluedArea['sides']): GluedArea => ({
  ...{ name, side, sides },
  outline: [...sides[0], ...[...sides[1]].reverse()],
});
