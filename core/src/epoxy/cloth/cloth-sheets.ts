/** Glass on paper: the roll with its lengths, what tape is cut, and where it lies on each flat panel. */
import {
  checkLength,
  csv,
  innerBox,
  lengthCell,
  lengthHead,
  lineKey,
  merged,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  viewOn,
  type Content,
  type ExportTable,
  type LabelBox,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
  type SheetView,
} from '../../formats';
import {
  at,
  boundsOf,
  boxOutline,
  contains,
  distance2,
  pointAtLength,
  polylineLength,
  runsInside,
  simplify,
  type Vec2,
} from '../../geometry';
import { formatFine, formatRun, formatWithUnit, unitLabel, type Notation } from '../../measure';
import type { Panel } from '../../panels';
import { LAYERS_APART } from '../constants';
import { width } from '../from-words';
import { gluedAreas, type GluedArea, type GluedTo } from '../glued-areas';
import type { EpoxyPart } from '../schema';
import type { Takeoff } from '../takeoff';
import { zoneEdges, zonesOn, type Zone } from '../zones';
import { clothOf, type ClothWhole, type LaidCloth } from './cloth';

export type GlassWhole = ClothWhole & {
  readonly project: { readonly notation: Notation; readonly panels: { readonly thickness: number } };
  readonly values: { readonly epoxy: Takeoff; readonly frames: GluedTo };
};

/** For the key of the lines, under the drawing. */
const FOOT_MM = 18;
const KEY_MM = 11;
const BETWEEN_MM = 6;
/** On paper, at any scale that a panel is drawn to, nobody sees so little. */
const ROUGH_MM = 0.5;

export function glassSheets(whole: GlassWhole, head: SheetHead): PaperSheets[] {
  const { project, values } = whole;
  const { glass } = project.epoxy;
  const inner = innerBox(pageOnItsSide(head.paper));
  const cloth = clothOf(whole);
  const tapes = [tapeTable(values.epoxy, head.notation)].filter(({ rows }) => rows.length > 0);
  const pages = [
    ...(cloth ? rollPages(cloth, glass, { head, inner, tapes }) : tablePages(tapes, { first: inner, later: inner })),
    ...values.panels.panels.flatMap((panel) => zonePage(panel, whole, { head, inner })),
  ];
  if (pages.length === 0) return [];
  const sheet = {
    ...{ name: 'glass-sheet', title: 'Glass to cut, to print', part: 'Glass to cut', hand: 'both sides' },
    material: `cloth ${glass.clothKind}, tape ${glass.tapeKind}`,
    scale: 'as each page says',
  };
  return [sheetsOf(head, sheet, pages)];
}

type On = { readonly head: SheetHead; readonly inner: LabelBox };

type OnRoll = On & { readonly tapes: readonly SheetTable[] };

function rollPages(
  cloth: LaidCloth,
  { clothWidth: rollWide, trim: trimMm }: EpoxyPart['glass'],
  { head, inner, tapes }: OnRoll,
): Content[] {
  const { notation } = head;
  const view: SheetView = {
    paths: [
      { kind: 'edge', points: boxOutline({ minX: 0, minY: 0, maxX: cloth.rollMm, maxY: rollWide }), isClosed: true },
      ...cloth.cuts.map(({ outline }) => ({ kind: 'cut' as const, points: outline, isClosed: true })),
    ],
    texts: cloth.cuts.map(({ outline }, k) => ({ at: middleOf(outline), text: String(k + 1), align: 'center' })),
  };
  const key = (scale: string) =>
    [
      ['edge', `the roll, its warp along it; ${scale}`],
      ['cut', trimMm > 0 ? `cut, ${formatWithUnit(trimMm, notation)} over the edge all round` : 'cut, to the edge'],
    ] as const;
  return drawnPages(view, { head, inner, tables: [rollTable(cloth, notation), ...tapes], key });
}

type Drawn = On & {
  readonly tables: readonly SheetTable[];
  /** Told the scale. */
  readonly key: (scale: string) => Parameters<typeof lineKey>[0];
};

/** A drawing to scale with its tables under it, the key of its lines and a length to check the print by. */
function drawnPages(view: SheetView, { head: { notation }, inner, tables, key }: Drawn): Content[] {
  const room = { ...inner, minY: inner.minY + FOOT_MM };
  const drawn = viewOn(view, { room, notation });
  const under = { ...room, maxY: drawn.foot - BETWEEN_MM };
  const [first, ...more] = tablePages(tables, { first: under, later: inner });
  const foot = [
    lineKey(key(drawn.scale.words), [inner.minX, inner.minY + KEY_MM]),
    checkLength([inner.maxX, inner.minY + KEY_MM / 2], notation),
  ];
  return [merged(drawn, ...(first ? [first] : []), ...foot), ...more];
}

function middleOf(outline: Panel['outline']) {
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  return [(minX + maxX) / 2, (minY + maxY) / 2] as const;
}

/** Beside the middle of a tape, clear of its edge, on the side of the panel’s middle. */
function beside({ line, widthMm }: Pick<Zone, 'line' | 'widthMm'>, middle: Vec2): Vec2 {
  const [x, y] = pointAtLength(line, polylineLength(line) / 2);
  const [from, to] = [at(line, 0), at(line, -1)];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const long = Math.hypot(dx, dy);
  if (long === 0) return [x, y];
  const [nx, ny] = [-dy / long, dx / long];
  const by = (nx * (middle[0] - x) + ny * (middle[1] - y) < 0 ? -1 : 1) * widthMm;
  return [x + by * nx, y + by * ny];
}

/** From where to where off the roll each length is cut, and how wide. */
const rollTable = ({ cuts }: LaidCloth, notation: Notation): SheetTable => ({
  columns: [
    { head: '' },
    { head: `cloth for, in ${unitLabel(notation)}` },
    ...['from the end', 'to', 'from the lower edge', 'to'].map((head) => ({ head, isFigure: true })),
  ],
  rows: cuts.map(({ name, outline }, k) => {
    const { minX, minY, maxX, maxY } = boundsOf(outline);
    return [String(k + 1), name, ...[minX, maxX, minY, maxY].map((mm) => formatFine(Math.max(0, mm), notation))];
  }),
});

/** Seam by seam, all layers, and how far apart the ends of one are from those of the next. */
function tapeTable({ lines }: Takeoff, notation: Notation): SheetTable {
  const rows = lines.flatMap(({ item, from }): string[][] => {
    if (from.kind === 'tabs')
      return [[item, `${from.count} tabs`, width(from.width, notation), width(from.length, notation)]];
    if (from.kind !== 'tape') return [];
    const widths = from.widths.map((wide) => width(wide, notation)).join(' + ');
    return [[item, from.side, widths, formatRun(from.length / 1000, notation)]];
  });
  const hasLayers = lines.some(({ from }) => from.kind === 'tape' && from.widths.length > 1);
  const apart = `ends of layers ${formatWithUnit(LAYERS_APART.value, notation)} apart`;
  return {
    columns: [
      { head: 'tape for' },
      { head: 'side' },
      { head: hasLayers ? `widths, lowest first; ${apart}` : 'width' },
      { head: 'of each', isFigure: true },
    ],
    rows,
  };
}

/** Of hatching, along what is hatched: 4 mm on paper at a twentieth. */
const HATCH_MM = 80;

/** From one side to the other, aslant. */
function hatched([one, other]: GluedArea['sides']): Vec2[][] {
  const [long, far] = [polylineLength(one), polylineLength(other)];
  const wide = distance2(at(one, 0), at(other, 0));
  const count = Math.floor((long - wide) / HATCH_MM);
  return Array.from({ length: Math.max(0, count) }, (_, k) => {
    const from = (k + 0.5) * HATCH_MM;
    return [pointAtLength(one, from), pointAtLength(other, ((from + wide) / long) * far)];
  });
}

/** A panel as it lies flat, with the edges of its tapes. */
function zonePage(panel: Panel, { project, values }: GlassWhole, { head, inner }: On): Content[] {
  const zones = zonesOn(panel, values.epoxy.seams, project.epoxy, project.panels.thickness);
  const isUnderCloth = values.epoxy.sheathed.includes(panel.id);
  const glued = gluedAreas(panel, values.frames);
  if (zones.length === 0 && !isUnderCloth && glued.length === 0) return [];
  const { notation } = head;
  const laid = (n: number, side: string) => (n === 0 ? '' : `${n} ${side}`);
  const { outline } = panel;
  const rough = simplify(outline, ROUGH_MM);
  const isOn = (p: Vec2) => contains(rough, p);
  const middle = middleOf(outline);
  const view: SheetView = {
    paths: [
      { kind: 'cut', points: outline, isClosed: true },
      ...glued.flatMap(({ outline: area, sides }) => [
        { kind: 'construction' as const, points: area, isClosed: true },
        ...hatched(sides).map((points) => ({ kind: 'construction' as const, points })),
      ]),
      // half of a tape in a corner lies on the panel beside it
      ...zones
        .flatMap(zoneEdges)
        .flatMap((edge) => runsInside(simplify(edge, ROUGH_MM), rough, isOn))
        .map((points) => ({ kind: 'mark' as const, points })),
    ],
    texts: zones.map((zone, k) => ({
      ...{ at: beside(zone, middle), text: String(k + 1), align: 'center' },
    })),
  };
  const table: SheetTable = {
    columns: [
      { head: '' },
      { head: `${panel.name}${isUnderCloth ? ', cloth outside' : ''}: tape for` },
      { head: 'from the corner', isFigure: true },
      { head: 'layers' },
    ],
    rows: zones.map(({ name, widthMm, layers }, k) => [
      ...[String(k + 1), name, width(widthMm / 2, notation)],
      [laid(layers.inside, 'inside'), laid(layers.outside, 'outside')].filter((words) => words !== '').join(', '),
    ]),
  };
  const key = (scale: string) =>
    [
      ['cut', `edge of the panel; ${scale}`],
      ['mark', 'edges and middle of a tape'],
      ...(glued.length > 0 ? ([['construction', 'hatched: glued; stays bare when it is sealed flat']] as const) : []),
    ] as const;
  return drawnPages(view, { head, inner, tables: [table], key });
}

/** What is cut off the roll, as a table; none where nothing is laid out. */
export function clothTables(whole: GlassWhole): ExportTable[] {
  const cloth = clothOf(whole);
  if (!cloth) return [];
  const { notation } = whole.project;
  const heads = ['from_end', 'to', 'from_lower_edge', 'to_above'].map((name) => lengthHead(name, notation));
  const rows = cloth.cuts.map(({ name, outline }) => {
    const { minX, minY, maxX, maxY } = boundsOf(outline);
    return [name, ...[minX, maxX, minY, maxY].map((mm) => lengthCell(Math.max(0, mm), notation))];
  });
  const title = `Cloth to cut, ${formatWithUnit(whole.project.epoxy.glass.clothWidth, notation)} wide`;
  return [{ name: 'cloth-cuts', title, csv: csv(['cloth_for', ...heads], rows) }];
}
