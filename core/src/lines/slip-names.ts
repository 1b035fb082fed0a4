/**
 * Names the slip of reading or copying that would explain a figure off the fair line, with the figure that was meant.
 *
 * Method: each usual slip undone gives a figure; the one is taken that lies likeliest on the fair line (its place is
 * known to `sdMm`), weighed by how common the slip is. A figure that no usual slip brings to within three deviations
 * has none.
 */
import { MM_PER_FOOT, MM_PER_INCH } from '../measure';

export type NamedSlip = { readonly name: string; readonly valueMm: number };
/** How a table is written: slips of inches are made in inches, of digits in millimetres. */
export type Writing = {
  /** `bent`: copied by nobody, but worked out from a card. */
  readonly kind: 'metric' | 'imperial' | 'unknown' | 'bent';
  /** The figures are whole multiples of this, mm. */
  readonly stepMm: number;
};
export type SlipInput = {
  readonly valueMm: number;
  readonly fairMm: number;
  readonly sdMm: number;
  /** The point's height where this is its half-breadth, and the reverse. */
  readonly otherMm: number;
  /** Cells beside this one, any of which may have been read for it. */
  readonly beside: readonly NamedSlip[];
  readonly writing: Writing;
};

type Candidate = NamedSlip & { readonly weight: number };

/** Further off than this many deviations is not on the fair line. */
const WITHIN_SD = 3;
/** The fair place is never known better than this, mm. */
const LEAST_SD_MM = 0.5;
/** The same figure in two cells. */
const SAME_FIGURE_MM = 0.02;

/** The likeliest usual slip, or undefined when none explains the figure. */
export function nameSlip(input: SlipInput): NamedSlip | undefined {
  const sd = Math.max(input.sdMm, LEAST_SD_MM, 0.6 * input.writing.stepMm);
  const best = [...stepped(input), ...written(input), ...copied(input)]
    .map((candidate) => ({ candidate, off: Math.abs(candidate.valueMm - input.fairMm) / sd }))
    .filter(({ candidate, off }) => off <= WITHIN_SD && Math.abs(candidate.valueMm - input.valueMm) > SAME_FIGURE_MM)
    .map(({ candidate, off }) => ({ candidate, score: Math.log(candidate.weight) - 0.5 * off * off }))
    .sort((a, b) => b.score - a.score)[0]?.candidate;
  // sums of tenths, without the last bits that they leave
  return best && { name: best.name, valueMm: Number(best.valueMm.toFixed(6)) };
}

/** The fair place as the table would write it. */
export const fairFigure = ({ fairMm, writing }: Pick<SlipInput, 'fairMm' | 'writing'>): number =>
  Math.round(fairMm / writing.stepMm) * writing.stepMm;

/** A whole step of the rule too much or too little. */
function stepped({ valueMm, writing: { kind } }: SlipInput): Candidate[] {
  const [inches, tens] = kind === 'metric' ? [0.3, 1] : kind === 'imperial' ? [1, 0.05] : [1, 1];
  const steps: readonly (readonly [number, string, number])[] = [
    [MM_PER_FOOT, 'One foot', inches],
    [MM_PER_INCH, 'One inch', inches],
    [MM_PER_INCH / 2, 'Half an inch', 0.7 * inches],
    [MM_PER_INCH / 8, 'One eighth', 0.7 * inches],
    [10, '10 mm', tens],
    [100, '100 mm', tens],
    [1000, '1000 mm', 0.3 * tens],
  ];
  return steps.flatMap(([mm, name, weight]): Candidate[] => [
    { name: `${name} less`, valueMm: valueMm - mm, weight },
    { name: `${name} more`, valueMm: valueMm + mm, weight },
  ]);
}

/** Digits or a sign written wrongly. */
function written({ valueMm, writing }: SlipInput): Candidate[] {
  const sign: Candidate = { name: 'The other sign', valueMm: -valueMm, weight: 1 };
  if (writing.kind === 'imperial') return [sign];
  const whole = Math.floor(Math.abs(valueMm) + SAME_FIGURE_MM);
  const rest = Math.abs(valueMm) - whole;
  const digits = String(whole);
  const figure = (text: string) => Math.sign(valueMm || 1) * (Number(text) + rest);
  const swaps = [...digits].slice(1).map((digit, i): Candidate => {
    const swapped = digits.slice(0, i) + digit + digits.charAt(i) + digits.slice(i + 2);
    return { name: 'Two digits swapped back', valueMm: figure(swapped), weight: 0.8 };
  });
  const misread = [...digits].flatMap((digit, i) =>
    [...'0123456789']
      .filter((other) => other !== digit)
      .map((other): Candidate => ({
        name: `${digit} for ${other}, a digit misread`,
        valueMm: figure(digits.slice(0, i) + other + digits.slice(i + 1)),
        weight: MISREAD,
      })),
  );
  return [sign, ...swaps, ...misread.filter(({ valueMm: value }) => Math.abs(value - valueMm) >= 2)];
}

/** There are nine wrong digits for every right one, so some misreading comes near any figure. */
const MISREAD = 0.03;

/** Another cell's figure put here. What was meant is not to be had from it: the fair place is offered. */
function copied(input: SlipInput): Candidate[] {
  const { valueMm, otherMm, beside } = input;
  const swapped = { name: 'Height and half-breadth the other way round', valueMm: otherMm, weight: 0.7 };
  const same = beside.filter((cell) => Math.abs(cell.valueMm - valueMm) < SAME_FIGURE_MM);
  return [swapped, ...same.map(({ name }) => ({ name, valueMm: fairFigure(input), weight: 3 }))];
}
