/**
 * Scarfs planed in one stack: sheets on one another, each set back from the one below by the scarf's length, and planed
 * together to one slope.
 *
 * With a thickness t and a scarf of length L the slope through all of them is one straight line, t in L, from the
 * lowest sheet's feather edge to the far end of the uppermost one's taper (similar triangles). Drawn full size, seen
 * from the end: the template to hold against the edges.
 */
import { closedPath, straightPath, TEXT_MM, type Drawing, type DrawnPath } from '../formats';
import { formatThickness, formatWithUnit, type Notation } from '../measure';
import type { JointedPanel } from './jointed-panel';

/** Of one piece: which of its ends is planed, and which face lies up in the stack. */
export type Planed = {
  readonly piece: string;
  readonly end: 'fore' | 'aft';
  readonly up: 'inside' | 'outside';
  readonly lengthMm: number;
  readonly isPair: boolean;
};

/** Every taper to be planed: the forward piece of a scarf on its inside, the after one on its outside. */
export const planedEnds = (jointed: readonly JointedPanel[]): Planed[] =>
  jointed.flatMap(({ joints, pieces, isPair }) =>
    joints.flatMap(({ kind, width }, k): Planed[] => {
      const [fore, aft] = [pieces[k], pieces[k + 1]];
      if (kind !== 'scarf' || !fore || !aft) return [];
      const common = { lengthMm: width, isPair };
      return [
        { ...common, piece: fore.name, end: 'aft', up: 'inside' },
        { ...common, piece: aft.name, end: 'fore', up: 'outside' },
      ];
    }),
  );

/** More at a time do not stay in place under the plane. */
const MOST_IN_STACK = 4;

/** The stack seen from its end, full size; undefined where nothing is planed. */
export function planingStack(
  jointed: readonly JointedPanel[],
  { thickness, notation }: { readonly thickness: number; readonly notation: Notation },
): Drawing | undefined {
  const planed = planedEnds(jointed);
  const [first] = planed;
  if (!first) return undefined;
  const ends = planed.reduce((sum, { isPair }) => sum + (isPair ? 2 : 1), 0);
  const count = Math.min(MOST_IN_STACK, ends);
  const length = first.lengthMm;
  const far = -(count + 1) * length;
  const say = (mm: number) => formatWithUnit(mm, notation);
  const sheets = Array.from({ length: count }, (_, k): DrawnPath => {
    const [low, high] = [k * thickness, (k + 1) * thickness];
    return {
      ...closedPath('mark', [
        [far, low],
        [-k * length, low],
        [-k * length, high],
        [far, high],
      ]),
    };
  });
  const top = count * thickness;
  return {
    name: 'scarf-planing',
    title: 'Scarfs, planed in a stack',
    hand: `${count} at a time of ${ends}, seen from the end`,
    material: `${formatThickness(thickness, notation)} plywood`,
    paths: [...sheets, { ...straightPath([0, 0], [-count * length, top]), layer: 'cut' }],
    texts: [
      { at: [far, top + 5.2 * TEXT_MM * LINE], heightMm: TEXT_MM * SMALL, text: `Each edge set back ${say(length)}` },
      { at: [far, top + 3.4 * TEXT_MM * LINE], heightMm: TEXT_MM * SMALL, text: 'Plane to the slanted line' },
      { at: [far, top + 1.6 * TEXT_MM * LINE], heightMm: TEXT_MM * SMALL, text: `${say(thickness)} in ${say(length)}` },
    ],
  };
}

/** Letters of the template, and from line to line. */
const SMALL = 0.7;
const LINE = 0.65;
