/**
 * The boat cut along at a distance from the centreline: the skin, the frames and the parts there.
 *
 * Method: the skin by its panels' sections with the upright plane (surface/section.ts), outside and inside; of a frame
 * what of its outline is there, between its two faces; of a part the stretches of its sheet, between its faces.
 * Conventions: x aft, z up. To starboard; of a boat whose sides differ so too.
 */
import { upright, type Vec2 } from '../geometry';
import { placeInBoat, type Frame } from '../frames';
import type { Panel } from '../panels';
import { facesOf, type FacesOfSkin } from './skin-faces';
import { sectionBy } from '../surface';
import { acrossAt, overMiddle, placeOn } from './lie';
import type { Fitted } from './value';

export type AlongSection = {
  readonly skin: readonly (readonly Vec2[])[];
  readonly frames: readonly { readonly id: string; readonly name: string; readonly outline: readonly Vec2[] }[];
  readonly parts: readonly { readonly plan: string; readonly name: string; readonly outline: readonly Vec2[] }[];
};

/** On the centreline itself two panels end on one another: just beside it there is one, mm. */
const BESIDE_MM = 0.5;

type Boat = {
  readonly panels: readonly Panel[];
  readonly frames: readonly Frame[];
  readonly parts: readonly Fitted[];
};

export function sectionAlong({ panels, frames, parts }: Boat, out: number, skin: FacesOfSkin): AlongSection {
  const level = Math.max(BESIDE_MM, out);
  const own = panels.filter(({ only }) => only !== 'port');
  return {
    skin: own.flatMap((panel) =>
      facesOf(panel, skin).flatMap((inset) => linesOf(sectionBy(panel.rulings, { normal: [0, 1, 0], level }, inset))),
    ),
    frames: frames.filter(({ kind }) => kind !== 'mould').flatMap((frame) => frameAlong(frame, level)),
    parts: parts.flatMap((part) => partAlong(part, out)),
  };
}

type Crossed = ReturnType<typeof sectionBy>[number];

/**
 * From forward aft, ruling by ruling: what the plane passes again further along the panel is a line of its own. A place
 * on an edge is told by the ruling before it.
 */
function linesOf(points: readonly Crossed[]): Vec2[][] {
  const sorted = [...points].sort((a, b) => a.ruling - b.ruling || a.space[0] - b.space[0]);
  const lines: Vec2[][] = [];
  sorted.forEach(({ ruling, space: [x, , z] }, i) => {
    const before = sorted[i - 1];
    if (!before || ruling - before.ruling > 1) lines.push([]);
    lines[lines.length - 1]?.push([x, z]);
  });
  return lines.filter((line) => line.length > 1);
}

function frameAlong(frame: Frame, out: number): AlongSection['frames'][number][] {
  const { id, name, cut, hand, face, width } = frame;
  if (hand === 'port') return [];
  const [fore, aft] = face === 'fore' ? [0, width] : [-width, 0];
  const holes = cut.holes.flatMap((hole) => upright(hole, out));
  return upright(cut.outline, out)
    .flatMap((span) => without(span, holes))
    .map(([low, high]) => ({
      ...{ id, name },
      outline: (
        [
          [low, fore],
          [high, fore],
          [high, aft],
          [low, aft],
        ] as const
      ).map(([up, by]): Vec2 => {
        const [x, , z] = placeInBoat(frame, [out, up], by);
        return [x, z];
      }),
    }));
}

function partAlong({ plan, name, lie, pieces, hand }: Fitted, out: number): AlongSection['parts'][number][] {
  const side = hand === 'port' ? -1 : 1;
  const v = acrossAt(lie, out, 'under') * side;
  const crossed = (ring: readonly Vec2[]) =>
    upright(
      ring.map(([a, b]): Vec2 => [b, a]),
      v,
    );
  return pieces.flatMap(({ region }) => {
    const holes = region.holes.flatMap(crossed);
    return crossed(region.outline)
      .flatMap((span) => without(span, holes))
      .map(([fore, aft]) => ({
        ...{ plan, name },
        outline: (
          [
            [fore, 'under'],
            [aft, 'under'],
            [aft, 'top'],
            [fore, 'top'],
          ] as const
        ).map(([u, face]): Vec2 => {
          const [x, , z] = placeOn(lie, [u, v], overMiddle(lie, face));
          return [x, z];
        }),
      }));
  });
}

/** What of a span is left beside holes. */
export function without(
  [from, to]: readonly [number, number],
  holes: readonly (readonly [number, number])[],
): (readonly [number, number])[] {
  const left: (readonly [number, number])[] = [];
  let next = from;
  for (const [low, high] of [...holes].sort((a, b) => a[0] - b[0])) {
    if (low >= to || high <= next) continue;
    if (low > next) left.push([next, low]);
    next = high;
  }
  return next < to ? [...left, [next, to] as const] : left;
}
