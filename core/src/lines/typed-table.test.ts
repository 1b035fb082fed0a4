import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { at } from '../geometry';
import { formatLength } from '../measure';
import { demoProject, newProject, readProject } from '../project';
import { drawLines } from './hull';
import { judgeTyping } from './judge-typing';
import { linesOf, type LinesPart } from './schema';
import { tableColumns } from './table';
import {
  addColumn,
  columnsOf,
  emptyTable,
  enter,
  movedColumn,
  openCellsOf,
  pasteCells,
  renamedColumn,
  tableEdits,
  withoutColumn,
  withoutLine,
  type Cell,
  type PasteAt,
  type Table,
} from './typed-table';

const tamsel = demoProject('tamsel', 'x').lines;
const names = ['1', '2', '3', '4', '5', '6'];
const blank = (even: { first: number; spacing: number } | null = { first: 600, spacing: 600 }): Table => {
  const made = emptyTable({
    ...{ stations: names, lines: ['Keel', 'Chine', 'Sheer'], even },
    ends: { stem: true, transom: true },
  });
  if (!made.ok) throw new Error(made.reason);
  return made.table;
};
const type = (table: Table, [line, column, quantity]: [string | null, string, Cell['quantity']], mm: number) =>
  enter(table, { line, column, quantity }, { kind: 'figure', mm });
const plainPoints = ({ longitudinals }: Table) =>
  longitudinals.map(({ points }) =>
    points.map(({ station, x, halfBreadth, height }) => [station, x, halfBreadth, height]),
  );
/** Every figure of the demo's table, as a cell and what stands in it. */
const figures = tableColumns(tamsel.longitudinals).flatMap((column) =>
  tamsel.longitudinals.flatMap((line) => {
    const point = at(line.points, column.cells.get(line.id) ?? 0);
    const quantities = (['halfBreadth', 'height'] as const).map((quantity) => ({ quantity, mm: point[quantity] }));
    const all = column.isOwn ? [...quantities, { quantity: 'x' as const, mm: point.x }] : quantities;
    return all.map(({ quantity, mm }) => ({ cell: { line: line.id, column: column.key, quantity }, mm }));
  }),
);
const codes = (table: Table) =>
  judgeTyping(drawLines({ ...table, heightsFrom: null }), table).findings.map(({ code }) => code);

describe('an empty table', () => {
  it('has its columns in order, ends without a place of their own, and no points', () => {
    const columns = columnsOf(blank());
    expect(columns.map(({ key }) => key)).toEqual(['stem', ...names, 'transom']);
    expect(columns.map(({ x }) => x)).toEqual([null, 600, 1200, 1800, 2400, 3000, 3600, null]);
    expect(columnsOf(blank(null)).map(({ key }) => key)).toEqual(['stem', ...names, 'transom']);
  });
  it('is a project, and says that it is to be filled in, not that it is wrong', () => {
    const lines: LinesPart = { ...linesOf([]), ...blank() };
    expect(readProject(newProject({ id: 'a', name: 'A', notation: 'mm', lines })).ok).toBe(true);
    expect(codes(blank())).toEqual(['table-unfilled']);
  });
  it.each([
    [{ lines: ['Keel', 'Keel'] }, /keel is there twice/],
    [{ stations: ['1', '1'] }, /1 is there twice/],
    [{ stations: ['stem'] }, /stem is there twice/],
    [{ lines: ['Sheer'] }, /two lines at least/],
    [{ stations: [], ends: { stem: true, transom: false } }, /two stations at least/],
    [{ even: { first: 0, spacing: 0 } }, /above 0/],
    [{ lines: ['Keel', 'x'.repeat(41)] }, /40 letters/],
    [{ stations: Array.from({ length: 101 }, (_, i) => String(i)) }, /100 stations/],
  ])('is refused for %j', (change, words) => {
    const heads = { stations: names, lines: ['Keel', 'Sheer'], even: null, ends: { stem: true, transom: true } };
    const made = emptyTable({ ...heads, ...change });
    expect(made.ok ? 'taken' : made.reason).toMatch(words);
  });
});

describe('typing', () => {
  it('in any order gives the same boat, and leaves nothing open', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(figures, { minLength: figures.length }), (order) => {
        const table = order.reduce((now, { cell, mm }) => enter(now, cell, { kind: 'figure', mm }), blank());
        expect(plainPoints(table)).toEqual(plainPoints(tamsel));
        expect(table.openCells).toEqual([]);
      }),
      { numRuns: 20 },
    );
  });
  it('waits for a distance that is typed last', () => {
    let table = type(type(blank(null), ['chine', '2', 'height'], 239.6), ['chine', '2', 'halfBreadth'], 307.9);
    expect(plainPoints(table)).toEqual([[], [], []]);
    table = type(table, [null, '2', 'x'], 1200);
    expect(plainPoints(table)).toEqual([[], [['2', 1200, 307.9, 239.6]], []]);
    expect(table.openCells).toEqual([]);
  });
  it('emptied, a cell stays empty and the others keep their figures; typed again, all is as it was', () => {
    for (const { cell, mm } of figures) {
      const emptied = enter(tamsel, cell, { kind: 'empty' });
      const line = emptied.longitudinals.find(({ id }) => id === cell.line);
      expect(line?.points.some(({ station }) => station === cell.column)).toBe(false);
      expect(openCellsOf(emptied)(cell)).toBeUndefined();
      expect(columnsOf(emptied).map(({ key }) => key)).toEqual(columnsOf(tamsel).map(({ key }) => key));
      expect(plainPoints(enter(emptied, cell, { kind: 'figure', mm }))).toEqual(plainPoints(tamsel));
    }
  });
  it('a distance emptied takes the column\u2019s points out, and typed again puts them back', () => {
    const cell = { line: null, column: '3', quantity: 'x' } as const;
    const emptied = enter(tamsel, cell, { kind: 'empty' });
    expect(columnsOf(emptied).find(({ key }) => key === '3')).toMatchObject({ x: null, cells: new Map() });
    expect(plainPoints(enter(emptied, cell, { kind: 'figure', mm: 1800 }))).toEqual(plainPoints(tamsel));
  });
  it('what is not understood is kept as it was typed, and the figure before it holds', () => {
    const cell = { line: 'chine', column: '3', quantity: 'height' } as const;
    const table = enter(tamsel, cell, { kind: 'text', text: '19o' });
    expect(openCellsOf(table)(cell)?.text).toBe('19o');
    expect(plainPoints(table)).toEqual(plainPoints(tamsel));
    const [finding] = judgeTyping(drawLines({ ...table, heightsFrom: null }), table).findings;
    expect(finding).toMatchObject({ code: 'cell-not-read', data: { station: 'station 3', text: '19o' } });
    expect(finding?.remedies?.[0]?.edits).toEqual([{ path: ['lines', 'openCells'], value: [] }]);
    expect(enter(table, cell, { kind: 'figure', mm: 192 }).openCells).toEqual([]);
    const blankText = enter(blank(), cell, { kind: 'text', text: 'y'.repeat(500) });
    expect(openCellsOf(blankText)(cell)?.text).toHaveLength(60);
  });
  it('half a point is told once the lines are there, with what it lacks', () => {
    const table = enter(tamsel, { line: 'sheer', column: '4', quantity: 'halfBreadth' }, { kind: 'empty' });
    const found = judgeTyping(drawLines({ ...table, heightsFrom: null }), table).findings;
    expect(found.filter(({ code }) => code === 'point-half-given').map(({ data }) => data)).toEqual([
      { line: 'Sheer', station: 'station 4', lacks: 'half-breadth', others: 0 },
    ]);
  });
  it('one figure is an edit of that figure, so that what follows it can; a new point is one of the lines', () => {
    const cell = { line: 'chine', column: '3', quantity: 'height' } as const;
    const place = tamsel.longitudinals[1]?.points.findIndex(({ station }) => station === '3');
    expect(tableEdits(tamsel, enter(tamsel, cell, { kind: 'figure', mm: 200 }))).toEqual([
      { path: ['lines', 'longitudinals', 'chine', 'points', place, 'height'], value: 200 },
    ]);
    const emptied = enter(tamsel, cell, { kind: 'empty' });
    expect(tableEdits(tamsel, emptied).map(({ path }) => path.join('.'))).toEqual([
      'lines.longitudinals',
      'lines.stations',
      'lines.openCells',
    ]);
    expect(tableEdits(tamsel, tamsel)).toEqual([]);
  });
  it('in a cell that is not there changes nothing', () => {
    expect(enter(tamsel, { line: 'keel', column: 'no such', quantity: 'x' }, { kind: 'empty' })).toBe(tamsel);
  });
});

describe('pasting', () => {
  const from: PasteAt = { line: 'keel', column: '2', quantity: 'height', notation: 'mm', heightsFrom: null };
  const pasted = (table: Table, text: string, place: Partial<PasteAt> = {}) => {
    const result = pasteCells(table, text, { ...from, ...place });
    if (!result.ok) throw new Error(result.reason);
    return result;
  };
  const heightOf = (table: Table, line: string, station: string) =>
    table.longitudinals.find(({ id }) => id === line)?.points.find((p) => p.station === station)?.height;

  it('puts a block into its cells, in any notation, heights downwards too', () => {
    const { table } = pasted(tamsel, ['100.5\t4 1/8"', '\t0-8-0'].join('\r\n') + '\r\n');
    expect(heightOf(table, 'keel', '2')).toBe(100.5);
    expect(heightOf(table, 'keel', '3')).toBeCloseTo(104.775, 9);
    expect(heightOf(table, 'chine', '2')).toBe(239.6);
    expect(heightOf(table, 'chine', '3')).toBeCloseTo(203.2, 9);
    expect(heightOf(pasted(tamsel, '300', { heightsFrom: 900 }).table, 'keel', '2')).toBe(600);
  });
  it('of the whole table from the row of positions on fills an empty one, in every notation', () => {
    for (const notation of ['mm', 'in-16', 'ft-in-8ths'] as const) {
      const most = notation === 'mm' ? 0.501 : 0.8; // half of what the notation writes
      const write = (mm: number) => formatLength(mm, notation);
      const inner = tamsel.longitudinals.map(({ points }) => points.filter(({ station }) => names.includes(station)));
      const rows = [
        at(inner, 0).map(({ x }) => write(x)),
        ...(['height', 'halfBreadth'] as const).flatMap((key) =>
          inner.map((points) => points.map((p) => write(p[key]))),
        ),
      ];
      const text = rows.map((row) => row.join('\t')).join('\n');
      const { table, notRead } = pasted(blank(null), text, { line: null, column: '1', quantity: 'x', notation });
      expect(notRead).toEqual([]);
      table.longitudinals.forEach(({ points }, i) =>
        points.forEach((p, k) => {
          const want = at(at(inner, i), k);
          for (const key of ['x', 'height', 'halfBreadth'] as const)
            expect(Math.abs(p[key] - want[key])).toBeLessThan(most);
        }),
      );
      expect(table.longitudinals.map(({ points }) => points.length)).toEqual([6, 6, 6]);
    }
  });
  it('adds the columns that it needs, numbered on', () => {
    const { table } = pasted(tamsel, '1\t2\t3\t4', { column: '6' });
    expect(columnsOf(table).map(({ key }) => key)).toEqual(['stem', ...names, 'transom', '7', '8']);
  });
  it('keeps what is no figure as it is, with its place', () => {
    const { table, notRead } = pasted(tamsel, '1\t2\n3\tfour');
    expect(notRead).toEqual([expect.stringMatching(/^row 2, column 2: found "four"; expected a length/)]);
    expect(openCellsOf(table)({ line: 'chine', column: '3', quantity: 'height' })?.text).toBe('four');
    expect(heightOf(table, 'chine', '2')).toBe(3);
  });
  it('of other rows than are left is refused with what would fit; so is more than is pasted by hand', () => {
    const refused = (text: string) => {
      const result = pasteCells(tamsel, text, { ...from, line: 'chine' });
      return result.ok ? 'taken' : result.reason;
    };
    expect(refused('1\n2\n3')).toMatch(/has 3 rows; from here there are 2 rows, or 5 to the end/);
    expect(refused(Array.from({ length: 3 }, () => '1\t'.repeat(900)).join('\n'))).toMatch(/2000 at most/);
  });
});

describe('columns and lines', () => {
  const columnOf = (table: Table, key: string) => {
    const found = columnsOf(table).find((other) => other.key === key);
    if (!found) throw new Error(`no column ${key}`);
    return found;
  };
  const half = type(blank(), ['chine', '2', 'height'], 239.6);

  it('of a table that is typed are added in their place, renamed, moved and removed with what waits in them', () => {
    const added = addColumn(half, 1500, '2a');
    if (!added.ok) throw new Error(added.reason);
    expect(columnsOf(added.table).map(({ key }) => key)).toEqual([
      'stem',
      '1',
      '2',
      '2a',
      '3',
      '4',
      '5',
      '6',
      'transom',
    ]);
    const named = renamedColumn(half, columnOf(half, '2'), 'mould');
    expect(openCellsOf(named)({ line: 'chine', column: 'mould', quantity: 'height' })?.mm).toBe(239.6);
    expect(
      columnsOf(movedColumn(half, '2', 1))
        .map(({ key }) => key)
        .slice(1, 4),
    ).toEqual(['1', '3', '2']);
    expect(withoutColumn(half, columnOf(half, '2'))).toMatchObject({ openCells: [] });
    expect(columnsOf(withoutColumn(half, columnOf(half, '2')))).toHaveLength(7);
    expect(withoutLine(half, 'chine')).toMatchObject({
      openCells: [],
      longitudinals: [{ id: 'keel' }, { id: 'sheer' }],
    });
  });
  it('keep one name each', () => {
    expect(addColumn(half, 1500, '2')).toMatchObject({
      ok: false,
      reason: expect.stringContaining('station 2 already'),
    });
    expect(addColumn(tamsel, 9000, '9')).toMatchObject({ ok: false, reason: expect.stringContaining('22 to 4301') });
  });
});
