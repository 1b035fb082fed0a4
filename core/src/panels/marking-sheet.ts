/**
 * The sheet that one takes to the shop for a panel: its drawing at a scale with the figures on it, the table of
 * offsets, the steps and the checks; on as many pages as the table takes.
 */
import {
  LETTER_MM,
  scaleFor,
  SHEET_MARGIN_MM,
  sheetLine,
  sheetText,
  textWidth,
  TITLE_MM,
  titled,
  wrapped,
  type Drawing,
  type DrawnPath,
  type DrawnText,
  type PaperSheets,
  type SheetScale,
  type SheetSize,
} from '../formats';
import { at, boundsOf, type Vec2 } from '../geometry';
import type { Station } from '../lines';
import { formatFine, formatWithUnit, isImperial, unitLabel, type Notation } from '../measure';
import type { Panel } from './panel';
import { inFrame, markOut, stationMarks, type MarkingOut, type MarkingRow } from './reading/marking';
import { markingSteps } from './reading/marking-words';
import type { PanelsPart } from './schema';

export type MarkingSheetOf = {
  readonly boat: string;
  readonly revision: number;
  readonly notation: Notation;
  readonly part: Pick<PanelsPart, 'markingStep' | 'markingBase' | 'thickness'>;
  readonly stations: readonly Station[];
};

/** On their side: panels are long. */
const SIZES: Readonly<Record<'metric' | 'imperial', SheetSize>> = {
  metric: { width: 297, height: 210 },
  imperial: { width: 279.4, height: 215.9 },
};

/** Between border and contents. */
const INSET_MM = 4;
/** Left and right of the panel: FORE and its arrow. */
const BESIDE_MM = 18;
/** Over and under the panel: rows of figures. */
const OVER_MM = 8;
const UNDER_MM = 18;
const MOST_PANEL_MM = 60;
const ROW_MM = 4.6;
const COLUMNS = [
  { head: 'along', width: 20 },
  { head: 'lower edge', width: 20 },
  { head: 'upper edge', width: 20 },
  { head: 'corner', width: 17 },
] as const;
const TABLE_MM = COLUMNS.reduce((sum, { width }) => sum + width, 0);
const TABLE_GAP_MM = 6;

/** A station's mark shorter than so many letters is named once. */
const BOTH_LABELS = 3.5;

const LINE_KINDS = 'The thick line is cut; the middle ones are stations; the thin ones are measured along.';

type Content = { readonly paths: readonly DrawnPath[]; readonly texts: readonly DrawnText[] };

export function markingSheet(panel: Panel, of: MarkingSheetOf): PaperSheets {
  const { boat, revision, notation, part } = of;
  const size = SIZES[isImperial(notation) ? 'imperial' : 'metric'];
  const out = markOut(panel, part.markingStep, part.markingBase);
  const drawn = drawPanel(panel, out, size, of);
  const inner = innerBox(size);
  // on the first page two tables under the drawing, with the steps beside them; the rest on pages of their own
  const first = rowsIn(drawn.bottom - inner.bottom);
  const later = rowsIn(inner.top - inner.bottom);
  const across = (width: number) => Math.max(1, Math.floor((width + TABLE_GAP_MM) / (TABLE_MM + TABLE_GAP_MM)));
  const beside = Math.min(2, across(inner.right - inner.left - 60));
  const all = across(inner.right - inner.left);
  const onFirst = out.rows.slice(0, first * beside);
  const pages: Content[] = [
    merged(
      drawn,
      tables(onFirst, { left: inner.left, top: drawn.bottom, most: Math.ceil(onFirst.length / beside) }, notation),
      stepsAt([...markingSteps(panel, part, out, notation), LINE_KINDS], {
        left: inner.left + beside * (TABLE_MM + TABLE_GAP_MM),
        right: inner.right,
        top: drawn.bottom,
      }),
    ),
  ];
  for (let k = onFirst.length; k < out.rows.length; k += later * all) {
    const rows = out.rows.slice(k, k + later * all);
    pages.push(tables(rows, { left: inner.left, top: inner.top, most: later }, notation));
  }
  const title = {
    ...{ boat, revision, part: panel.name, scale: drawn.scale.words },
    hand: panel.spansCentreline ? '1 to cut, inside face' : '1 port, 1 starboard; drawn: starboard inside',
    material: `${formatWithUnit(part.thickness, 'mm')} plywood`,
    unit: `figures in ${unitLabel(notation)}`,
  };
  return {
    name: `marking-${panel.id}`,
    title: `${panel.name}, marking-out sheet`,
    size,
    pages: pages.map((content, i): Drawing => {
      const frame = titled(size, title, { number: i + 1, of: pages.length });
      return { name: panel.name, ...merged(frame, content) };
    }),
  };
}

const merged = (...contents: readonly Content[]): Content => ({
  paths: contents.flatMap(({ paths }) => paths),
  texts: contents.flatMap(({ texts }) => texts),
});

const innerBox = ({ width, height }: SheetSize) => ({
  left: SHEET_MARGIN_MM + INSET_MM,
  right: width - SHEET_MARGIN_MM - INSET_MM,
  bottom: SHEET_MARGIN_MM + TITLE_MM + INSET_MM,
  top: height - SHEET_MARGIN_MM - INSET_MM,
});

/** A head and so many rows. */
const rowsIn = (heightMm: number) => Math.max(1, Math.floor(heightMm / ROW_MM) - 1);

type Drawn = Content & { readonly bottom: number; readonly scale: SheetScale };

/** The panel over its base line at the top of the sheet. `bottom`: what is under it begins there. */
function drawPanel(panel: Panel, out: MarkingOut, size: SheetSize, { notation, stations }: MarkingSheetOf): Drawn {
  const inner = innerBox(size);
  const outline = panel.outline.map((p) => inFrame(out.frame, p));
  const box = boundsOf([...outline, [at(outline, 0)[0], 0]]);
  const [length, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const room = { width: inner.right - inner.left - 2 * BESIDE_MM, height: MOST_PANEL_MM };
  const scale = scaleFor({ width: length, height }, room, isImperial(notation));
  const [left, top] = [(inner.left + inner.right - length / scale.over) / 2, inner.top - OVER_MM];
  const place = ([a, b]: Vec2): Vec2 => [left + (a - box.minX) / scale.over, top + (b - box.maxY) / scale.over];
  const low = top - height / scale.over;
  const marks = stationMarks(panel, stations).map(({ label, curve }) => ({
    label,
    curve: curve.map((p) => place(inFrame(out.frame, p))),
  }));
  const figures = figuresOn(out.rows, { place, low, top }, notation);
  return {
    ...merged(
      {
        paths: [
          sheetLine('cut', outline.map(place), true),
          sheetLine('construction', [place([box.minX, 0]), place([box.maxX, 0])]),
          ...out.rows.map(({ u, lower, upper }) =>
            sheetLine('construction', [place([u, Math.min(0, lower)]), place([u, Math.max(0, upper)])]),
          ),
          ...marks.map(({ curve }) => sheetLine('mark', curve)),
        ],
        texts: marks.flatMap(({ label, curve }) => {
          const tall = Math.abs(at(curve, 0)[1] - at(curve, -1)[1]);
          const both = [inside(curve, label), inside([...curve].reverse(), label)];
          return tall > BOTH_LABELS * LETTER_MM ? both : both.slice(0, 1);
        }),
      },
      figures,
      forward([left, (top + low) / 2]),
      named(panel.name, marks, {
        middle: (top + low) / 2,
        aside: [inner.left, low - UNDER_MM + 2],
      }),
      checkLength(inner.right, low - UNDER_MM + 5, isImperial(notation)),
    ),
    ...{ bottom: low - UNDER_MM, scale },
  };
}

/** A station's label within the panel, near where its mark begins. */
function inside(curve: readonly Vec2[], label: string): DrawnText {
  const [[x, y], [, y2]] = [at(curve, 0), at(curve, -1)];
  return sheetText([x + 0.8, y2 > y ? y + 1.4 : y - LETTER_MM - 0.6], label);
}

type Around = { readonly place: (p: Vec2) => Vec2; readonly low: number; readonly top: number };

/** The figures at their places, corners first, as many as fit: upper edge above, lower edge and distance below. */
function figuresOn(rows: readonly MarkingRow[], { place, low, top }: Around, notation: Notation): Content {
  const fine = (mm: number) => formatFine(mm, notation);
  const texts: DrawnText[] = [];
  const fitted = (y: number, words: (row: MarkingRow) => string) => {
    const taken: { from: number; to: number }[] = [];
    const byWeight = [...rows].sort((a, b) => Number(b.corner !== undefined) - Number(a.corner !== undefined));
    for (const row of byWeight) {
      const text = words(row);
      const half = textWidth(text, LETTER_MM) / 2 + 0.7;
      const [x] = place([row.u, 0]);
      if (taken.some(({ from, to }) => x + half > from && x - half < to)) continue;
      taken.push({ from: x - half, to: x + half });
      texts.push(sheetText([x, y], text, { align: 'center' }));
    }
  };
  fitted(top + 2.2, ({ upper }) => fine(upper));
  fitted(low - LETTER_MM - 1.2, ({ lower }) => fine(lower));
  fitted(low - 2 * LETTER_MM - 3, ({ u }) => `at ${fine(u)}`);
  return { paths: [], texts };
}

/** An arrow that points forward, and the word. */
function forward([x, y]: Vec2): Content {
  const [from, to] = [x - 4, x - 15];
  const head: Vec2[] = [
    [to + 2.5, y + 1.2],
    [to, y],
    [to + 2.5, y - 1.2],
  ];
  return {
    paths: [
      sheetLine('mark', [
        [from, y],
        [to, y],
      ]),
      sheetLine('mark', head),
    ],
    texts: [sheetText([x - 14, y + 2], 'FORE')],
  };
}

type Along = {
  readonly middle: number;
  /** Where the name goes if there is no room between the stations. */
  readonly aside: Vec2;
};
const NAME_MM = 6;
/** Left of a gap between stations for the label of the one before. */
const LABEL_MM = 6;

const NO_GAP = { from: 0, to: 0 };

/** The part's name large, in the widest room between two stations, or under the panel where that is too narrow. */
function named(name: string, marks: readonly { readonly curve: readonly Vec2[] }[], along: Along): Content {
  const stops = marks
    .map(({ curve: line }) => ({ x: at(line, 0)[0], tall: Math.abs(at(line, 0)[1] - at(line, -1)[1]) }))
    .sort((a, b) => a.x - b.x);
  const isHigh = ({ tall }: { readonly tall: number }) => tall > BOTH_LABELS * LETTER_MM;
  const gaps = stops.flatMap((to, i) => {
    const from = stops[i - 1];
    return from && isHigh(from) && isHigh(to) ? [{ from: from.x + LABEL_MM, to: to.x }] : [];
  });
  const widest = gaps.reduce((best, gap) => (gap.to - gap.from > best.to - best.from ? gap : best), NO_GAP);
  const heightMm = Math.min(NAME_MM, (widest.to - widest.from) / textWidth(name, 1));
  if (heightMm < LETTER_MM) return { paths: [], texts: [sheetText(along.aside, name, { heightMm: NAME_MM - 1 })] };
  const x = (widest.from + widest.to) / 2;
  return { paths: [], texts: [sheetText([x, along.middle - heightMm / 3], name, { heightMm, align: 'center' })] };
}

const CHECK = { metric: { mm: 50, words: '50 mm' }, imperial: { mm: 50.8, words: '2 in' } } as const;

/** A length to lay a rule on: a printer that scales gives itself away. */
function checkLength(right: number, y: number, inInches: boolean): Content {
  const { mm, words } = CHECK[inInches ? 'imperial' : 'metric'];
  const tick = (x: number) =>
    sheetLine('mark', [
      [x, y - 1.5],
      [x, y + 1.5],
    ]);
  const line = sheetLine('mark', [
    [right - mm, y],
    [right, y],
  ]);
  return {
    paths: [line, tick(right - mm), tick(right)],
    texts: [sheetText([right - mm / 2, y - LETTER_MM - 1], `${words} on this paper`, { align: 'center' })],
  };
}

type TableAt = { readonly left: number; readonly top: number; readonly most: number };

/** The rows in tables of at most so many, side by side. */
function tables(rows: readonly MarkingRow[], { left, top, most }: TableAt, notation: Notation): Content {
  const [paths, texts]: [DrawnPath[], DrawnText[]] = [[], []];
  for (let k = 0; k * most < rows.length; k++) {
    const own = rows.slice(k * most, (k + 1) * most);
    const x0 = left + k * (TABLE_MM + TABLE_GAP_MM);
    const cells = [
      COLUMNS.map(({ head }) => head as string),
      ...own.map((row) => [
        ...[row.u, row.lower, row.upper].map((mm) => formatFine(mm, notation)),
        row.corner === 'both' ? 'both' : (row.corner ?? ''),
      ]),
    ];
    cells.forEach((line, r) => {
      let x = x0;
      line.forEach((text, c) => {
        const { width } = at(COLUMNS, c);
        texts.push(sheetText([x + width - 1, top - (r + 1) * ROW_MM + 1.2], text, { align: 'right' }));
        x += width;
      });
      const y = top - (r + 1) * ROW_MM;
      paths.push(
        sheetLine(r === 0 ? 'edge' : 'construction', [
          [x0, y],
          [x0 + TABLE_MM, y],
        ]),
      );
    });
  }
  return { paths, texts };
}

type StepsAt = { readonly left: number; readonly right: number; readonly top: number };

function stepsAt(steps: readonly string[], { left, right, top }: StepsAt): Content {
  const texts: DrawnText[] = [];
  let y = top - LETTER_MM;
  steps.forEach((step, i) => {
    texts.push(sheetText([left, y], `${i + 1}.`));
    for (const line of wrapped(step, right - left - 6, LETTER_MM)) {
      texts.push(sheetText([left + 6, y], line));
      y -= 4.4;
    }
    y -= 1;
  });
  return { paths: [], texts };
}
