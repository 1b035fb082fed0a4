/** What is marked on the outside of a panel: lines over the middle of what timber stands behind it, and screws. */
import { openPath, TEXT_MM, type DrawnPath, type DrawnText } from '../formats';
import { at, lerp2, polylineLength, simplify, type Vec2, type Vec3 } from '../geometry';
import { planeMark, thicknessOf, type Panel } from '../panels';
import type { Marks } from '../stage';
import { reaches, type Frame } from './frame';
import type { MemberRun } from './member';
import { planeOf } from './section';

/**
 * On a panel's outside face the line over the middle of what timber stands behind it, for screws that are driven from
 * there; over a timber under a seam a line on either side of the seam, in the middle of what each board lies on. None
 * where no timber stands: a mould's are drawn again, and a bulkhead takes none in its edge.
 */
export function outsideLines(panel: Panel, frame: Frame, thickness: number): (readonly Vec2[])[] {
  if (frame.material !== 'timber' || frame.kind === 'mould') return [];
  const { normal, level } = planeOf(frame);
  const reach = (place: Vec3) => reaches(frame.reach, place);
  const shares = frame.isUnderSeam ? [1 / 4, 3 / 4] : [1 / 2];
  return shares
    .map((share) => {
      const through = level + (frame.face === 'fore' ? 1 : -1) * share * frame.width;
      return planeMark(panel, { normal, level: through }, reach, (panel.insideMm ?? 0) - thicknessOf(panel, thickness));
    })
    .filter((line) => line.length > 1);
}

export type OnOutside = {
  readonly frames: readonly Frame[];
  readonly members: readonly MemberRun[];
  readonly screws: readonly { readonly panel: string; readonly places: readonly Vec2[] }[];
};

/** Lines on a panel's outside face: over the middle of frames' timbers, and of members inside. */
export function outsideOfPanel(panel: Panel, { frames, members, screws }: OnOutside, thickness: number): Marks {
  const over = frames.flatMap((frame) =>
    outsideLines(panel, frame, thickness).map((line, i) => ({ name: i === 0 ? frame.name : '', line })),
  );
  // a member stands square to the skin: its middle is the same on either face
  const along = members.flatMap(({ marks }) =>
    marks
      .filter((mark) => mark.panel === panel.id)
      .map(({ near, far }) => near.map((p, i) => lerp2(p, at(far, i), 0.5))),
  );
  const thin = { layerName: OUTSIDE, widthMm: THIN_MM };
  return {
    paths: [
      ...[...over.map(({ line }) => line), ...along].map((line) => ({
        ...openPath(simplify(line, MARK_OFF_MM)),
        ...thin,
      })),
      ...screws.filter((row) => row.panel === panel.id).flatMap(({ places }) => places.map(pilotHole)),
    ],
    texts: over
      .filter(({ name, line }) => name !== '' && polylineLength(line) > NAMED_FROM_MM)
      .map(({ name, line }): DrawnText => {
        const [x, y] = at(line, line.length >> 1);
        return { at: [x + WORD_OFF_MM, y], heightMm: TEXT_MM * 0.55, text: `${name}, outside`, layerName: OUTSIDE };
      }),
  };
}

const OUTSIDE = 'OUTSIDE';
const THIN_MM = 0.18;
const WORD_OFF_MM = 4;
/** On a shorter line there is room for what is written at its inside alone. */
const NAMED_FROM_MM = 60;
/** What may be left out of a mark's curve: a tenth of a pencil line. */
const MARK_OFF_MM = 0.05;
/** As it is drawn: a pilot hole to be bored through the skin. */
const PILOT_MM = 1;
const PILOT_CORNERS = 8;

export function pilotHole([u, v]: Vec2): DrawnPath {
  const points = Array.from({ length: PILOT_CORNERS }, (_, i): Vec2 => {
    const angle = (i * 2 * Math.PI) / PILOT_CORNERS;
    return [u + PILOT_MM * Math.cos(angle), v + PILOT_MM * Math.sin(angle)];
  });
  return { layer: 'mark', layerName: 'SCREWS', isClosed: true, circle: { at: [u, v], radius: PILOT_MM }, points };
}
