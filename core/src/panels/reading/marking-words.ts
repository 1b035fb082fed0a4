/** How a panel is marked out, step by step, in words: the same on the screen and on paper. */
import { formatWithUnit, unitLabel, type Notation } from '../../measure';
import { proudOf } from '../cut/proud';
import type { Panel } from '../panel';
import type { BaseLine, PanelProud, PanelsPart } from '../schema';
import { closerRuns, type MarkingOut } from './marking';

const WHERE: Readonly<Record<BaseLine, string>> = {
  under: 'Strike a straight line and hook the tape at its forward end; the panel stands clear above it.',
  through:
    'Strike a straight line along the middle of the sheet and hook the tape at its forward end; offsets with ' +
    'a minus go below it.',
  ends:
    'Strike a straight line from end to end of the lower edge and hook the tape at its forward end; offsets ' +
    'with a minus go below it.',
};

export function markingSteps(
  panel: Panel,
  { markingStep, markingBase, ...left }: Pick<PanelsPart, 'markingStep' | 'markingBase' | 'proud' | 'ownProud'>,
  out: MarkingOut,
  notation: Notation,
): string[] {
  const say = (mm: number) => formatWithUnit(mm, notation);
  return [
    WHERE[markingBase],
    `Tick every ${say(markingStep)} along the tape; square across at each tick.`,
    ...closerWords(out, markingStep, say),
    `Measure along each square to both edges (in ${unitLabel(notation)}), a nail at each; spring a batten round the ` +
      'nails from corner to corner.',
    `Check: forward lower corner to after upper ${say(out.diagonals[0])}, after lower to forward upper ` +
      `${say(out.diagonals[1])}; along the lower edge ${say(panel.edges[0].length)}, along the upper ` +
      `${say(panel.edges[1].length)}.`,
    ...(panel.proud
      ? [`This is the net line. Cut outside it: ${leftOn(proudOf(panel.layer?.of ?? panel.id, left), say)}.`]
      : []),
    'Mark the stations, the face and FORE before it is cut.',
  ];
}

/** Where a batten round the nails would stray, the table has ticks between. */
function closerWords({ rows }: MarkingOut, step: number, say: (mm: number) => string): string[] {
  const runs = closerRuns(rows, step);
  if (runs.length === 0) return [];
  const where = runs.map(({ from, to }) => `from ${say(from)} to ${say(to)}`).join(' and ');
  return [`Closer ${where}, as the table has it: between ticks so far apart the batten would leave the edge there.`];
}

const EDGES: Readonly<Record<keyof PanelProud, string>> = {
  lower: 'at the lower edge',
  upper: 'at the upper edge',
  fore: 'at the fore end',
  aft: 'at the after end',
};

const leftOn = (proud: PanelProud, say: (mm: number) => string): string =>
  (['lower', 'upper', 'fore', 'aft'] as const)
    .filter((edge) => proud[edge] > 0)
    .map((edge) => `${say(proud[edge])} ${EDGES[edge]}`)
    .join(', ');
