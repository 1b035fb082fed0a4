/**
 * The book of a boat: everything that is taken to the shop on paper, as one file for a binder.
 *
 * A cover with the boat in the round and its particulars, the contents, the cautions, then the sheets of every stage in
 * the order of the work, each page with its number among all. Stages that have nothing to print have no chapter.
 */
import { at } from '../../geometry';
import {
  boatWord,
  innerBox,
  merged,
  numberedSteps,
  pageOfBook,
  pageOnItsSide,
  sheetsOf,
  sheetText,
  tablePages,
  textWidth,
  type Drawing,
  type LabelBox,
  type PaperSheets,
  type SheetHead,
} from '../../formats';
import { writePages, type PageMarks } from '../../formats/writers';
import { formatThickness, formatWithUnit } from '../../measure';
import { hoursWords } from '../../plan';
import { thicknessOf } from '../../panels';
import { CHAIN, sheetsOfStage, wholeOf, type Project, type Values, type Whole } from '../../project';
import { WAY_WORDS } from '../../setup';
import type { Work } from '../export-files';
import { CAUTIONS } from './cautions';
import { hullPicture } from './hull-picture';

export type Chapter = { readonly title: string; readonly sheets: readonly PaperSheets[] };

export type Book = {
  readonly file: string;
  readonly title: string;
  readonly size: PaperSheets['size'];
  readonly pages: readonly Drawing[];
  readonly marks: PageMarks;
};

/** The sheets of all stages, a chapter a stage. */
export const chaptersOf = (whole: Whole<Project>): Chapter[] =>
  CHAIN.flatMap(({ name, title }) => {
    const sheets = sheetsOfStage(name, whole);
    return sheets.length > 0 ? [{ title, sheets }] : [];
  });

export function bookOf({ project, derived, found, printing }: Work): Book {
  const whole = wholeOf(project, derived, found, printing);
  const { sheetHead: head } = whole;
  const chapters = [{ title: 'Before you begin', sheets: [cautionsSheet(head)] }, ...chaptersOf(whole)];
  const cover = coverSheet(whole);
  // how many pages the contents take does not depend on what numbers stand in them
  const contents = contentsOf(chapters, head, 0);
  const { sheets, rows } = contentsOf(chapters, head, cover.pages.length + contents.sheets.pages.length);
  const all = [cover, sheets, ...chapters.flatMap((chapter) => chapter.sheets)].flatMap(({ pages }) => pages);
  const title = `${project.name}, rev ${project.revision}: the book`;
  return {
    ...{ file: `${boatWord(project.name)}-book`, title, size: cover.size },
    pages: all.map((page, i) => ({
      ...page,
      texts: [...page.texts, pageOfBook(cover.size, i + 1, all.length)],
    })),
    marks: {
      titles: [
        { title: 'Contents', page: cover.pages.length + 1, level: 0 },
        ...rows.map(({ words, to, isChapter }) => ({
          title: words,
          page: to,
          level: isChapter ? (0 as const) : (1 as const),
        })),
      ],
      links: rows.map(({ page, box, to }) => ({ page: cover.pages.length + page, box, to })),
    },
  };
}

export const writeBook = ({ title, pages, size, marks }: Book): Uint8Array => writePages(title, pages, size, marks);

const NAME_MM = 13;
const UNDER_NAME_MM = 5;
/** Of the particulars under the picture. */
const PARTICULARS_MM = 34;

function coverSheet(whole: Whole<Project>): PaperSheets {
  const { sheetHead: head, values } = whole;
  const inner = innerBox(pageOnItsSide(head.paper));
  const middle = (inner.minX + inner.maxX) / 2;
  const most = Math.min(NAME_MM, (inner.maxX - inner.minX) / textWidth(head.boat, 1));
  const top = inner.maxY - NAME_MM;
  const room = { ...inner, maxY: top - 2 * UNDER_NAME_MM - 4, minY: inner.minY + PARTICULARS_MM };
  const foot = { ...inner, maxY: inner.minY + PARTICULARS_MM - 4 };
  const columns: readonly Particulars[] = [
    { head: 'the boat', rows: boatOf(whole), box: { ...foot, maxX: middle - 4 } },
    { head: 'the work', rows: workOf(whole), box: { ...foot, minX: middle + 4 } },
  ];
  const content = merged(
    {
      paths: [],
      texts: [
        sheetText([middle, top], head.boat, { heightMm: most, align: 'center' }),
        sheetText([middle, top - 2 * UNDER_NAME_MM], 'All that is needed in the shop, in the order of the work', {
          ...{ heightMm: 4.5, align: 'center' },
        }),
      ],
    },
    hullPicture(values, room),
    ...columns.flatMap(({ head: words, rows, box }) =>
      tablePages([{ columns: [{ head: words }, { head: '' }], rows }], { first: box, later: box }),
    ),
  );
  const sheet = {
    ...{ name: 'cover', title: 'Cover', part: 'The book', hand: '' },
    ...{ material: '', scale: 'not to scale' },
  };
  return sheetsOf(head, sheet, [content]);
}

const SCHOOLS = { filleted: 'filleted and taped', framed: 'on timber, every edge bevelled' } as const;

type Particulars = { readonly head: string; readonly rows: readonly (readonly string[])[]; readonly box: LabelBox };

function boatOf({ project, values }: Whole<Project>): string[][] {
  const { notation } = project;
  const long = (mm: number) => formatWithUnit(mm, notation);
  const points = project.lines.longitudinals.flatMap((line) => line.points);
  const { thickness } = project.panels;
  const own = values.panels.panels.map((panel) => thicknessOf(panel, thickness));
  const thicknesses = [...new Set(own.length > 0 ? own : [thickness])].sort((a, b) => a - b);
  const span = (figures: readonly number[]) => (figures.length > 0 ? Math.max(...figures) - Math.min(...figures) : 0);
  return [
    ['length over the lines', long(span(points.map(({ x }) => x)))],
    ['greatest breadth', long(2 * Math.max(0, ...points.map(({ halfBreadth }) => halfBreadth)))],
    ['lowest to highest', long(span(points.map(({ height }) => height)))],
    ['planking', `${thicknesses.map((mm) => formatThickness(mm, notation)).join(', ')} plywood`],
  ];
}

const workOf = ({ project, values }: Whole<Project>): string[][] => [
  ['edges', SCHOOLS[project.school]],
  ['set up', WAY_WORDS[project.setup.way]],
  ['cut from sheets', countsOf(values)],
  ['work left', hoursWords(values.plan.workMin)],
];

const countsOf = ({ panels, frames, fitout }: Values): string =>
  [
    `${counted(panels.panels.length, 'shape')} of panel`,
    counted(frames.frames.length, 'frame'),
    ...(fitout.all.length > 0 ? [`${counted(fitout.all.length, 'part')} inside and on top`] : []),
  ].join(', ');

const counted = (count: number, what: string): string => `${count} ${count === 1 ? what : `${what}s`}`;

function cautionsSheet(head: SheetHead): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const sheet = {
    ...{ name: 'cautions', title: 'Before you begin', part: 'Before you begin', hand: 'what can hurt' },
    ...{ material: '', scale: 'no drawing' },
  };
  return sheetsOf(head, sheet, [numberedSteps(CAUTIONS, { left: inner.minX, right: inner.maxX, top: inner.maxY })]);
}

/** A line of the contents: on which page of them, where, and which page of the book it leads to. */
type Row = {
  readonly words: string;
  readonly isChapter: boolean;
  readonly page: number;
  readonly box: LabelBox;
  readonly to: number;
};

const ROW_MM = 5.4;
const ROW_LETTERS_MM = 3.6;
const COLUMNS = 2;
const BETWEEN_MM = 12;
const INDENT_MM = 6;
const DOT_MM = 2;

/** @param before pages of the book before the first chapter */
function contentsOf(chapters: readonly Chapter[], head: SheetHead, before: number) {
  const inner = innerBox(pageOnItsSide(head.paper));
  const wide = (inner.maxX - inner.minX - (COLUMNS - 1) * BETWEEN_MM) / COLUMNS;
  const high = Math.floor((inner.maxY - inner.minY) / ROW_MM);
  let to = before + 1;
  const lines = chapters.flatMap(({ title, sheets }) => {
    const first = { words: title, isChapter: true, to };
    const under = sheets.map(({ pages }) => {
      // all pages of one sheet are called as what they are of
      const line = { words: pages[0]?.name ?? '', isChapter: false, to };
      to += pages.length;
      return line;
    });
    return under.length === 1 && under[0]?.words === title ? [first] : [first, ...under];
  });
  let slot = -1;
  const rows = lines.map((line, i): Row => {
    slot += 1;
    // a chapter's title does not stand alone at the foot of a column
    if (line.isChapter && slot % high === high - 1 && lines[i + 1]?.isChapter === false) slot += 1;
    const column = Math.floor(slot / high);
    const left = inner.minX + (column % COLUMNS) * (wide + BETWEEN_MM);
    const maxY = inner.maxY - (slot % high) * ROW_MM;
    return {
      ...line,
      page: Math.floor(column / COLUMNS) + 1,
      box: { minX: left, maxX: left + wide, minY: maxY - ROW_MM, maxY },
    };
  });
  const count = rows.length > 0 ? at(rows, -1).page : 1;
  const pages = Array.from({ length: count }, (_, k) => ({
    paths: [],
    texts: rows.filter(({ page }) => page === k + 1).flatMap(rowTexts),
  }));
  const sheet = {
    ...{ name: 'contents', title: 'Contents', part: 'Contents', hand: '' },
    ...{ material: '', scale: 'no drawing' },
  };
  return { rows, sheets: sheetsOf(head, sheet, pages) };
}

/** The name, dots, and the page. */
function rowTexts({ words, isChapter, box, to }: Row) {
  const heightMm = isChapter ? ROW_LETTERS_MM + 0.4 : ROW_LETTERS_MM;
  const y = box.minY + 1.2;
  const left = box.minX + (isChapter ? 0 : INDENT_MM);
  const from = left + textWidth(words, heightMm) + DOT_MM;
  const till = box.maxX - textWidth(String(to), heightMm) - DOT_MM;
  const dots = Math.max(0, Math.floor((till - from) / textWidth(' .', heightMm)));
  return [
    sheetText([left, y], words, { heightMm }),
    ...(dots > 1 ? [sheetText([till, y], ' .'.repeat(dots).trim(), { heightMm, align: 'right' })] : []),
    sheetText([box.maxX, y], String(to), { heightMm, align: 'right' }),
  ];
}
