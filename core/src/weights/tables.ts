/** Weights and float line as tables, on paper, and on the panels. */
import {
  csv,
  innerBox,
  lengthCell,
  lengthHead,
  merged,
  openPath,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  viewOn,
  type ExportTable,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
  type SheetView,
} from '../formats';
import type { Vec2 } from '../geometry';
import { formatFine, formatMass, unitLabel, type Notation } from '../measure';
import { waterMarks, type Panel } from '../panels';
import type { Marks } from '../stage';
import { profileOf } from './figures';
import type { WeightsPart } from './schema';
import type { WeightsValue } from './value';
import { floatWords, NO_APPROVAL } from './words';

export type WeightsWhole = {
  readonly project: { readonly weights: WeightsPart; readonly notation: Notation };
  readonly values: { readonly weights: WeightsValue; readonly panels: { readonly panels: readonly Panel[] } };
  readonly sheetHead: SheetHead;
};

export function weightsTables({ project: { weights, notation }, values }: WeightsWhole): ExportTable[] {
  const { items } = values.weights;
  if (items.length === 0) return [];
  const place = (p: readonly [number, number, number]) => p.map((mm) => lengthCell(mm, notation));
  const rows = [
    ...items.map(({ name, group, grams, at, isSpread }) => [
      ...[name, group, (grams / 1000).toFixed(3), ...place(at), isSpread ? 'spread over the skin' : ''],
    ]),
    ...weights.loads
      .filter(({ isAboard }) => isAboard)
      .map(({ name, kg, x, out, up }) => [name, 'aboard', kg.toFixed(3), ...place([x, out, up]), '']),
  ];
  const heads = ['from the stem', 'to starboard', 'up'].map((head) => lengthHead(head, notation));
  return [
    {
      ...{ name: 'weights', title: 'Weights, part by part (CSV)' },
      csv: csv(['what', 'of', 'kg', ...heads, 'remark'], rows),
    },
  ];
}

export function weightsSheets({ project, values, sheetHead: head }: WeightsWhole): PaperSheets[] {
  const { weights } = values;
  if (weights.items.length === 0) return [];
  const { notation } = head;
  const inner = innerBox(pageOnItsSide(head.paper));
  const view = profileView(values.panels.panels, weights);
  const room = { ...inner, maxY: inner.maxY - 4, minY: inner.maxY - PICTURE_MM };
  const on = view ? viewOn(view, { room, notation }) : undefined;
  const tables = [sayNothing(), figuresTable(weights, notation), itemsTable(weights, project.weights, notation)];
  const [first, ...more] = tablePages(tables, {
    first: { ...inner, maxY: (on?.foot ?? inner.maxY) - UNDER_MM },
    later: inner,
  });
  const sheet = {
    ...{ name: 'weights-sheet', title: 'Weights and float line', part: 'Weights', hand: 'all of her' },
    ...{ material: 'still water; approves nothing', scale: on?.scale.words ?? 'no drawing' },
  };
  return [sheetsOf(head, sheet, [merged(...(on ? [on] : []), ...(first ? [first] : [])), ...more])];
}
const PICTURE_MM = 62;
const UNDER_MM = 6;

const sayNothing = (): SheetTable => ({
  columns: [{ head: 'what this is' }],
  rows: [[NO_APPROVAL]],
});

const figuresTable = (value: WeightsValue, notation: Notation): SheetTable => ({
  columns: [{ head: 'as she floats' }, { head: 'figure', isFigure: true }],
  rows: floatWords(value, notation).map(({ what, value: words }) => [what, words]),
});

const itemsTable = ({ items }: WeightsValue, { loads }: WeightsPart, notation: Notation): SheetTable => ({
  columns: [
    { head: `part, in ${unitLabel(notation)}` },
    { head: 'weighs', isFigure: true },
    ...['from the stem', 'to starboard', 'up'].map((head) => ({ head, isFigure: true })),
  ],
  rows: [
    ...items.map(({ name, grams, at }) => ({ name, grams, at })),
    ...loads
      .filter(({ isAboard }) => isAboard)
      .map(({ name, kg, x, out, up }) => ({ name: `${name}, aboard`, grams: 1000 * kg, at: [x, out, up] as const })),
  ].map(({ name, grams, at }) => [name, formatMass(grams, notation), ...at.map((mm) => formatFine(mm, notation))]),
});

/** From starboard, the bow to the left: sheer, bottom, ends, and the float line across. */
export function profileView(panels: readonly Panel[], { afloat, size }: WeightsValue): SheetView | undefined {
  const [bottom, top] = [panels[0], panels[panels.length - 1]];
  if (!bottom || !top) return undefined;
  const flat = (points: readonly (readonly [number, number, number])[]): Vec2[] => points.map(([x, , z]) => [x, z]);
  const lines = panels.map(({ rulings }) => flat(rulings.map(({ q }) => q)));
  const low = flat(profileOf(panels));
  const ends = [0, -1].flatMap((k): Vec2[][] => {
    const [a, b] = [low.at(k), lines[lines.length - 1]?.at(k)];
    return a && b ? [[a, b]] : [];
  });
  // no further than she is long: what is drawn is measured
  const water: Vec2[][] = afloat
    ? [
        [size.from, size.to].map((x): Vec2 => {
          const { normal, level } = afloat.plane;
          return [x, (level - normal[0] * x) / normal[2]];
        }),
      ]
    : [];
  return {
    paths: [
      ...[low, ...lines, ...ends].map((points) => ({ kind: 'cut' as const, points })),
      ...water.map((points) => ({ kind: 'mark' as const, points })),
    ],
    texts: [],
  };
}

/** The float line on a panel, where it is asked for. */
export function floatMarks(panel: Panel, { project, values }: Pick<WeightsWhole, 'project' | 'values'>): Marks {
  const { afloat } = values.weights;
  if (!project.weights.onPanels || !afloat || panel.layer) return { paths: [], texts: [] };
  const runs = waterMarks(panel, afloat.plane);
  const [first] = runs;
  const middle = first?.[Math.floor(first.length / 2)];
  return {
    paths: runs.map((run) => ({ ...openPath(run), layer: 'mark' })),
    texts: middle ? [{ at: middle, heightMm: MARK_TEXT_MM, text: 'float line' }] : [],
  };
}
const MARK_TEXT_MM = 12;
