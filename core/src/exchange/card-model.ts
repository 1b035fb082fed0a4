/**
 * A model of the hull to cut from card: every panel, transom and bulkhead at a scale, on as few pages as hold them.
 *
 * Card has no thickness worth counting, so panels are those of the lines themselves. Where an edge meets another it
 * gets tabs to glue by (or none, to be taped), on one of the two only, the transom's and bulkheads' on those; letters
 * say which edges meet. What is longer than a page is cut across where there is room, with a strip to glue the pieces
 * by. Pages are filled by the sheets stage's own nesting. Conventions: figures in mm of card; page coordinates run up
 * from the lower left corner.
 */
import {
  at,
  boundsOf,
  counterClockwise,
  distance2,
  intersectionOf,
  moved,
  pointAtLength,
  signedArea,
  simplify,
  unionOf,
  type Outline,
  type Vec2,
} from '../geometry';
import { plainOutline } from '../frames';
import { layFlat } from '../surface';
import { pointsBetween, sharedStretches, stationMarks, withFlat, type Panel, type Shared } from '../panels';
import type { Derived, Project } from '../project';
import { nest, placedOutline, type NestJob, type NestResult } from '../sheets';
import { pageOnItsSide, type Drawing, type DrawnPath, type DrawnText, type SheetPaper } from '../formats';

export type CardOptions = {
  /** Full size over model size. */
  readonly scale: number;
  readonly paper: SheetPaper;
  readonly edges: 'tabs' | 'tape';
};

type CardPart = {
  readonly id: string;
  readonly name: string;
  /** To cut: tabs and strips included. */
  readonly outline: Outline;
  /** To score and mark, open lines. */
  readonly marks: readonly (readonly Vec2[])[];
  readonly texts: readonly DrawnText[];
};

export type CardModel = {
  readonly pages: readonly Drawing[];
  readonly parts: readonly CardPart[];
  /** Names of parts that fit on no page. */
  readonly unplaced: readonly string[];
};

const CARD_SCALES = { least: 5, most: 20 } as const;
const PAGE_MARGIN_MM = 10;
const GAP_MM = 3;
const TAB_MM = { length: 18, depth: 5, gap: 2 } as const;
const STRIP_MM = 7;
const SMALL_TEXT_MM = 3;
/** Chords of the card's edges keep this near the curve. */
const CURVE_MM = 0.02;
const ROUNDS = 8;
/** The bar to lay a rule on. */
const BAR_MM = 50;

/** All parts on their pages. Throws a RangeError for a scale outside its range. */
export function cardModel(project: Project, derived: Derived, options: CardOptions): CardModel {
  if (!(options.scale >= CARD_SCALES.least && options.scale <= CARD_SCALES.most))
    throw new RangeError(`The scale is 1:${options.scale}; expected 1:${CARD_SCALES.least} to 1:${CARD_SCALES.most}.`);
  const parts = cardParts(derived, options);
  const { width, height } = pageOnItsSide(options.paper);
  const job: NestJob = {
    gap: GAP_MM,
    margin: PAGE_MARGIN_MM,
    sheets: [{ id: 'page', width, height, qty: parts.length }],
    parts: parts.map(({ id, outline }) => ({
      id,
      outline: outline.map(([x, y]): [number, number] => [x, y]),
      holes: [],
      qty: 1,
      rotations: [0, 90, 180, 270],
      mirror: false,
    })),
  };
  const result = parts.length > 0 ? nest(job, { seed: 1, rounds: ROUNDS }) : { sheets: [], unplaced: [] };
  const pages = result.sheets.map((sheet, i) =>
    pageOf(sheet, parts, {
      title:
        `${project.name} rev ${project.revision}, card model 1:${options.scale}, page ${i + 1} of ` +
        `${result.sheets.length}`,
    }),
  );
  return {
    pages,
    parts,
    unplaced: result.unplaced.map(({ part }) => parts.find(({ id }) => id === part)?.name ?? part),
  };
}

function cardParts(derived: Derived, options: CardOptions): CardPart[] {
  const { panels, transoms } = derived.panels.value;
  const { stations } = derived.lines.value;
  const page = pageOnItsSide(options.paper);
  const spare = 2 * PAGE_MARGIN_MM + 2 * TAB_MM.depth + STRIP_MM + 1;
  const room = { long: page.width - spare, high: page.height - spare };
  const seams = sharedStretches(panels);
  const skin = panels.flatMap((panel) => {
    const whole = withFlat(
      panel,
      layFlat(
        panel.rulings.map((r) => r.p),
        panel.rulings.map((r) => r.q),
      ),
    );
    const edges = edgesOf(panel, whole, seams);
    const starboard = panelPart(whole, { edges, stations, options });
    // the keel's tabs are on one hand only, the port side is glued to them
    const hands = panel.spansCentreline ? [starboard] : [withKeel(starboard, edges, options), otherHand(starboard)];
    return hands.flatMap((part) => inPieces(part, room));
  });
  const flat = [
    ...transoms.map(({ id, name, outline }) => ({ id: id as string, name, outline })),
    ...derived.frames.value.frames
      .filter(({ hand, isUnderSeam }) => hand === 'across' && !isUnderSeam)
      .map((frame) => ({ id: frame.id, name: frame.name, outline: plainOutline(frame) })),
  ].map(({ id, name, outline }): RawPart => {
    const edge = outline.map((p) => small(p, options.scale));
    const folds = options.edges === 'tabs' ? runsBelowTop(edge) : [];
    return { id, name, body: edge, tabs: folds.flatMap(tabsAlong), marks: folds, texts: [label(edge, name)] };
  });
  return [...skin, ...flat.flatMap((part) => inPieces(part, room))];
}

/** A corner that turns more than this ends a run of tabs. */
const CORNER_RAD = 0.35;

/**
 * The edges of a transom or bulkhead that lie against the skin, each with the part to the right of its run: all but the
 * top, which goes from starboard to port. Outlines run counter-clockwise.
 */
function runsBelowTop(outline: Outline): Vec2[][] {
  const top = outline.findIndex(([y], i) => y > 0 && at(outline, (i + 1) % outline.length)[0] < 0);
  const open = [...outline.slice(top + 1), ...outline.slice(0, top + 1)].reverse();
  const runs: Vec2[][] = [[at(open, 0)]];
  for (let i = 1; i < open.length; i++) {
    const here = at(open, i);
    at(runs, -1).push(here);
    const next = open[i + 1];
    if (next && turnAt(at(open, i - 1), here, next) > CORNER_RAD) runs.push([here]);
  }
  return runs;
}

function turnAt(a: Vec2, b: Vec2, c: Vec2): number {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}

/** A part before its tabs are joined on. */
type RawPart = {
  readonly id: string;
  readonly name: string;
  readonly body: Outline;
  readonly tabs: readonly Outline[];
  readonly marks: readonly (readonly Vec2[])[];
  readonly texts: readonly DrawnText[];
};

const small = ([x, y]: Vec2, scale: number): Vec2 => [x / scale, y / scale];

/**
 * A stretch of a panel's flat edge that it shares: with the panel above (a bottom across the centreline also to
 * port), with that below, or with its own mirror.
 */
type SharedEdge = {
  readonly kind: 'above' | 'port' | 'below' | 'keel';
  readonly letter: string;
  readonly points: Vec2[];
};

/** What of the panel's edges is glued to what; a seam of two panels has a letter, the same on both. */
function edgesOf(panel: Panel, whole: Panel, seams: readonly Shared[]): SharedEdge[] {
  const lettered = seams.filter(({ below }) => below);
  return seams.flatMap((seam): SharedEdge[] => {
    const own = seam.above.panel === panel ? seam.above : seam.below?.panel === panel ? seam.below : undefined;
    if (!own) return [];
    const kind = own === seam.below ? 'above' : seam.below ? 'below' : 'keel';
    const pointsOf = (end: 'P' | 'Q') =>
      pointsBetween({ ...own, panel: whole, end }, [seam.from, seam.to]).map(({ flat }) => flat);
    const letter = LETTERS[lettered.indexOf(seam)] ?? '';
    const port: SharedEdge[] = panel.spansCentreline ? [{ kind: 'port', letter, points: pointsOf('P') }] : [];
    return [{ kind, letter, points: pointsOf(own.end) }, ...port];
  });
}

type PanelPlace = {
  readonly edges: readonly SharedEdge[];
  readonly stations: readonly { label: string; x: number }[];
  readonly options: CardOptions;
};

function panelPart(panel: Panel, { edges, stations, options }: PanelPlace): RawPart {
  const shrink = (points: readonly Vec2[]) => points.map((p) => small(p, options.scale));
  const body = shrink(panel.outline);
  const drawn = edges.map((edge) => ({ ...edge, points: simplify(shrink(edge.points), CURVE_MM) }));
  // each with the part to the right of its run
  const glued = drawn.flatMap(({ kind, points }) =>
    kind === 'above' ? [points] : kind === 'port' ? [[...points].reverse()] : [],
  );
  const marks = stationMarks(panel, stations);
  const letters = drawn
    .filter(({ kind }) => kind !== 'keel')
    .map(({ kind, letter, points }) => edgeText(points, letter, kind === 'above' ? -1 : 1));
  return {
    id: panel.id,
    name: panel.name,
    body,
    tabs: options.edges === 'tabs' ? glued.flatMap(tabsAlong) : [],
    marks: [...marks.map(({ curve }) => shrink(curve)), ...(options.edges === 'tabs' ? glued : [])],
    texts: [
      label(body, panel.spansCentreline ? panel.name : `${panel.name}, starboard`),
      foreText(body),
      ...letters,
      ...marks.map(({ label: text, curve }): DrawnText => ({
        at: small(at(curve, 0), options.scale),
        heightMm: SMALL_TEXT_MM * 0.8,
        text,
      })),
    ],
  };
}

/** With tabs where an edge lies on the centreline. */
function withKeel(part: RawPart, edges: readonly SharedEdge[], options: CardOptions): RawPart {
  const keels = edges
    .filter(({ kind }) => kind === 'keel')
    .map(({ points }) =>
      simplify(
        points.map((p) => small(p, options.scale)),
        CURVE_MM,
      ),
    );
  if (options.edges !== 'tabs') return part;
  const tabs = keels.flatMap((keel) => tabsAlong([...keel].reverse()));
  return { ...part, tabs: [...part.tabs, ...tabs], marks: [...part.marks, ...keels] };
}

const LETTERS = 'abcdefgh';

/** Turned over: its mirror, seen from the same side. */
function otherHand(part: RawPart): RawPart {
  const over = (points: readonly Vec2[]) => points.map(([x, y]): Vec2 => [x, -y]);
  return {
    id: `${part.id}.port`,
    name: `${part.name}, port`,
    body: over(part.body),
    tabs: part.tabs.map(over),
    marks: part.marks.map(over),
    texts: part.texts.map((text) => ({
      ...text,
      at: [text.at[0], -text.at[1]],
      text: text.text.replace('starboard', 'port'),
    })),
  };
}

const label = (outline: Outline, text: string): DrawnText => {
  const box = boundsOf(outline);
  return {
    at: [(box.minX + box.maxX) / 2 - text.length * 0.9, (box.minY + box.maxY) / 2],
    heightMm: SMALL_TEXT_MM,
    text,
  };
};

const foreText = (outline: Outline): DrawnText => {
  const box = boundsOf(outline);
  return {
    at: [box.minX + 0.08 * (box.maxX - box.minX), (box.minY + box.maxY) / 2],
    heightMm: SMALL_TEXT_MM * 0.8,
    text: 'FORE',
  };
};

/** The letter of a seam, just inside its edge. */
const edgeText = (edge: readonly Vec2[], text: string, side: 1 | -1): DrawnText => {
  const [x, y] = at(edge, Math.floor(edge.length / 2));
  return { at: [x + 4, y + (side === 1 ? 1.5 : -1.5 - SMALL_TEXT_MM)], heightMm: SMALL_TEXT_MM, text };
};

/**
 * Tabs outside an edge that has the part to the right of its run from forward aft: wide at the edge, narrower
 * outside.
 */
function tabsAlong(edge: readonly Vec2[]): Outline[] {
  const total = edge.slice(1).reduce((sum, p, i) => sum + distance2(p, at(edge, i)), 0);
  const count = Math.max(Math.floor(total / (TAB_MM.length + TAB_MM.gap)), total > LEAST_TAB_MM ? 1 : 0);
  const pitch = total / Math.max(count, 1);
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [
      pointAtLength(edge, i * pitch + TAB_MM.gap / 2),
      pointAtLength(edge, (i + 1) * pitch - TAB_MM.gap / 2),
    ];
    const length = distance2(a, b);
    const [ex, ey] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    const place = (from: Vec2, along: number, out: number): Vec2 => [
      from[0] + along * ex - out * ey,
      from[1] + along * ey + out * ex,
    ];
    const d = TAB_MM.depth;
    // a hair inside the part, so that the two make one outline on a hollow edge too
    return [place(a, 0, -SINK_MM), place(b, 0, -SINK_MM), place(b, -d * 0.7, d), place(a, d * 0.7, d)];
  });
}

const SINK_MM = 0.6;
/** A shorter edge has no tab: what is next to it holds it. */
const LEAST_TAB_MM = 12;

/** A part that is too long is cut across into equal lengths, all but the last with a strip under the joint. */
function inPieces(part: RawPart, room: { readonly long: number; readonly high: number }): CardPart[] {
  const box = boundsOf(part.body);
  // what is higher than a page lies across it
  const longest = box.maxY - box.minY > room.high ? room.high : room.long;
  const count = Math.ceil((box.maxX - box.minX) / longest);
  if (count <= 1) return [finished(part)];
  const step = (box.maxX - box.minX) / count;
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [box.minX + i * step, box.minX + (i + 1) * step];
    const isLast = i === count - 1;
    const cut = (outline: Outline, x0: number, x1: number): Outline[] => intersectionOf([outline], [band(box, x0, x1)]);
    const [own] = cut(part.body, from - (i === 0 ? 1 : 0), to + (isLast ? 1 : 0));
    const strips = isLast ? [] : cut(part.body, to - SINK_MM, to + STRIP_MM).map((strip) => narrowed(strip));
    const isOwn = (points: readonly Vec2[]) => points.every(([x]) => x >= from - SINK_MM && x <= to + SINK_MM);
    return finished({
      id: `${part.id}.${i + 1}`,
      name: `${part.name}, piece ${i + 1} of ${count}`,
      body: own ?? part.body,
      tabs: [...part.tabs.flatMap((tab) => cut(tab, from, to)), ...strips],
      marks: [
        ...part.marks.flatMap((mark) => (isOwn(mark) ? [mark] : within(mark, from, to))),
        ...(isLast || !own ? [] : [upright(own, to - 0.01)]),
      ],
      texts: [
        ...part.texts.filter(({ at: [x] }) => x >= from && x < to),
        ...(i === 0
          ? []
          : [
              {
                at: [from + 2, (box.minY + box.maxY) / 2] as const,
                heightMm: SMALL_TEXT_MM * 0.8,
                text: `${part.name} ${i + 1}`,
              },
            ]),
      ],
    });
  });
}

const band = (box: ReturnType<typeof boundsOf>, x0: number, x1: number): Outline => [
  [x0, box.minY - 50],
  [x1, box.minY - 50],
  [x1, box.maxY + 50],
  [x0, box.maxY + 50],
];

/** A glue strip a little narrower than the part, so that it does not show past the edge. */
function narrowed(strip: Outline): Outline {
  const box = boundsOf(strip);
  const middle = (box.minY + box.maxY) / 2;
  return strip.map(([x, y]): Vec2 => [x, middle + (y - middle) * (x > box.minX + SINK_MM * 1.5 ? 0.88 : 1)]);
}

/** The stretches of an open line between two x. */
function within(line: readonly Vec2[], from: number, to: number): Vec2[][] {
  const inside = line.filter(([x]) => x >= from && x <= to);
  return inside.length > 1 ? [inside] : [];
}

function upright(outline: Outline, x: number): Vec2[] {
  const ys = outline.filter((p) => Math.abs(p[0] - x) < 0.5).map((p) => p[1]);
  return ys.length > 1
    ? [
        [x, Math.min(...ys)],
        [x, Math.max(...ys)],
      ]
    : [];
}

/** Tabs joined on; the largest outline is the part. */
function finished({ id, name, body, tabs, marks, texts }: RawPart): CardPart {
  const joined = tabs.length > 0 ? unionOf([body, ...tabs]) : [body];
  const [outline] = [...joined].sort((a, b) => Math.abs(signedArea(b)) - Math.abs(signedArea(a)));
  const closed = counterClockwise(outline ?? body);
  const middle = Math.floor(closed.length / 2);
  const first = simplify(closed.slice(0, middle + 1), CURVE_MM);
  const second = simplify([...closed.slice(middle), at(closed, 0)], CURVE_MM);
  return {
    id,
    name,
    outline: [...first.slice(0, -1), ...second.slice(0, -1)],
    marks: marks.filter((mark) => mark.length > 1),
    texts,
  };
}

function pageOf(
  sheet: NestResult['sheets'][number],
  parts: readonly CardPart[],
  { title }: { readonly title: string },
): Drawing {
  const paths: DrawnPath[] = [];
  const texts: DrawnText[] = [
    {
      at: [PAGE_MARGIN_MM + BAR_MM + 6, 4],
      heightMm: SMALL_TEXT_MM,
      text: `${title}; the bar is ${BAR_MM} mm: print at 100 %`,
    },
  ];
  for (const placement of sheet.placements) {
    const part = parts.find(({ id }) => id === placement.part);
    if (!part) continue;
    const put = (points: readonly Vec2[]): Outline => placedOutline(points, placement);
    paths.push({ layer: 'cut', points: put(part.outline), isClosed: true });
    for (const mark of part.marks) paths.push({ layer: 'mark', points: put(mark), isClosed: false });
    for (const text of part.texts) texts.push({ ...text, at: at(put([text.at]), 0) });
  }
  paths.push({
    layer: 'mark',
    points: moved(
      [
        [0, 0],
        [BAR_MM, 0],
      ],
      PAGE_MARGIN_MM,
      4,
    ),
    isClosed: false,
  });
  return { name: title, paths, texts };
}
