/** Where the sheets join, on paper: each panel with the edges of its scarfs and their distances from its fore end. */
import {
  forwardArrow,
  innerBox,
  merged,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  viewOn,
  type Content,
  type PaperSheets,
  type SheetHead,
  type SheetScale,
  type SheetTable,
  type SheetView,
} from '../formats';
import { boundsOf, upright } from '../geometry';
import { formatFine, formatThickness, unitLabel, type Notation } from '../measure';
import { cutLineOf, thicknessOf, type Panel } from '../panels';
import { panelsToCut, type SetupValue } from '../setup';
import { jointsOnPanel } from './drawings';
import type { JointedPanel } from './jointed-panel';
import { KIND_WORDS } from './kinds';
import { planedEnds } from './planing';

export type JointsWhole = {
  readonly project: { readonly panels: { readonly thickness: number }; readonly notation: Notation };
  readonly values: {
    readonly panels: { readonly panels: readonly Panel[] };
    readonly setup: Pick<SetupValue, 'built'>;
    readonly joints: readonly JointedPanel[];
  };
  readonly sheetHead: SheetHead;
};

/** Panels under one another on a page. */
const A_PAGE = 3;
const BESIDE_MM = 18;
const UNDER_MM = 6;

export function jointsSheets({ project, values, sheetHead: head }: JointsWhole): PaperSheets[] {
  const drawn = panelsToCut(values).flatMap((panel) => {
    const jointed = values.joints.find((other) => other.panel === panel.id);
    return jointed && jointed.joints.length > 0 ? [{ panel, jointed }] : [];
  });
  if (drawn.length === 0) return [];
  const { notation } = head;
  const inner = innerBox(pageOnItsSide(head.paper));
  const high = (inner.maxY - inner.minY) / A_PAGE;
  const roomOf = (k: number) => ({
    ...{ minX: inner.minX + BESIDE_MM, maxX: inner.maxX },
    ...{ maxY: inner.maxY - (k % A_PAGE) * high - 4, minY: inner.maxY - ((k % A_PAGE) + 1) * high + UNDER_MM },
  });
  const views = drawn.map(({ panel, jointed }) => viewOf(panel, jointed, notation));
  const scales = views.map((view, k) => viewOn(view, { room: roomOf(k), notation }).scale);
  // one scale for all, so that they compare
  const scale = scales.reduce((most, one) => (one.over > most.over ? one : most), { over: 0, words: '' } as SheetScale);
  const placed = views.map((view, k): Content => {
    const on = viewOn(view, { room: roomOf(k), notation, scale });
    return merged(on, forwardArrow([inner.minX, (on.foot + roomOf(k).maxY) / 2]));
  });
  const pages = Array.from({ length: Math.ceil(placed.length / A_PAGE) }, (_, k) =>
    merged(...placed.slice(k * A_PAGE, (k + 1) * A_PAGE)),
  );
  const onLast = placed.length % A_PAGE;
  const list = jointsTable(
    drawn.map(({ jointed }) => jointed),
    notation,
  );
  // under the last panel, or on a page of its own
  const [first, ...more] = tablePages(
    [
      list,
      ...planingTable(
        drawn.map(({ jointed }) => jointed),
        notation,
      ),
    ],
    {
      first: { ...inner, maxY: inner.maxY - onLast * high - UNDER_MM },
      later: inner,
    },
  );
  const last = onLast === 0 ? undefined : pages.pop();
  const table = first ?? { paths: [], texts: [] };
  const all = [...pages, last ? merged(last, table) : table, ...more];
  const thicknesses = new Set(drawn.map(({ panel }) => thicknessOf(panel, project.panels.thickness)));
  const sheet = {
    ...{ name: 'joints-sheet', title: 'The joints, to print', part: 'Joints', hand: 'distances from the fore end' },
    ...{
      material: `${[...thicknesses].map((mm) => formatThickness(mm, notation)).join(', ')} plywood`,
      scale: scale.words,
    },
  };
  return [sheetsOf(head, sheet, all)];
}

function viewOf(panel: Panel, jointed: JointedPanel, notation: Notation): SheetView {
  const { joints, pieces } = jointed;
  const box = boundsOf(panel.outline);
  return {
    paths: [
      { kind: 'cut', points: cutLineOf(panel), isClosed: true },
      ...(panel.proud?.net ?? []).map((points) => ({ kind: 'edge' as const, points })),
      ...jointsOnPanel(panel, [jointed]).paths.map(({ points }) => ({ kind: 'mark' as const, points })),
    ],
    texts: [
      ...joints.map(({ u, width, high }) => ({
        // over what is cut, which may reach beyond the panel's own edge
        at: [u, Math.max(high, ...upright(cutLineOf(panel), u).map(([, top]) => top))] as const,
        text: [...new Set([u - width / 2, u + width / 2])]
          .map((at) => formatFine(at - box.minX, notation))
          .join(' to '),
        ...{ by: [0, 1.4] as const, align: 'center' as const },
      })),
      ...pieces.map(({ name, outline }) => {
        const own = boundsOf(outline);
        return {
          at: [(own.minX + own.maxX) / 2, (own.minY + own.maxY) / 2] as const,
          ...{ text: name, align: 'center' as const },
        };
      }),
    ],
  };
}

/** What is planed, and which face lies up in the stack. */
function planingTable(jointed: readonly JointedPanel[], notation: Notation): SheetTable[] {
  const planed = planedEnds(jointed);
  if (planed.length === 0) return [];
  return [
    {
      columns: [
        { head: 'scarfs to plane' },
        { head: 'how many' },
        { head: 'which end' },
        { head: 'face up' },
        { head: `length, ${unitLabel(notation)}`, isFigure: true },
      ],
      rows: planed.map(({ piece, end, up, lengthMm, isPair }) => [
        ...[piece, isPair ? '1 port, 1 starboard' : '1', end === 'fore' ? 'fore end' : 'after end', up],
        formatFine(lengthMm, notation),
      ]),
    },
  ];
}

const jointsTable = (jointed: readonly JointedPanel[], notation: Notation): SheetTable => ({
  columns: [
    { head: `panel, in ${unitLabel(notation)}` },
    { head: 'joint' },
    ...['middle', 'from', 'to', 'depth there', 'length lost'].map((head) => ({ head, isFigure: true })),
  ],
  rows: jointed.flatMap(({ name, joints }) =>
    joints.map(({ u, kind, width, lap, depth }, i) => [
      ...[name, `${i + 1}: ${KIND_WORDS[kind]}`],
      ...[u, u - width / 2, u + width / 2, depth, lap].map((mm) => formatFine(mm, notation)),
    ]),
  ),
});
