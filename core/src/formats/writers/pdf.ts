/**
 * Writes a drawing as PDF at true size: on one page as large as it needs, or on pages to join; and sheets drawn
 * already.
 *
 * Conventions: millimetres; PDF pages run downwards here. On one page a square of 100 mm stands under the drawing, and
 * beside it what the drawing is of, in letters to be read across a bench; a part has its dimensions over all.
 * On pages to join, the first is their map,
 * with the square on each page that follows: a printer that scales gives itself away. Words that a page's edge would
 * cut off are moved within it.
 * Limits: a PDF page is at most 14,400 units a side; a longer drawing on one page is written in larger units (some
 * viewers show such a page small but print it right). For letters see ../letters.ts.
 */
import { jsPDF } from 'jspdf';
import type { Vec2 } from '../../geometry';
import type { Notation } from '../../measure';
import { drawingBounds, type Drawing, type DrawnPath, type DrawnText } from '../drawing';
import { settled, textBox, type LabelBox } from '../labels';
import { latin, shortened, wrapped } from '../letters';
import { withOverall } from '../overall';
import { LINE_MM } from '../sheet';
import {
  OVERLAP_MM,
  planTiles,
  TILE_BAND_MM,
  TILE_MARGIN_MM,
  type Tile,
  type TileLayout,
  type TilePlan,
} from '../tiles';

/** What full-size pages say besides the drawing's own words. */
export type PdfHead = {
  readonly boat: string;
  readonly revision: number;
  readonly unit: string;
  /** In which dimensions are written. */
  readonly notation: Notation;
  /** What a printer is checked by: a side of the square, and that in words. */
  readonly square: { readonly mm: number; readonly words: string };
  /** The day of printing; empty where nobody says. */
  readonly date: string;
};

const BORDER_MM = 20;
/** For the square. */
const CHECK_MM = 102;
/** Of what a full-size page says. */
const TITLE_MM = 12;
const TITLE_STEP_MM = 17;
/** A title's lines are at least so long before they are broken. */
const TITLE_WIDE_MM = 480;
const NOTE_MM = 3.2;
const NOTE_STEP_MM = 4.4;
/** 14,400 points of 1/72 in. */
const LONGEST_PAGE_MM = 5080;
const POINTS_PER_MM = 72 / 25.4;

/** Fixed, so that the same drawing gives the same file. */
const NO_DATE = "D:20000101000000+00'00'";

/** Where one turns to in a file of many pages; pages count from 1. */
export type PageMarks = {
  /** In the reader's list; those of level 1 stand under the last of level 0. */
  readonly titles: readonly { readonly title: string; readonly page: number; readonly level: 0 | 1 }[];
  /** Places of a page that lead to another; y up from its foot. */
  readonly links: readonly { readonly page: number; readonly box: LabelBox; readonly to: number }[];
};

/** Pages that are drawn already, each with its lower left corner at (0, 0). */
export function writePages(
  title: string,
  pages: readonly Drawing[],
  size: { width: number; height: number },
  marks: PageMarks = { titles: [], links: [] },
): Uint8Array {
  const format = [size.width, size.height] as const;
  const doc = startDocument(title, format);
  pages.forEach((page, i) => {
    if (i > 0) nextPage(doc, size);
    drawAll({ doc, left: 0, top: size.height, unitMm: 1 }, page);
    for (const { box, to } of marks.links.filter((link) => link.page === i + 1))
      doc.link(box.minX, size.height - box.maxY, box.maxX - box.minX, box.maxY - box.minY, { pageNumber: to });
  });
  let over: unknown = null; // the list's own top
  for (const { title: words, page, level } of marks.titles) {
    const item: unknown = doc.outline.add(level === 0 ? null : over, latin(words), { pageNumber: page });
    if (level === 0) over = item;
  }
  return new Uint8Array(doc.output('arraybuffer'));
}

const nextPage = (doc: jsPDF, { width, height }: { readonly width: number; readonly height: number }) =>
  doc.addPage([width, height], width > height ? 'landscape' : 'portrait');

/** Where the page's top left corner is in the drawing, and one unit of the page in mm. */
type Pen = { readonly doc: jsPDF; readonly left: number; readonly top: number; readonly unitMm: number };

/** What of a drawing goes on paper. */
const onPaper = (drawing: Drawing): Drawing => ({
  ...drawing,
  paths: drawing.paths.filter(({ only }) => only !== 'files'),
  texts: drawing.texts.filter(({ only }) => only !== 'files'),
});

/** The whole drawing on one page. */
export function writePdf(whole: Drawing, head: PdfHead): Uint8Array {
  const drawing = withOverall(onPaper(whole), head.notation);
  const texts = settled(drawing.texts);
  const box = boundsWith(drawing, texts);
  const across = Math.max(box.maxX - box.minX, CHECK_MM + BORDER_MM + TITLE_WIDE_MM);
  const words = titleLines(drawing, head).flatMap((line) => wrapped(line, across - CHECK_MM - BORDER_MM, TITLE_MM));
  const low = Math.max(CHECK_MM, words.length * TITLE_STEP_MM);
  const [width, height] = [across + 2 * BORDER_MM, box.maxY - box.minY + low + 3 * BORDER_MM];
  const unitMm = Math.ceil(Math.max(width, height) / LONGEST_PAGE_MM);
  const doc = startDocument(drawing.name, [width / unitMm, height / unitMm], unitMm);
  const pen = { doc, left: box.minX - BORDER_MM, top: box.maxY + BORDER_MM, unitMm };
  const foot = box.minY - BORDER_MM;
  const title = words.map((text, i): DrawnText => ({
    ...{ text, heightMm: TITLE_MM },
    at: [box.minX + CHECK_MM + BORDER_MM, foot - TITLE_MM - i * TITLE_STEP_MM],
  }));
  drawAll(pen, { ...drawing, texts: [...texts, ...title] });
  checkSquare(pen, [box.minX, foot - CHECK_MM], head.square.mm);
  return new Uint8Array(doc.output('arraybuffer'));
}

const titleLines = (drawing: Drawing, { boat, revision, unit, date, square }: PdfHead): string[] => [
  `${boat}, rev ${revision}`,
  [drawing.title ?? drawing.name, drawing.hand].filter(Boolean).join(', '),
  ...(drawing.material === undefined ? [] : [drawing.material]),
  ['full size', `figures in ${unit}`, date, 'sheet 1 of 1'].filter(Boolean).join('; '),
  `thick line: cut; thin line: mark; the square is ${square.words} each way`,
];

function boundsWith(drawing: Drawing, texts: readonly DrawnText[]) {
  const boxes = [drawingBounds(drawing), ...texts.map(textBox)];
  return {
    minX: Math.min(...boxes.map(({ minX }) => minX)),
    maxX: Math.max(...boxes.map(({ maxX }) => maxX)),
    minY: Math.min(...boxes.map(({ minY }) => minY)),
    maxY: Math.max(...boxes.map(({ maxY }) => maxY)),
  };
}

function startDocument(title: string, [width, height]: readonly [number, number], userUnit = 1): jsPDF {
  const doc = new jsPDF({
    unit: 'mm',
    format: [width, height],
    orientation: width > height ? 'landscape' : 'portrait',
    compress: true,
    ...(userUnit > 1 ? { userUnit } : {}),
  });
  doc.setProperties({ title: latin(title), creator: 'Kalotrope' });
  doc.setCreationDate(NO_DATE);
  doc.setFileId('0'.repeat(32));
  doc.setFont('helvetica', 'normal');
  doc.setDrawColor('#000000');
  doc.setTextColor('#000000');
  return doc;
}

function drawAll(pen: Pen, drawing: Drawing): void {
  drawPaths(pen, drawing.paths);
  drawTexts(pen, drawing.texts);
}

function drawPaths({ doc, left, top, unitMm }: Pen, paths: readonly DrawnPath[]): void {
  const place = ([x, y]: Vec2): Vec2 => [(x - left) / unitMm, (top - y) / unitMm];
  for (const { layer, points, isClosed, widthMm = LINE_MM[layer] } of paths) {
    if (points.length < 2) continue;
    doc.setLineWidth(widthMm / unitMm);
    points.forEach((point, i) => (i === 0 ? doc.moveTo(...place(point)) : doc.lineTo(...place(point))));
    if (isClosed) doc.close();
    doc.stroke();
  }
}

function drawTexts({ doc, left, top, unitMm }: Pen, texts: readonly DrawnText[]): void {
  for (const { at, heightMm, text, align } of texts) {
    doc.setFontSize((heightMm / unitMm) * POINTS_PER_MM);
    doc.text(latin(text), (at[0] - left) / unitMm, (top - at[1]) / unitMm, { align: align ?? 'left' });
  }
}

/** Its low left corner in the drawing. */
function checkSquare({ doc, left, top, unitMm }: Pen, [x, y]: Vec2, mm: number): void {
  doc.setLineWidth(LINE_MM.construction / unitMm);
  const side = mm / unitMm;
  doc.rect((x - left) / unitMm, (top - y) / unitMm - side, side, side, 'S');
}

/** The drawing on pages to join, after a map of them. */
export function writeTiles(whole: Drawing, layout: TileLayout, head: PdfHead): Uint8Array {
  const drawing = onPaper(whole);
  const plan = planTiles(drawing, layout);
  const doc = startDocument(drawing.name, [plan.page.width, plan.page.height]);
  const count = plan.tiles.length;
  const name = `${head.boat}, rev ${head.revision}: ${titleLines(drawing, head)[1] ?? ''}`;
  const more = ['full size', `figures in ${head.unit}`, head.date].filter(Boolean).join('; ');
  pageMap(doc, drawing, plan);
  band(doc, plan, [name, `map of ${count} ${count === 1 ? 'page' : 'pages'}; ${more}`]);
  const homes = homesOf(settled(drawing.texts), plan);
  plan.tiles.forEach((tile, i) => {
    nextPage(doc, plan.page);
    drawTile(doc, drawing, plan, { tile, texts: homes[i] ?? [], squareMm: head.square.mm });
    const where = `page ${i + 1} of ${count}, column ${tile.column + 1}, row ${tile.row + 1} from below`;
    band(doc, plan, [name, `${where}; ${more}; lay cross on cross; the square is ${head.square.words} each way`]);
  });
  return new Uint8Array(doc.output('arraybuffer'));
}

/** Two lines under the frame. */
function band(doc: jsPDF, { page }: TilePlan, lines: readonly string[]): void {
  doc.setFontSize(NOTE_MM * POINTS_PER_MM);
  lines.forEach((line, i) => {
    const y = page.height - TILE_MARGIN_MM - TILE_BAND_MM + (i + 1) * NOTE_STEP_MM;
    doc.text(latin(shortened(line, page.width - 2 * TILE_MARGIN_MM, NOTE_MM)), TILE_MARGIN_MM, y);
  });
}

/** The words of each page: those that it shows whole, and those that no page does, moved onto the one they begin on. */
function homesOf(texts: readonly DrawnText[], { tiles, frame }: TilePlan): DrawnText[][] {
  const rooms = tiles.map(({ x, y }) => ({ minX: x, maxX: x + frame.width, minY: y, maxY: y + frame.height }));
  const homes = tiles.map((): DrawnText[] => []);
  for (const text of texts) {
    const box = textBox(text);
    const holds = rooms.map(
      (room) => box.minX >= room.minX && box.maxX <= room.maxX && box.minY >= room.minY && box.maxY <= room.maxY,
    );
    holds.forEach((isHeld, i) => isHeld && homes[i]?.push(text));
    if (holds.includes(true)) continue;
    const middle = (box.minY + box.maxY) / 2;
    const i = rooms.findIndex(
      (room) => room.maxX > box.minX && room.minX < box.maxX && room.minY <= middle && room.maxY >= middle,
    );
    const room = rooms[i];
    if (!room) continue;
    const width = box.maxX - box.minX;
    const share = Math.min(1, (frame.width - 2) / width);
    const x = Math.min(Math.max(box.minX, room.minX + 1), room.maxX - 1 - width * share);
    const y = Math.min(Math.max(text.at[1], room.minY + text.heightMm), room.maxY - text.heightMm);
    homes[i]?.push({ ...text, align: 'left', at: [x, y], heightMm: text.heightMm * share });
  }
  return homes.map((own, i) => settled(own, rooms[i] ? { room: rooms[i] } : {}));
}

type OnTile = { readonly tile: Tile; readonly texts: readonly DrawnText[]; readonly squareMm: number };

function drawTile(
  doc: jsPDF,
  drawing: Drawing,
  { page, frame, crosses }: TilePlan,
  { tile, texts, squareMm }: OnTile,
): void {
  const pen = { doc, left: tile.x - TILE_MARGIN_MM, top: tile.y + frame.height + TILE_MARGIN_MM, unitMm: 1 };
  doc.saveGraphicsState();
  doc.rect(TILE_MARGIN_MM, TILE_MARGIN_MM, frame.width, frame.height, null).clip().discardPath();
  checkSquare(pen, [tile.x + (frame.width - CHECK_MM) / 2, tile.y + (frame.height - CHECK_MM) / 2], squareMm);
  drawAll(pen, { ...drawing, texts });
  doc.setLineWidth(LINE_MM.mark);
  for (const [x, y] of crosses) {
    const [px, py] = [x - pen.left, pen.top - y];
    if (px > 0 && px < page.width && py > 0 && py < page.height) cross(doc, px, py);
  }
  doc.restoreGraphicsState();
  doc.setLineWidth(LINE_MM.construction);
  doc.rect(TILE_MARGIN_MM, TILE_MARGIN_MM, frame.width, frame.height, 'S');
}

const CROSS_MM = OVERLAP_MM / 2 - 1;
function cross(doc: jsPDF, x: number, y: number): void {
  doc
    .moveTo(x - CROSS_MM, y)
    .lineTo(x + CROSS_MM, y)
    .stroke();
  doc
    .moveTo(x, y - CROSS_MM)
    .lineTo(x, y + CROSS_MM)
    .stroke();
}

const MAP_TITLE_MM = 5;

/** The whole drawing small, with the pages' numbers. */
function pageMap(doc: jsPDF, drawing: Drawing, { page, frame, tiles }: TilePlan): void {
  const lows = { x: Math.min(...tiles.map(({ x }) => x)), y: Math.min(...tiles.map(({ y }) => y)) };
  const wide = Math.max(...tiles.map(({ x }) => x)) + frame.width - lows.x;
  const high = Math.max(...tiles.map(({ y }) => y)) + frame.height - lows.y;
  const title = wrapped(
    `${tiles.length} ${tiles.length === 1 ? 'page' : 'pages'}, full size. ` +
      'Print at 100 %, never "fit to page", and measure the square on the first page before going on.',
    page.width - 2 * BORDER_MM,
    MAP_TITLE_MM,
  );
  const head = BORDER_MM + title.length * 1.4 * MAP_TITLE_MM;
  const unitMm = Math.max(wide / (page.width - 2 * BORDER_MM), high / (page.height - head - 2 * BORDER_MM), 1);
  const pen = { doc, left: lows.x - BORDER_MM * unitMm, top: lows.y + high + head * unitMm, unitMm };
  doc.setFontSize(MAP_TITLE_MM * POINTS_PER_MM);
  title.forEach((line, i) => doc.text(latin(line), BORDER_MM, BORDER_MM + i * 1.4 * MAP_TITLE_MM));
  doc.setLineWidth(LINE_MM.construction);
  const numbers = tiles.map(({ x, y }, i): DrawnText => {
    const [px, py] = [(x - pen.left) / unitMm, (pen.top - y - frame.height) / unitMm];
    doc.rect(px, py, frame.width / unitMm, frame.height / unitMm, 'S');
    const text = String(i + 1);
    const heightMm = Math.max(NOTE_MM, Math.min(6, frame.height / unitMm / 3)) * unitMm;
    return { text, heightMm, align: 'center', at: [x + frame.width / 2, y + frame.height / 2 - heightMm / 3] };
  });
  drawPaths(pen, mapLines(drawing, unitMm));
  drawTexts(pen, settled(numbers));
}

/** On the map thinner than at full size, each by its kind. */
const mapLines = ({ paths }: Drawing, unitMm: number): DrawnPath[] =>
  paths.map((path) => ({ ...path, widthMm: LINE_MM[path.layer === 'cut' ? 'mark' : 'construction'] * unitMm }));
