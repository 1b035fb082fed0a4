/** What the lines stage finds: codes, the data of each, and their sentences. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';

/** What a slip is called that is none of the usual ones. */
export const NO_USUAL_SLIP = 'No usual slip';
/** Of a table worked out from a card. */
export const BENT_HARD = 'Bent hard';

export const LINES_FINDINGS = {
  'lines-too-few': entry(
    { count: figure },
    ({ count }) =>
      `${count} line in the table; a hull needs two at least, such as a chine and a sheer. ` +
      'Add one, or import a table.',
    { count: 1 },
  ),
  'line-too-short': entry(
    { line: word, count: figure },
    ({ line, count }) => `${line} has ${count} usable points; a batten needs two. Add points, or take the line out.`,
    { line: 'Sheer', count: 1 },
  ),
  'table-unfilled': entry(
    { lines: word, count: figure },
    ({ lines, count }) =>
      `The table is still to be filled in: ${lines} ${count === 1 ? 'has' : 'have'} fewer than two points. ` +
      'A point is there once its distance, its height and its half-breadth are.',
    { lines: 'Keel, Chine, Sheer', count: 3 },
  ),
  'cell-not-read': entry(
    { line: word, station: word, quantity: word, text: word },
    ({ line, station, quantity, text }) =>
      `${line}, ${station}: the ${quantity} "${text}" is not understood, and is not used. Type it again, such as ` +
      '1111.25, 43 3/4", 3-7-6 or 3\' 7 3/4".',
    { line: 'Chine', station: 'station 3', quantity: 'half-breadth', text: '5z2' },
  ),
  'point-half-given': entry(
    { line: word, station: word, lacks: word, others: figure },
    ({ line, station, lacks, others }) =>
      `${line}, ${station}: no ${lacks} yet; until then the line has no point there.` +
      (others === 0 ? '' : ` ${others} more ${others === 1 ? 'point is' : 'points are'} half given.`),
    { line: 'Chine', station: 'station 3', lacks: 'half-breadth', others: 2 },
  ),
  'line-turns-back': entry(
    { line: word, station: word, backMm: figure },
    ({ line, station, backMm }, { length }) =>
      `${line}: ${station} lies ${length(backMm)} forward of the point before it. ` +
      'Points run from bow to stern: check its distance from the stem.',
    { line: 'Chine', station: 'station 4', backMm: 120 },
  ),
  'point-repeated': entry(
    { line: word, station: word },
    ({ line, station }) =>
      `${line}: ${station} is on top of the point before it and was passed over. Take it out, or correct it.`,
    { line: 'Chine', station: 'station 4' },
  ),
  'half-breadth-negative': entry(
    { line: word, station: word, valueMm: figure },
    ({ line, station, valueMm }, { length }) =>
      `${line}, ${station}: half-breadth ${length(valueMm)} lies across the centreline. ` +
      'Half-breadths are measured outward: check the sign.',
    { line: 'Keel', station: 'station 2', valueMm: -12 },
  ),
  'lines-cross': entry(
    { upper: word, lower: word, belowMm: figure, xMm: figure },
    ({ upper, lower, belowMm, xMm }, { length }) =>
      `${upper} lies ${length(belowMm)} below ${lower} at ${length(xMm)} from the stem with no more breadth. ` +
      'Check both lines there.',
    { upper: 'Sheer', lower: 'Chine', belowMm: 35, xMm: 1800 },
  ),
  'line-runs-out': entry(
    { line: word, end: word, other: word, xMm: figure, side: word, offMm: figure },
    ({ line, end, other, xMm, side }, { length }) =>
      `${line} ${end} on ${other} at ${length(xMm)} from the stem: ${side} of there the panel beyond it ` +
      `goes on along ${other}.`,
    { line: 'Chine', end: 'begins', other: 'Keel', xMm: 900, side: 'forward', offMm: 0.2 },
  ),
  'line-set-on-line': entry(
    { line: word, end: word, other: word, xMm: figure, side: word, offMm: figure },
    ({ line, end, other, xMm, side, offMm }, { length }) =>
      `${line} ${end} ${length(offMm)} off ${other} at ${length(xMm)} from the stem and is taken to run out on it: ` +
      `${side} of there the panel beyond it goes on along ${other}.`,
    { line: 'Chine', end: 'begins', other: 'Keel', xMm: 900, side: 'forward', offMm: 2.2 },
  ),
  'corner-not-broken': entry(
    { line: word, other: word, xMm: figure, turnDeg: figure },
    ({ line, other, xMm, turnDeg }, { length }) =>
      `${other} turns ${turnDeg.toFixed(0)}° at ${length(xMm)} from the stem, where ${line} lies on it, ` +
      'and a batten is bent round it. If it has a corner there, its point is a knuckle.',
    { line: 'Chine', other: 'Keel', xMm: 900, turnDeg: 52 },
  ),
  'line-stops-short': entry(
    { line: word, end: word, other: word, xMm: figure, side: word, offMm: figure },
    ({ line, end, other, xMm, offMm }, { length }) =>
      `${line} ${end} ${length(offMm)} from ${other}, ${length(xMm)} from the stem, where ${other} does not. ` +
      `If it runs out on ${other}, its end belongs there; as it is, the panels beside it end in the air.`,
    { line: 'Chine', end: 'begins', other: 'Keel', xMm: 900, side: 'forward', offMm: 9 },
  ),
  slip: entry(
    { line: word, station: word, quantity: word, valueMm: figure, offMm: figure, slip: word, suggestedMm: figure },
    ({ line, station, quantity, valueMm, offMm, slip, suggestedMm }, { length }) => {
      const fair = length(suggestedMm);
      const offer =
        slip === NO_USUAL_SLIP
          ? `No usual slip explains it; on the fair line it would be ${fair}.`
          : slip === BENT_HARD
            ? `The card bends hard there; a fair line would have ${fair}.` +
              (quantity === 'half-breadth' ? ' Try that at its frame.' : '')
            : `${slip} would be fair: ${fair}.`;
      const off = length(Math.abs(offMm));
      return `${line}, ${station}: ${quantity} ${length(valueMm)} is ${off} off the fair line. ${offer}`;
    },
    {
      line: 'Chine',
      station: 'station 3',
      quantity: 'half-breadth',
      valueMm: 525,
      offMm: 25.4,
      slip: 'One inch more',
      suggestedMm: 550.4,
    },
  ),
} as const;

export type LinesFinding = FindingsOf<typeof LINES_FINDINGS>;
export type LinesResult<T> = StageResult<T, LinesFinding>;
