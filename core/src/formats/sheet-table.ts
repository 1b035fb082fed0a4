/** Tables on sheets of paper: as wide as their words, in columns side by side and on as many pages as it takes. */
import { at, boundsOf, type Outline, type Vec2 } from '../geometry';
import type { LabelBox } from './labels';
import { textWidth, wrapped } from './letters';
import { LETTER_MM, sheetLine, sheetText, type Content } from './sheet';

/** A cell: words, or the outline of a part, drawn small. */
export type SheetCell = string | { readonly outline: Outline; readonly holes?: readonly Outline[] };
export type SheetColumn = { readonly head: string; readonly isFigure?: boolean; readonly mostMm?: number };
export type SheetTable = { readonly columns: readonly SheetColumn[]; readonly rows: readonly (readonly SheetCell[])[] };

const ROW_MM = 4.6;
const PICTURE_ROW_MM = 9;
const PICTURE_MM = 26;
/** Between the words of neighbouring columns, and between tables side by side. */
const SPACE_MM = 3;
const BESIDE_MM = 6;
/** Between a table's last row and the next table's head. */
const UNDER_MM = 7;
const MOST_CELL_MM = 90;
/** Of a cell's width that its words leave free. */
const CELL_MM = 1.5;

/** Tables one after another on pages, from the first page's room on. Each page's contents, and where the last ends. */
export function tablePages(
  tables: readonly SheetTable[],
  { first, later }: { readonly first: LabelBox; readonly later: LabelBox },
): Content[] {
  const pages: { paths: Content['paths'][number][]; texts: Content['texts'][number][] }[] = [{ paths: [], texts: [] }];
  let room = first;
  let top = room.maxY;
  const turn = () => {
    pages.push({ paths: [], texts: [] });
    room = later;
    top = room.maxY;
  };
  for (const table of tables) {
    const rowMm = rowHeight(table);
    if (top - room.minY < 3 * rowMm) turn();
    let lines = linesOf(table.rows, widthsOf(table, room));
    while (lines.length > 0) {
      const widths = widthsOf(table, room);
      const heads = linesOf([table.columns.map(({ head }) => head)], widths);
      const wide = widths.reduce((sum, width) => sum + width, 0);
      const across = Math.max(1, Math.floor((room.maxX - room.minX + BESIDE_MM) / (wide + BESIDE_MM)));
      const high = Math.max(1, Math.floor((top - room.minY) / rowMm) - heads.length);
      // a row for which there is no room here has some on the next page
      if (top < room.maxY && !lines.slice(0, high).some(({ isLast }) => isLast)) {
        turn();
        continue;
      }
      const count = Math.min(lines.length, across * high);
      const each = Math.ceil(count / Math.ceil(count / high));
      let [taken, most] = [0, 0];
      for (let k = 0; k < across && taken < lines.length && taken < count; k++) {
        const part = wholeRows(lines.slice(taken), each, high);
        const corner: Vec2 = [room.minX + k * (wide + BESIDE_MM), top];
        const { paths, texts } = tableAt({ heads, lines: part, rowMm, columns: table.columns }, widths, corner);
        at(pages, -1).paths.push(...paths);
        at(pages, -1).texts.push(...texts);
        taken += part.length;
        most = Math.max(most, part.length);
      }
      lines = lines.slice(taken);
      if (lines.length > 0) turn();
      else top -= (most + heads.length) * rowMm + UNDER_MM;
    }
  }
  return pages;
}

/** One line of a row: a row has as many as its longest cell takes. */
type Line = { readonly cells: readonly SheetCell[]; readonly isLast: boolean };

const linesOf = (rows: SheetTable['rows'], widths: readonly number[]): Line[] =>
  rows.flatMap((cells) => {
    const split = cells.map((cell, c): readonly SheetCell[] =>
      typeof cell === 'string' ? wrapped(cell, (widths[c] ?? 0) - CELL_MM, LETTER_MM) : [cell],
    );
    const count = Math.max(1, ...split.map(({ length }) => length));
    return Array.from({ length: count }, (_, i) => ({
      cells: split.map((own) => own[i] ?? ''),
      isLast: i === count - 1,
    }));
  });

/** So many lines, or fewer or more, so that no row is torn; `most` have room. */
function wholeRows(lines: readonly Line[], each: number, most: number): readonly Line[] {
  const ends = lines.slice(0, most).flatMap(({ isLast }, i) => (isLast ? [i + 1] : []));
  // a row longer than the page is torn all the same
  const end = ends.find((count) => count >= each) ?? ends[ends.length - 1] ?? most;
  return lines.slice(0, end);
}

const rowHeight = ({ rows }: SheetTable): number =>
  rows.some((row) => row.some((cell) => typeof cell !== 'string')) ? PICTURE_ROW_MM : ROW_MM;

/** As wide as the widest cell of each; the widest ones give way where there is no room for all. */
function widthsOf({ columns, rows }: SheetTable, room: LabelBox): number[] {
  const wanted = columns.map(({ head, mostMm = MOST_CELL_MM }, c) => {
    const cells = [head, ...rows.flatMap((row) => row[c] ?? [])];
    const widest = Math.max(
      ...cells.map((cell) => (typeof cell === 'string' ? textWidth(cell, LETTER_MM) : PICTURE_MM)),
    );
    return Math.min(widest, mostMm) + SPACE_MM;
  });
  for (
    let over = sumOf(wanted) - (room.maxX - room.minX);
    over > 1e-9;
    over = sumOf(wanted) - (room.maxX - room.minX)
  ) {
    const widest = Math.max(...wanted);
    const k = wanted.indexOf(widest);
    wanted[k] = Math.max(widest - over, widest * 0.8, 2 * SPACE_MM);
    if (wanted[k] >= widest) break;
  }
  return wanted;
}
const sumOf = (figures: readonly number[]): number => figures.reduce((sum, figure) => sum + figure, 0);

type Drawn = {
  readonly heads: readonly Line[];
  readonly lines: readonly Line[];
  readonly rowMm: number;
  readonly columns: SheetTable['columns'];
};

function tableAt({ heads, lines, rowMm, columns }: Drawn, widths: readonly number[], [left, top]: Vec2): Content {
  const [paths, texts]: [Content['paths'][number][], Content['texts'][number][]] = [[], []];
  const right = left + sumOf(widths);
  [...heads, ...lines].forEach(({ cells, isLast }, r) => {
    const foot = top - (r + 1) * rowMm;
    let x = left;
    cells.forEach((cell, c) => {
      const width = widths[c] ?? 0;
      const isFigure = columns[c]?.isFigure ?? false;
      if (typeof cell === 'string') {
        const place: Vec2 = [isFigure ? x + width - 1 : x + 0.5, foot + 1.2];
        if (cell !== '') texts.push(sheetText(place, cell, { align: isFigure ? 'right' : 'left' }));
      } else
        paths.push(
          ...[cell.outline, ...(cell.holes ?? [])].map((ring) =>
            sheetLine('mark', fitted(ring, cell.outline, [x, foot], [width - SPACE_MM, rowMm]), true),
          ),
        );
      x += width;
    });
    const line: Vec2[] = [
      [left, foot],
      [right, foot],
    ];
    if (isLast) paths.push(sheetLine(r < heads.length ? 'edge' : 'construction', line));
  });
  return { paths, texts };
}

/** A ring of a part as large as its cell takes the part. */
function fitted(ring: Outline, outline: Outline, [left, foot]: Vec2, [wide, high]: Vec2): Vec2[] {
  const box = boundsOf(outline);
  const over = Math.max((box.maxX - box.minX) / wide, (box.maxY - box.minY) / (high - 1.6), 1e-6);
  return ring.map(([x, y]): Vec2 => [left + 1 + (x - box.minX) / over, foot + 0.8 + (y - box.minY) / over]);
}
