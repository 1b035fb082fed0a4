/**
 * The sheet that one takes to the shop for a panel: its drawing at a scale with the figures on it, the table of
 * offsets, the steps and the checks; on as many pages as the table takes.
 */
import {
  checkLength,
  forwardArrow,
  innerBox,
  LETTER_MM,
  merged,
  numberedSteps,
  pageOnItsSide,
  scaleFor,
  settled,
  sheetLine,
  sheetsOf,
  sheetText,
  tablePages,
  textWidth,
  type Content,
  type DrawnText,
  type LabelBox,
  type PaperSheets,
  type SheetHead,
  type SheetScale,
  type SheetTable,
} from '../formats';
import { at, boundsOf, type Vec2 } from '../geometry';
import type { Station } from '../lines';
import { formatFine, formatThickness, isImperial, type Notation } from '../measure';
import { cutLineOf } from './cut/cut-line';
import { thicknessOf } from './cut/own-sheet';
import type { Panel } from './panel';
import {
  inFrame,
  markingOf,
  stationMarks,
  type MarkingAsked,
  type MarkingOut,
  type MarkingRow,
} from './reading/marking';
import { markingSteps } from './reading/marking-words';
import type { PanelsPart } from './schema';

export type MarkingSheetOf = {
  readonly head: SheetHead;
  readonly part: MarkingAsked & Pick<PanelsPart, 'thickness' | 'proud' | 'ownProud'>;
  readonly stations: readonly Station[];
};

/** Left and right of the panel: FORE and its arrow. */
const BESIDE_MM = 18;
/** Over and under the panel: rows of figures. */
const OVER_MM = 8;
const UNDER_MM = 18;
const MOST_PANEL_MM = 60;
/** For the steps, beside the table. */
const STEPS_MM = 82;

/** A station's mark shorter than so many letters is named once. */
const BOTH_LABELS = 3.5;

const LINE_KINDS = 'The thick line is cut; the middle ones are stations; the thin ones are measured along.';
const PROUD_LINE_KINDS =
  'The thick line is cut; the one within it is the net line, which the figures are to; the middle ones are stations; ' +
  'the thin ones are measured along.';

export function markingSheet(panel: Panel, of: MarkingSheetOf): PaperSheets {
  const { head, part } = of;
  const { notation } = head;
  const inner = innerBox(pageOnItsSide(head.paper));
  const out = markingOf(panel, part);
  const drawn = drawPanel(panel, out, inner, of);
  // on the first page tables under the drawing, with the steps beside them; the rest on pages of their own
  const tables = tablePages([offsetsTable(out.rows, notation)], {
    first: { ...inner, maxX: inner.maxX - STEPS_MM, maxY: drawn.bottom },
    later: inner,
  });
  const lineKinds = panel.proud ? PROUD_LINE_KINDS : LINE_KINDS;
  const steps = numberedSteps([...markingSteps(panel, part, out, notation), lineKinds], {
    ...{ left: inner.maxX - STEPS_MM + 6, right: inner.maxX, top: drawn.bottom },
  });
  const sheet = {
    ...{ name: `marking-${panel.id}`, title: `${panel.name}, marking-out sheet`, part: panel.name },
    ...{
      scale: drawn.scale.words,
      material: `${formatThickness(thicknessOf(panel, part.thickness), notation)} plywood`,
    },
    hand: handOf(panel),
  };
  return sheetsOf(
    head,
    sheet,
    tables.map((table, i) => (i === 0 ? merged(drawn, table, steps) : table)),
  );
}

/** How many of a panel, of which hand, and the face that is drawn. */
export function handOf({ spansCentreline, only }: Pick<Panel, 'spansCentreline' | 'only'>): string {
  if (spansCentreline) return '1 to cut, inside face';
  if (only) return `1 ${only}; drawn: its ${faceOf(only)} face`;
  return '1 port, 1 starboard; drawn: starboard inside';
}

/** The face that is drawn of a panel that is there on one side only. */
export const faceOf = (only: 'starboard' | 'port'): string => (only === 'port' ? 'outside' : 'inside');

const offsetsTable = (rows: readonly MarkingRow[], notation: Notation): SheetTable => ({
  columns: ['along', 'lower edge', 'upper edge', 'corner'].map((name) => ({ head: name, isFigure: true })),
  rows: rows.map((row) => [...[row.u, row.lower, row.upper].map((mm) => formatFine(mm, notation)), row.corner ?? '']),
});

type Drawn = Content & { readonly bottom: number; readonly scale: SheetScale };

/** The panel over its base line at the top of the sheet. `bottom`: what is under it begins there. */
function drawPanel(panel: Panel, out: MarkingOut, inner: LabelBox, { head, stations }: MarkingSheetOf): Drawn {
  const { notation } = head;
  const framed = (ring: readonly Vec2[]) => ring.map((p) => inFrame(out.frame, p));
  const outline = framed(panel.outline);
  const box = boundsOf([...framed(cutLineOf(panel)), [at(outline, 0)[0], 0]]);
  const [length, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const room = { width: inner.maxX - inner.minX - 2 * BESIDE_MM, height: MOST_PANEL_MM };
  const scale = scaleFor({ width: length, height }, room, isImperial(notation));
  const [left, top] = [(inner.minX + inner.maxX - length / scale.over) / 2, inner.maxY - OVER_MM];
  const place = ([a, b]: Vec2): Vec2 => [left + (a - box.minX) / scale.over, top + (b - box.maxY) / scale.over];
  const low = top - height / scale.over;
  const marks = stationMarks(panel, stations).map(({ label, curve }) => ({
    label,
    curve: curve.map((p) => place(inFrame(out.frame, p))),
  }));
  const figures = figuresOn(out.rows, { place, low, top }, notation);
  const drawn = merged(
    figures,
    forwardArrow([left - 15, (top + low) / 2]),
    checkLength([inner.maxX, low - UNDER_MM + 5], notation),
    named(panel.name, marks, {
      middle: (top + low) / 2,
      aside: [inner.minX, low - UNDER_MM + 2],
    }),
    {
      paths: [
        ...(panel.proud
          ? [
              sheetLine('cut', framed(panel.proud.outline).map(place), true),
              sheetLine('edge', outline.map(place), true),
            ]
          : [sheetLine('cut', outline.map(place), true)]),
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
  );
  return {
    paths: drawn.paths,
    texts: settled(drawn.texts),
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
