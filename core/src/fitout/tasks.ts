/** Parts inside and on top plotted out, a piece and a hand at a time, and the bevels of their edges at the skin. */
import { formatDeg, formatFine, type Notation } from '../measure';
import { plotted, type Task, type TaskStep } from '../stage';
import { evenRows } from './edge-rows';
import type { CutInside, InsideValue } from './inside-value';
import { materialOf } from './part-words';

type Whole = {
  readonly project: { readonly notation: Notation };
  readonly values: { readonly fitout: Pick<InsideValue, 'all'> };
};

/** Places along an edge at which its bevel is said. */
const MOST_PLACES = 6;

export const insideTasks = ({ project: { notation }, values: { fitout } }: Whole): Task[] =>
  fitout.all.flatMap((part) =>
    part.pieces.flatMap((piece) =>
      handsOf(part).map((hand): Task => {
        const { picture, steps } = plotted(piece.region.outline, {
          notation,
          // of one that is there to port alone what is drawn is the port one
          isMirrored: hand === 'port' && part.hand !== 'port',
        });
        return {
          ...{ id: [piece.id, hand].filter(Boolean).join('.'), name: piece.name, kind: 'Mark out inside parts' },
          ...(hand && { hand }),
          ...(picture && { picture }),
          steps: [
            ...steps,
            ...(part.isSquare ? [] : bevelSteps(piece, notation)),
            {
              ...{
                id: 'name',
                say: `Write on it: ${[piece.name, hand].filter(Boolean).join(', ')}, FORE`,
                figures: [],
              },
              hint: `Of ${materialOf(part, notation)}. Then it is cut along the line.`,
            },
          ],
        };
      }),
    ),
  );

const handsOf = ({ hand }: CutInside): readonly Task['hand'][] =>
  hand === 'pair' ? ['starboard', 'port'] : [hand === 'across' ? undefined : hand];

/** Of the starboard edges; a part across has the same to port. */
function bevelSteps({ atSkin }: CutInside['pieces'][number], notation: Notation): TaskStep[] {
  const starboard = atSkin.filter(({ points }) => (points[0]?.space[1] ?? 0) >= 0);
  return (starboard.length > 0 ? starboard : atSkin).flatMap(({ points }, i) =>
    evenRows(points, MOST_PLACES).map(({ space: [x], bevelDeg }, k) => ({
      ...{ id: `bevel ${i + 1}.${k + 1}`, say: `Edge ${i + 1} at the skin, ${formatFine(x, notation)} from the stem` },
      figures: [{ label: 'off square', value: formatDeg(bevelDeg) }],
    })),
  );
}
