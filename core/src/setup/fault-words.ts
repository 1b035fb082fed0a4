/** What is said of a fault, and of what mends it. */
import { formatSmall, formatVolume, formatWithUnit, type Notation } from '../measure';
import type { ToldFault } from './faults';
import type { Fault, FaultChoice } from './schema';

export const FAULT_NAMES: Readonly<Record<Fault['kind'], string>> = {
  short: 'cut short along its edge',
  past: 'a cut past its line',
  plumb: 'out of plumb at the top',
  bevel: 'bevel too flat, °',
  warp: 'warped in the middle',
};

export const CHOICE_NAMES: Readonly<Record<Fault['choice'], string>> = {
  open: 'not decided yet',
  leave: 'left as it is',
  fill: 'filled',
  shim: 'shimmed',
  plane: 'planed to fit',
  press: 'pressed to its line',
  again: 'made again',
};

/** How each is done, as far as the gap says. */
export const MENDS: Readonly<Record<FaultChoice, string>> = {
  leave: 'Leave it.',
  fill: 'Fill it: epoxy thickened stiff, so that it does not run out.',
  shim: 'Shim it: a tapered strip glued to the edge, planed to the skin.',
  plane: 'Plane it until it bears all across.',
  press: 'Press it to its line, and hold it there with a cleat or a batten until it is glued.',
  again: 'Make it again: so wide a gap is a joint of filler.',
};

/** The gap, where it is, what else moves, what would close it. */
export function gapWords({ gap, kind, isFilleted, limitMm }: ToldFault, notation: Notation): string {
  const say = (mm: number) => formatWithUnit(mm, notation);
  const small = (mm: number) => formatSmall(mm, notation);
  const { widest, hardest, fillMl, face, movedAft } = gap;
  const parts: string[] = [];
  if (widest.gapMm >= 0.05) {
    const at = face ? `at its ${face === 'fore' ? 'forward' : 'after'} face` : `${say(widest.alongMm)} up the edge`;
    parts.push(
      `A gap of ${small(widest.gapMm)}, widest ${at}; yours is ${small(limitMm)} where it is ${joint(isFilleted)}.`,
    );
    parts.push(`${formatVolume(fillMl, notation)} closes it on both sides.`);
  } else parts.push('No gap.');
  if (hardest.gapMm >= 0.05)
    parts.push(
      `It bears hard by ${small(hardest.gapMm)}, ${say(hardest.alongMm)} up the edge: the skin stands out there.`,
    );
  if (kind === 'short' || kind === 'past') parts.push('Pulled home instead, the skin goes in by as much.');
  if (Math.abs(movedAft) >= 0.05)
    parts.push(`Its mark at the upper edge goes ${movedAft > 0 ? 'aft' : 'forward'} by ${small(Math.abs(movedAft))}.`);
  return parts.join(' ');
}

const joint = (isFilleted: boolean): string => (isFilleted ? 'filleted' : 'glued');
