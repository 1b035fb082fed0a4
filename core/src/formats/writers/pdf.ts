/**
 * Writes a drawing as PDF at true size: on one page as large as it needs, or on tiles to tape together.
 *
 * Conventions: millimetres; PDF pages run downwards here. A tile shows its part of the drawing and `overlapMm` of its
 * neighbours'; the thin crosses of neighbouring tiles lie on one another when the tiles are joined. The first page of a
 * tiled drawing is the map of the pages. Every page carries a square of 100 mm to lay a rule on: a printer that scales
 * gives itself away.
 * Limits: a PDF page is at most 14,400 units a side; a longer drawing on one page is written in larger units (some
 * viewers show such a page small but print it right). The letters are those of Western Europe; others become "?".
 */
import { jsPDF } from 'jspdf';
import type { Vec2 } from '../../geometry';
import { drawingBounds, type Drawing, type DrawnPath } from '../drawing';
import { PAPERS, type Paper } from '../paper';

export type PdfLayout = { readonly kind: 'whole' } | { readonly kind: 'tiles'; readonly paper: Paper };

const BORDER_MM = 20;
const CHECK_MM = 100;
/** No printer prints nearer to the edge than it must; 10 mm suits all of them. */
const TILE_MARGIN_MM = 10;
const OVERLAP_MM = 12;
/** 14,400 points of 1/72 in. */
const LONGEST_PAGE_MM = 5080;
const POINTS_PER_MM = 72 / 25.4;
const INK: Readonly<Record<DrawnPath['layer'], string>> = { cut: '#000000', mark: '#0055b0' };
const QUIET = '#808080';
const USUAL_LINE_MM = 0.25;

/** Fixed, so that the same drawing gives the same file. */
const NO_DATE = "D:20000101000000+00'00'";

export function writePdf(drawing: Drawing, layout: PdfLayout): Uint8Array {
  return layout.kind === 'whole' ? wholePage(drawing) : tiles(drawing, PAPERS[layout.paper]);
}

/** Pages that are drawn already, each with its lower left corner at (0, 0). */
export function writePages(
  title: string,
  pages: readonly Drawing[],
  size: { width: number; height: number },
): Uint8Array {
  const format = [size.width, size.height] as const;
  const doc = startDocument(title, format);
  pages.forEach((page, i) => {
    if (i > 0) doc.addPage([...format], size.width > size.height ? 'landscape' : 'portrait');
    drawAll({ doc, left: 0, top: size.height, unitMm: 1 }, page);
  });
  return new Uint8Array(doc.output('arraybuffer'));
}

/** Where the page's top left corner is in the drawing, and one unit of the page in mm. */
type Pen = { readonly doc: jsPDF; readonly left: number; readonly top: number; readonly unitMm: number };

function wholePage(drawing: Drawing): Uint8Array {
  const box = drawingBounds(drawing);
  const width = Math.max(box.maxX - box.minX, CHECK_MM) + 2 * BORDER_MM;
  const height = box.maxY - box.minY + CHECK_MM + 3 * BORDER_MM;
  const unitMm = Math.ceil(Math.max(width, height) / LONGEST_PAGE_MM);
  const doc = startDocument(drawing.name, [width / unitMm, height / unitMm], unitMm);
  const pen = { doc, left: box.minX - BORDER_MM, top: box.maxY + BORDER_MM, unitMm };
  drawAll(pen, drawing);
  checkSquare(pen, [box.minX, box.minY - BORDER_MM - CHECK_MM]);
  return new Uint8Array(doc.output('arraybuffer'));
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
  return doc;
}

function drawAll({ doc, left, top, unitMm }: Pen, drawing: Drawing): void {
  const place = ([x, y]: Vec2): Vec2 => [(x - left) / unitMm, (top - y) / unitMm];
  for (const { layer, points, isClosed, widthMm } of drawing.paths) {
    if (points.length < 2) continue;
    // a line of a width of its own is told by that, and not by its colour
    doc.setLineWidth((widthMm ?? USUAL_LINE_MM) / unitMm);
    doc.setDrawColor(widthMm === undefined ? INK[layer] : INK.cut);
    points.forEach((point, i) => (i === 0 ? doc.moveTo(...place(point)) : doc.lineTo(...place(point))));
    if (isClosed) doc.close();
    doc.stroke();
  }
  doc.setTextColor('#202020');
  for (const { at, heightMm, text, align } of drawing.texts) {
    doc.setFontSize((heightMm / unitMm) * POINTS_PER_MM);
    doc.text(latin(text), ...place(at), { align: align ?? 'left' });
  }
}

/** Its low left corner in the drawing. */
function checkSquare({ doc, left, top, unitMm }: Pen, [x, y]: Vec2): void {
  doc.setDrawColor(QUIET);
  doc.setLineWidth(0.2 / unitMm);
  const side = CHECK_MM / unitMm;
  const [px, py] = [(x - left) / unitMm, (top - y) / unitMm];
  doc.rect(px, py - side, side, side, 'S');
  doc.setTextColor(QUIET);
  doc.setFontSize((5 / unitMm) * POINTS_PER_MM);
  doc.text('100 mm each way', px + 3 / unitMm, py - 3 / unitMm);
}

/** The tiles that cover a drawing, upright or on their side, whichever takes fewer. */
function gridFor(drawing: Drawing, paper: { width: number; height: number }) {
  const box = drawingBounds(drawing);
  const lay = (width: number, height: number) => {
    const stepX = width - 2 * TILE_MARGIN_MM - OVERLAP_MM;
    const stepY = height - 2 * TILE_MARGIN_MM - OVERLAP_MM;
    const columns = Math.max(1, Math.ceil((box.maxX - box.minX - OVERLAP_MM) / stepX));
    const rows = Math.max(1, Math.ceil((box.maxY - box.minY - OVERLAP_MM) / stepY));
    const fromX = (box.minX + box.maxX - columns * stepX - OVERLAP_MM) / 2;
    const fromY = (box.minY + box.maxY - rows * stepY - OVERLAP_MM) / 2;
    return { width, height, columns, rows, stepX, stepY, fromX, fromY };
  };
  const [upright, aside] = [lay(paper.width, paper.height), lay(paper.height, paper.width)];
  return upright.columns * upright.rows <= aside.columns * aside.rows ? upright : aside;
}

function tiles(drawing: Drawing, paper: { width: number; height: number }): Uint8Array {
  const grid = gridFor(drawing, paper);
  const doc = startDocument(drawing.name, [grid.width, grid.height]);
  const wanted: { column: number; row: number }[] = [];
  for (let row = grid.rows - 1; row >= 0; row--)
    for (let column = 0; column < grid.columns; column++) {
      const low: Vec2 = [grid.fromX + column * grid.stepX, grid.fromY + row * grid.stepY];
      const high: Vec2 = [low[0] + grid.stepX + OVERLAP_MM, low[1] + grid.stepY + OVERLAP_MM];
      if (drawing.paths.some((path) => passesThrough(path, low, high))) wanted.push({ column, row });
    }
  pageMap(doc, drawing, grid, wanted);
  wanted.forEach((tile, i) => {
    doc.addPage([grid.width, grid.height], grid.width > grid.height ? 'landscape' : 'portrait');
    drawTile(doc, drawing, grid, { ...tile, name: `${drawing.name}: page ${i + 1} of ${wanted.length}` });
  });
  return new Uint8Array(doc.output('arraybuffer'));
}

type Grid = ReturnType<typeof gridFor>;

function drawTile(
  doc: jsPDF,
  drawing: Drawing,
  grid: Grid,
  tile: { readonly column: number; readonly row: number; readonly name: string },
): void {
  const [inX, inY] = [grid.width - 2 * TILE_MARGIN_MM, grid.height - 2 * TILE_MARGIN_MM];
  const left = grid.fromX + tile.column * grid.stepX - TILE_MARGIN_MM;
  const top = grid.fromY + tile.row * grid.stepY + inY + TILE_MARGIN_MM;
  doc.saveGraphicsState();
  doc.rect(TILE_MARGIN_MM, TILE_MARGIN_MM, inX, inY, null).clip().discardPath();
  checkSquare({ doc, left, top, unitMm: 1 }, [left + (grid.width - CHECK_MM) / 2, top - (grid.height + CHECK_MM) / 2]);
  drawAll({ doc, left, top, unitMm: 1 }, drawing);
  doc.restoreGraphicsState();
  doc.setDrawColor(QUIET);
  doc.setLineWidth(0.15);
  doc.rect(TILE_MARGIN_MM, TILE_MARGIN_MM, inX, inY, 'S');
  // a cross in the middle of each corner's overlap: it falls on the neighbours' crosses
  for (const x of [TILE_MARGIN_MM + OVERLAP_MM / 2, grid.width - TILE_MARGIN_MM - OVERLAP_MM / 2])
    for (const y of [TILE_MARGIN_MM + OVERLAP_MM / 2, grid.height - TILE_MARGIN_MM - OVERLAP_MM / 2]) cross(doc, x, y);
  doc.setTextColor(QUIET);
  doc.setFontSize(9);
  const tileName = `column ${tile.column + 1}, row ${tile.row + 1} from below`;
  const place = `${tileName}; ${OVERLAP_MM} mm overlap, lay cross on cross`;
  doc.text(latin(`${tile.name}; ${place}`), TILE_MARGIN_MM, grid.height - 4);
}

const CROSS_MM = 5;
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

/** The whole drawing small, with the tiles' numbers. */
function pageMap(
  doc: jsPDF,
  drawing: Drawing,
  grid: Grid,
  wanted: readonly { readonly column: number; readonly row: number }[],
): void {
  const [wide, high] = [grid.columns * grid.stepX + OVERLAP_MM, grid.rows * grid.stepY + OVERLAP_MM];
  const unitMm = Math.max(wide / (grid.width - 2 * BORDER_MM), high / (grid.height - 3 * BORDER_MM), 1);
  const left = grid.fromX - BORDER_MM * unitMm;
  const top = grid.fromY + high + 2 * BORDER_MM * unitMm;
  doc.setTextColor('#000000');
  doc.setFontSize(12);
  doc.text(latin(`${drawing.name}: ${wanted.length} pages, true size`), BORDER_MM, BORDER_MM);
  doc.setFontSize(9);
  doc.text(
    'Print at 100 %, never "fit to page", and measure the square on the first page before going on.',
    BORDER_MM,
    BORDER_MM + 6,
  );
  doc.setDrawColor(QUIET);
  doc.setTextColor(QUIET);
  wanted.forEach(({ column, row }, i) => {
    const x = (grid.fromX + column * grid.stepX - left) / unitMm;
    const y = (top - grid.fromY - row * grid.stepY) / unitMm;
    const [w, h] = [(grid.stepX + OVERLAP_MM) / unitMm, (grid.stepY + OVERLAP_MM) / unitMm];
    doc.setLineWidth(0.15).rect(x, y - h, w, h, 'S');
    doc.text(String(i + 1), x + w / 2, y - h / 2);
  });
  drawAll({ doc, left, top, unitMm }, { ...drawing, texts: [] });
}

/** Whether any of the path lies in the box; a segment is tried by its clipped length (Liang and Barsky 1984). */
function passesThrough({ points, isClosed }: DrawnPath, low: Vec2, high: Vec2): boolean {
  const round = isClosed && points[0] ? [...points, points[0]] : points;
  return round.some((b, i) => {
    const a = round[i - 1];
    if (!a) return false;
    let [from, to] = [0, 1];
    for (const axis of [0, 1] as const) {
      const d = b[axis] - a[axis];
      if (d === 0 && (a[axis] < low[axis] || a[axis] > high[axis])) return false;
      if (d === 0) continue;
      const ends = [(low[axis] - a[axis]) / d, (high[axis] - a[axis]) / d];
      from = Math.max(from, Math.min(...ends));
      to = Math.min(to, Math.max(...ends));
    }
    return from <= to;
  });
}

/** The built-in letters of a PDF: Latin 1; a minus becomes a hyphen, an eighth is written out. */
const latin = (text: string): string =>
  text
    .replace(/[−–—]/g, '-')
    .replace(/[⅛⅜⅝⅞]/g, (sign) => `${1 + 2 * '⅛⅜⅝⅞'.indexOf(sign)}/8`)
    .replace(/[^ -ÿ]/g, '?');
