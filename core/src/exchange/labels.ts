/**
 * Labels to print, cut out and stick on parts: what it is, its hand, the face that is up, which way is forward, its
 * stations, boat and revision, and a square that a telephone reads and the shop view opens.
 *
 * The square's fields are drawn as strokes as broad as a field is high. Where nobody says at what address the
 * application is, the square holds the label's words instead.
 */
import { encode } from 'uqr';
import { at, boundsOf, type Vec2 } from '../geometry';
import {
  forwardArrow,
  innerBox,
  LETTER_MM,
  merged,
  pageOnItsSide,
  sheetLine,
  sheetsOf,
  sheetText,
  wrapped,
  type Content,
  type DrawnPath,
  type PaperSheets,
} from '../formats';
import { stationMarks } from '../panels';
import type { Project, Whole } from '../project';
import type { CutPart } from '../sheets';

const LABEL = { width: 64, height: 38, between: 1.5, margin: 3 } as const;
/** Of the square: a field's breadth, and so of the strokes. */
const FIELD_MM = 0.7;
const LINE_MM = 4.4;

type Hand = 'port' | 'starboard';
type Labelled = { readonly part: CutPart; readonly hand?: Hand };

/** Undefined where nothing is cut. */
export function partLabels(whole: Whole<Project>, home: string | undefined): PaperSheets | undefined {
  const labelled = whole.values.sheets.parts.flatMap(handsOf);
  if (labelled.length === 0) return undefined;
  const inner = innerBox(pageOnItsSide(whole.sheetHead.paper));
  const across = Math.floor((inner.maxX - inner.minX + LABEL.between) / (LABEL.width + LABEL.between));
  const high = Math.floor((inner.maxY - inner.minY + LABEL.between) / (LABEL.height + LABEL.between));
  const count = Math.ceil(labelled.length / (across * high));
  const pages = Array.from({ length: count }, (_, k) =>
    merged(
      ...labelled.slice(k * across * high, (k + 1) * across * high).map((one, i) => {
        const corner: Vec2 = [
          inner.minX + (i % across) * (LABEL.width + LABEL.between),
          inner.maxY - Math.floor(i / across) * (LABEL.height + LABEL.between) - LABEL.height,
        ];
        return labelAt(one, corner, whole, home);
      }),
    ),
  );
  const sheet = {
    ...{ name: 'labels', title: 'Labels to stick on parts', part: 'Labels', hand: 'one for every part' },
    ...{ material: 'to cut out and stick on', scale: 'no drawing' },
  };
  return sheetsOf(whole.sheetHead, sheet, pages);
}

const handsOf = (part: CutPart): Labelled[] =>
  part.isPair
    ? [
        { part, hand: 'starboard' },
        { part, hand: 'port' },
      ]
    : [{ part, ...(part.isPort && { hand: 'port' }) }];

function labelAt({ part, hand }: Labelled, [x, y]: Vec2, whole: Whole<Project>, home: string | undefined): Content {
  const { project } = whole;
  const square = squareFor(askedOf({ part, ...(hand && { hand }) }, whole), project, home);
  const left = x + LABEL.width - LABEL.margin - square.size;
  const room = left - x - 2 * LABEL.margin;
  const lines = [
    { text: part.name, heightMm: LETTER_MM + 0.6 },
    ...[hand ?? '', faceOf(part, whole), stationsOf(part, whole), `${project.name}, rev ${project.revision}`]
      .filter((text) => text !== '')
      .map((text) => ({ text, heightMm: LETTER_MM })),
  ].flatMap(({ text, heightMm }) => wrapped(text, room, heightMm).map((line) => ({ text: line, heightMm })));
  // what does not fit under the name stands first, the least needed last
  const fitting = lines.slice(0, Math.floor((LABEL.height - 2 * LABEL.margin - FORE_MM) / LINE_MM));
  const top = y + LABEL.height - LABEL.margin;
  const box: Vec2[] = [
    [x, y],
    [x + LABEL.width, y],
    [x + LABEL.width, y + LABEL.height],
    [x, y + LABEL.height],
  ];
  return merged(
    { paths: [sheetLine('construction', box, true), ...square.paths([left, y + LABEL.margin])], texts: [] },
    {
      paths: [],
      texts: fitting.map(({ text, heightMm }, i) =>
        sheetText([x + LABEL.margin, top - (i + 1) * LINE_MM + 1], text, { heightMm }),
      ),
    },
    // of what stands athwart the face says it
    ...(isAthwart(part.id, whole) ? [] : [forwardArrow([x + LABEL.margin, y + LABEL.margin])]),
  );
}

/** For the arrow and its word. */
const FORE_MM = 6;

/** What the shop view is asked for: a piece of a panel is marked out as that panel. */
const askedOf = ({ part, hand }: Labelled, { values }: Whole<Project>): string =>
  [panelOf(part.id, values)?.name ?? part.name, hand].filter(Boolean).join(', ');

/** The first that a label has room for as a square: the part, its boat, or nothing. */
const squareFor = (asked: string, project: Project, home: string | undefined): Square =>
  addressesOf(asked, project, home)
    .map(squareOf)
    .find(({ size }) => size <= LABEL.height - 2 * LABEL.margin) ?? NO_SQUARE;

function addressesOf(asked: string, { id, name, revision }: Project, home: string | undefined): string[] {
  if (home === undefined) return [`${name}, rev ${revision}, ${asked}`, `${name}, rev ${revision}`];
  const shop = `${home}/project/${encodeURIComponent(id)}/shop`;
  return [`${shop}?part=${encodeURIComponent(asked)}`, shop];
}

type Square = { readonly size: number; readonly paths: (corner: Vec2) => DrawnPath[] };

const NO_SQUARE: Square = { size: 0, paths: () => [] };

/** Runs of dark fields as strokes. */
function squareOf(words: string): Square {
  const { data, size } = encode(words, { ecc: 'L', border: 0 });
  return {
    size: size * FIELD_MM,
    paths: ([x, y]) =>
      data.flatMap((row, r) =>
        runsOf(row).map(([from, to]) => {
          const level = y + (size - r - 0.5) * FIELD_MM;
          return sheetLine('cut', [
            [x + from * FIELD_MM, level],
            [x + to * FIELD_MM, level],
          ]);
        }),
      ),
  };
}

const runsOf = (row: readonly boolean[]): (readonly [number, number])[] =>
  row.flatMap((isDark, i) => {
    if (!isDark || row[i - 1]) return [];
    const end = row.indexOf(false, i);
    return [[i, end < 0 ? row.length : end] as const];
  });

const FACES = { fore: 'forward face up', aft: 'after face up' } as const;

function faceOf({ id }: CutPart, { values }: Whole<Project>): string {
  if (panelOf(id, values)) return 'inside face up';
  const frame = values.frames.frames.find((one) => one.id === id);
  if (frame) return FACES[frame.face];
  return values.panels.transoms.some((one) => one.id === id) ? FACES.aft : '';
}

const isAthwart = (id: string, { values }: Whole<Project>): boolean =>
  [...values.frames.frames, ...values.panels.transoms].some((one) => one.id === id);

const panelOf = (id: string, { joints, panels }: Whole<Project>['values']) => {
  const joined = joints.find(({ pieces }) => pieces.some((piece) => piece.id === id));
  return joined && panels.panels.find((panel) => panel.id === joined.panel);
};

/** Those that cross it; only a piece of a panel has any. */
function stationsOf({ id, outline }: CutPart, { values }: Whole<Project>): string {
  const panel = panelOf(id, values);
  if (!panel) return '';
  const { minX, maxX } = boundsOf(outline);
  const on = stationMarks(panel, values.lines.stations)
    .filter(({ curve }) => curve.some(([u]) => u >= minX && u <= maxX))
    .map(({ label }) => label);
  if (on.length === 0) return '';
  return on.length === 1 ? `station ${at(on, 0)}` : `stations ${at(on, 0)} to ${at(on, -1)}`;
}
