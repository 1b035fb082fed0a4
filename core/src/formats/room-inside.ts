/** Where words find room on a part with openings. */
import { boundsOf, crossings, type Outline, type Region, type Vec2 } from '../geometry';

/** Heights at which room is looked for. */
const ROWS = 40;

/**
 * The place nearest to a wanted one at which a block of words, `wide` by `high` mm, begins on solid material, its lower
 * left corner; where no place is wide enough, on the widest there is.
 */
export function roomInside(
  { outline, holes }: Region,
  { wide, high }: { readonly wide: number; readonly high: number },
  wanted: Vec2,
): Vec2 {
  const box = boundsOf(outline);
  const rows = [
    wanted[1],
    ...Array.from({ length: ROWS }, (_, i) => box.minY + ((i + 0.5) / ROWS) * (box.maxY - box.minY)),
  ];
  const rooms = rows.flatMap((y) =>
    [y, y + high / 2, y + high]
      .map((level) => runsAt([outline, ...holes], level))
      .reduce(sharedRuns)
      .map(([from, to]) => {
        const x = Math.min(Math.max(from, wanted[0]), Math.max(from, to - wide));
        return { at: [x, y] as const, short: Math.max(0, wide - (to - from)) };
      }),
  );
  const farOff = ({ at: [x, y] }: (typeof rooms)[number]) => Math.hypot(x - wanted[0], y - wanted[1]);
  const least = Math.min(...rooms.map(({ short }) => short));
  const best = rooms.filter(({ short }) => short === least).sort((a, b) => farOff(a) - farOff(b))[0];
  return best?.at ?? wanted;
}

type Run = readonly [number, number];

/** Where a level line is on solid material, from left to right. */
function runsAt(rings: readonly Outline[], y: number): Run[] {
  const xs = rings
    .flatMap((ring) => crossings([...ring, ...ring.slice(0, 1)], 1, y).map(([x]) => x))
    .sort((a, b) => a - b);
  return xs.flatMap((x, i): Run[] => (i % 2 === 1 && xs[i - 1] !== undefined ? [[xs[i - 1] ?? x, x]] : []));
}

const sharedRuns = (a: readonly Run[], b: readonly Run[]): Run[] =>
  a.flatMap(([from, to]) =>
    b.flatMap(([other, end]): Run[] => {
      const run = [Math.max(from, other), Math.min(to, end)] as const;
      return run[1] > run[0] ? [run] : [];
    }),
  );
