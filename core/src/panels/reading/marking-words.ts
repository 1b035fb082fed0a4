/** How a panel is marked out, step by step, in words: the same on the screen and on paper. */
import { formatWithUnit, unitLabel, type Notation } from '../../measure';
import type { Panel } from '../panel';
import type { BaseLine, PanelsPart } from '../schema';
import type { MarkingOut } from './marking';

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
  { markingStep, markingBase }: Pick<PanelsPart, 'markingStep' | 'markingBase'>,
  out: MarkingOut,
  notation: Notation,
): string[] {
  const say = (mm: number) => formatWithUnit(mm, notation);
  return [
    WHERE[markingBase],
    `Tick every ${say(markingStep)} along the tape; square across at each tick.`,
    `Measure along each square to both edges (in ${unitLabel(notation)}), a nail at each; spring a batten round the ` +
      'nails from corner to corner.',
    `Check: forward lower corner to after upper ${say(out.diagonals[0])}, after lower to forward upper ` +
      `${say(out.diagonals[1])}; along the lower edge ${say(panel.edges[0].length)}, along the upper ` +
      `${say(panel.edges[1].length)}.`,
    'Mark the stations, the face and FORE before it is cut.',
  ];
}
