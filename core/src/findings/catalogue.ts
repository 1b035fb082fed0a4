/**
 * The sentences of all findings, one a code, with an example each: what, where, value, remedy. Numbers first.
 * A test shows that every code has both and that no placeholder is left unfilled.
 */
import { formatFine, formatLength, unitLabel, type Notation } from '../measure';
import type { Finding, Place } from './finding';

type Data = Finding['data'];
type Writer = (data: Data, length: (mm: number) => string) => string;
type Entry = { readonly say: Writer; readonly example: Data };

const entry = (say: Writer, example: Data): Entry => ({ say, example });
const num = (data: Data, key: string): number => Number(data[key]);
const fixed = (data: Data, key: string, digits: number): string => num(data, key).toFixed(digits);

/** What a slip is called that is none of the usual ones. */
export const NO_USUAL_SLIP = 'No usual slip';

export const CATALOGUE = {
  'lines-too-few': entry(
    (d) =>
      `${d['count']} line in the table; a hull needs two at least, such as a chine and a sheer. Add one, or import a table.`,
    { count: 1 },
  ),
  'line-too-short': entry(
    (d) => `${d['line']} has ${d['count']} usable points; a batten needs two. Add points, or take the line out.`,
    { line: 'Sheer', count: 1 },
  ),
  'line-turns-back': entry(
    (d, length) =>
      `${d['line']}: ${d['station']} lies ${length(num(d, 'backMm'))} forward of the point before it. Points run from bow to stern: check x.`,
    { line: 'Chine', station: 'station 4', backMm: 120 },
  ),
  'point-repeated': entry(
    (d) =>
      `${d['line']}: ${d['station']} is on top of the point before it and was passed over. Take it out, or correct it.`,
    { line: 'Chine', station: 'station 4' },
  ),
  'half-breadth-negative': entry(
    (d, length) =>
      `${d['line']}, ${d['station']}: half-breadth ${length(num(d, 'valueMm'))} lies across the centreline. Half-breadths are measured outward: check the sign.`,
    { line: 'Keel', station: 'station 2', valueMm: -12 },
  ),
  'lines-cross': entry(
    (d, length) =>
      `${d['upper']} lies ${length(num(d, 'belowMm'))} below ${d['lower']} at ${length(num(d, 'xMm'))} with no more breadth. Check both lines there.`,
    { upper: 'Sheer', lower: 'Chine', belowMm: 35, xMm: 1800 },
  ),
  'line-runs-out': entry(
    (d, length) =>
      `${d['line']} ${d['end']} on ${d['other']} at ${length(num(d, 'xMm'))}: ${d['side']} of there the panel beyond it goes on along ${d['other']}.`,
    { line: 'Chine', end: 'begins', other: 'Keel', xMm: 900, side: 'forward', offMm: 0.2 },
  ),
  'line-set-on-line': entry(
    (d, length) =>
      `${d['line']} ${d['end']} ${length(num(d, 'offMm'))} off ${d['other']} at ${length(num(d, 'xMm'))} and is taken to run out on it: ${d['side']} of there the panel beyond it goes on along ${d['other']}.`,
    { line: 'Chine', end: 'begins', other: 'Keel', xMm: 900, side: 'forward', offMm: 2.2 },
  ),
  'corner-not-broken': entry(
    (d, length) =>
      `${d['other']} turns ${num(d, 'turnDeg').toFixed(0)}° at ${length(num(d, 'xMm'))}, where ${d['line']} lies on it, and a batten is bent round it. If it has a corner there, its point is a knuckle.`,
    { line: 'Chine', other: 'Keel', xMm: 900, turnDeg: 52 },
  ),
  'line-stops-short': entry(
    (d, length) =>
      `${d['line']} ${d['end']} ${length(num(d, 'offMm'))} from ${d['other']} at ${length(num(d, 'xMm'))}, where ${d['other']} does not. If it runs out on ${d['other']}, its end belongs there; as it is, the panels beside it end in the air.`,
    { line: 'Chine', end: 'begins', other: 'Keel', xMm: 900, offMm: 9 },
  ),
  slip: entry(
    (d, length) =>
      `${d['line']}, ${d['station']}: ${d['quantity']} ${length(num(d, 'valueMm'))} is ${length(Math.abs(num(d, 'offMm')))} off the fair line. ${d['slip'] === NO_USUAL_SLIP ? 'No usual slip explains it; on the fair line it' : String(d['slip'])} would be ${d['slip'] === NO_USUAL_SLIP ? '' : 'fair: '}${length(num(d, 'suggestedMm'))}.`,
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
  'panel-not-made': entry(
    (d) => `The panel ${d['panel']} could not be developed: ${d['reason']}. Put its two lines right first.`,
    { panel: 'Bottom', reason: 'its lines share no length' },
  ),
  'panel-twist-high': entry(
    (d, length) =>
      `${d['panel']} twists ${fixed(d, 'twistDeg', 1)}° at ${length(num(d, 'xMm'))}; a developable panel stays under ${fixed(d, 'limitDeg', 0)}°. The ${String(d['line']).toLowerCase()} turns more there than the other line. The Panels stage finds the smallest change that cures it; or split the panel.`,
    { panel: 'Bottom', twistDeg: 4.2, limitDeg: 1, xMm: 640, line: 'Keel' },
  ),
  'panel-strain': entry(
    (d, length) =>
      `${d['panel']} would have to stretch ${(num(d, 'strain') * 100).toFixed(2)} % near ${length(num(d, 'xMm'))}; ${num(d, 'strain') > 0.003 ? 'plywood will not: change a line, move the chine, or split the panel' : 'clamps and patience take up to 0.30 %'} (rule of thumb).`,
    { panel: 'Bottom', strain: 0.0041, xMm: 640 },
  ),
  'panel-bend-tight': entry(
    (d, length) =>
      `${d['panel']} bends to a radius of ${length(num(d, 'radiusMm'))} at ${length(num(d, 'xMm'))}; ${d['thicknessMm']} mm sheet takes ${length(num(d, 'leastMm'))} dry. Two thinner layers, hot wet cloths or kerfs, or ease the curve.`,
    { panel: 'Bottom', radiusMm: 480, leastMm: 600, thicknessMm: 6, xMm: 300 },
  ),
  'rounding-without-corner': entry(
    (d) => `No two panels meet at the ${d['line']}, so there is no corner to round. Take the rounding off.`,
    { line: 'sheer' },
  ),
  'rounding-hollow': entry(
    (d) => `The panels meet at the ${d['line']} in a hollow all along; only a corner that stands out is rounded.`,
    { line: 'chine' },
  ),
  'rounding-wide': entry(
    (d, length) =>
      `Rounding the ${d['line']} takes ${length(num(d, 'takesMm'))} of the ${length(num(d, 'hasMm'))} that ${d['panel']} has at ${length(num(d, 'xMm'))}. A smaller radius there, or one that tapers.`,
    { line: 'chine', panel: 'Bottom', xMm: 900, takesMm: 140, hasMm: 260 },
  ),
  'rounding-tight': entry(
    (d, length) =>
      `The ${d['line']}’s mould has a radius of ${length(num(d, 'radiusMm'))}; a layer of ${d['layerMm']} mm bends dry to ${length(num(d, 'leastMm'))}. More and thinner layers, hot wet cloths, or a larger radius.`,
    { line: 'chine', radiusMm: 90, leastMm: 200, layerMm: 2, layers: 3 },
  ),
  'transom-not-flat': entry(
    (d, length) =>
      `${d['transom']}: the ends of the lines lie up to ${length(num(d, 'offMm'))} off one plane. A flat transom needs them in line when seen from the side.`,
    { transom: 'Transom', offMm: 6 },
  ),
  'transom-too-round': entry(
    (d, length) =>
      `A transom bent to a radius of ${length(num(d, 'radiusMm'))} does not reach a half-breadth of ${length(num(d, 'breadthMm'))}: it is drawn flat. A larger radius.`,
    { radiusMm: 400, breadthMm: 560 },
  ),
  'transom-off-bend': entry(
    (d, length) =>
      `The ends of the lines lie up to ${length(num(d, 'offMm'))} off a transom bent to ${length(num(d, 'radiusMm'))}. End each line on it.`,
    { offMm: 24, radiusMm: 2000 },
  ),
  'transom-bend-tight': entry(
    (d, length) =>
      `The transom bends to a radius of ${length(num(d, 'radiusMm'))}; ${d['thicknessMm']} mm sheet with its grain athwart takes ${length(num(d, 'leastMm'))} dry, with its grain upright ${length(num(d, 'acrossMm'))}. Layers, or a larger radius.`,
    { radiusMm: 900, leastMm: 2400, thicknessMm: 9, acrossMm: 900 },
  ),
  'frame-outside': entry(
    (d, length) =>
      `No section at ${length(num(d, 'xMm'))}: the hull runs from ${length(num(d, 'fromMm'))} to ${length(num(d, 'toMm'))}.`,
    { xMm: 5000, fromMm: 100, toMm: 4300 },
  ),
  'frame-bow': entry(
    (d, length) =>
      `${d['frame']}: the edge on ${d['panel']} is bowed ${length(num(d, 'bowMm'))}. Cut it to the curve; straight across would leave a gap.`,
    { frame: 'Frame at 1200', panel: 'Bottom', bowMm: 4.2 },
  ),
  'joint-near-frame': entry(
    (d, length) =>
      `${d['panel']}: the scarf at ${length(num(d, 'uMm'))} is ${length(num(d, 'clearMm'))} from ${d['frame']}; ${length(num(d, 'wantMm'))} is wanted. No better place uses as few sheets.`,
    { panel: 'Side', uMm: 2100, clearMm: 40, wantMm: 75, frame: 'station 4' },
  ),
  'joint-not-staggered': entry(
    (d, length) =>
      `${d['panel']}: the scarf is ${length(num(d, 'staggerMm'))} from that of ${d['other']}; ${length(num(d, 'wantMm'))} is wanted. No better place uses as few sheets.`,
    { panel: 'Side', other: 'Bottom', staggerMm: 120, wantMm: 300 },
  ),
  'joint-in-bend': entry(
    (d, length) =>
      `${d['panel']}: the scarf at ${length(num(d, 'uMm'))} lies where the panel bends hardest. No better place uses as few sheets.`,
    { panel: 'Side', uMm: 2100 },
  ),
  'panel-too-deep': entry(
    (d, length) =>
      `${d['panel']} is ${length(num(d, 'depthMm'))} deep; the sheet is ${length(num(d, 'sheetMm'))} wide. It needs a joint along its length, which is not worked out here: choose a wider sheet or split the panel.`,
    { panel: 'Side', depthMm: 1400, sheetMm: 1220 },
  ),
  'sheet-too-short': entry(
    (d, length) =>
      `${d['panel']} cannot be joined from sheets of ${length(num(d, 'sheetMm'))}: a scarf alone takes ${length(num(d, 'scarfMm'))}. Choose a longer sheet.`,
    { panel: 'Side', sheetMm: 120, scarfMm: 48 },
  ),
  'part-unplaced': entry(
    (d) =>
      `${d['part']} fits on no sheet of ${d['thicknessMm']} mm in stock. Add a larger sheet, or join the part from pieces.`,
    { part: 'Transom', thicknessMm: 9 },
  ),
  'sheet-missing': entry(
    (d) => `No sheet of ${d['thicknessMm']} mm in stock, and ${d['count']} parts need it. Add one to the sheets.`,
    { thicknessMm: 9, count: 5 },
  ),
  'epoxy-safety': entry(
    () =>
      'Epoxy sensitises skin and lungs: gloves, moving air, a dust respirator when sanding. A big pot can smoke and burn: mix small.',
    {},
  ),
} as const satisfies Record<string, Entry>;

export type FindingCode = keyof typeof CATALOGUE;

/** The finding as one plain sentence or two, lengths in the notation asked for. */
export function sentence(finding: Finding, notation: Notation): string {
  const length = (mm: number) => withUnit(mm, notation);
  return CATALOGUE[finding.code].say(finding.data, length);
}

function withUnit(mm: number, notation: Notation): string {
  const figure = Math.abs(mm) < 20 ? formatFine(mm, notation) : formatLength(mm, notation);
  return notation === 'ft-in-8ths' ? figure : `${figure} ${unitLabel(notation)}`;
}

/** The place in words, most general first. */
export function placeText(place: Place): string {
  const parts = [place.panel, place.line, place.part, place.station];
  const named = parts.filter((part): part is string => part !== undefined);
  if (place.x !== undefined) named.push(`x ${Math.round(place.x)}`);
  return named.length > 0 ? named.join(', ') : place.stage;
}
