import { describe, expect, it } from 'vitest';
import { at, contains, widened } from '../geometry';
import { createDerive, demoProject, searchAll, type Project } from '../project';
import { nestBatches } from './batches';
import { netOfPiece } from './parts';
import type { SheetsPart } from './schema';
import { tallySheets } from './tally';
import { insideAtFirst } from '../fitout/schema';

const project = { ...demoProject('tamsel', 'x'), fitout: insideAtFirst() };
const withSheets = (sheets: Partial<SheetsPart>): Project => ({ ...project, sheets: { ...project.sheets, ...sheets } });
const derive = createDerive();
const sheetsOf = (sheets: Partial<SheetsPart>) => derive(withSheets(sheets)).sheets;
const six = at(project.sheets.stock, 0);
const nine = at(project.sheets.stock, 1);

describe('sheets of several kinds', () => {
  const kinds = { skin: 'Okoume', transoms: 'meranti', inside: '' };
  const stock = [{ ...six, kind: 'okoume ' }, nine, { ...nine, id: 'dear', kind: 'meranti' }];
  const { value, findings } = sheetsOf({ kinds, stock });
  it('are laid out apart, capitals and blanks told alike', () => {
    expect(findings).toEqual([]);
    expect(value.batches.map(({ thickness, kind }) => [thickness, kind])).toEqual([
      [6, 'Okoume'],
      [9, ''],
      [9, 'meranti'],
    ]);
    expect(value.batches.map(({ job }) => job.sheets.map(({ id }) => id))).toEqual([
      ['sheet-6'],
      ['sheet-9'],
      ['dear'],
    ]);
    const transoms = value.batches.find(({ kind }) => kind === 'meranti')?.job.parts.map(({ id }) => id);
    expect(transoms).toEqual(['transom']);
  });
  it('are counted apart, and told by kind where there are none', () => {
    const short = sheetsOf({ kinds, stock: stock.slice(0, 2) });
    expect(short.findings).toMatchObject([
      { code: 'sheet-missing', data: { thicknessMm: 9, kind: 'meranti', count: 1 } },
    ]);
    expect(short.findings[0]?.remedies).toEqual([
      { label: 'They are of meranti', edits: [{ path: ['sheets', 'stock', 'sheet-9', 'kind'], value: 'meranti' }] },
    ]);
    const counts = tallySheets(short.value, []);
    expect(counts.map(({ thickness, kind, hasStock }) => [thickness, kind, hasStock])).toEqual([
      [6, 'Okoume', true],
      [9, '', true],
      [9, 'meranti', false],
    ]);
  });
  it('give joints the length of the skin’s own sheets', () => {
    const long = { ...six, id: 'long', kind: 'birch', width: 9000 };
    const joints = (stockOf: SheetsPart['stock'], skin: string) =>
      derive(withSheets({ stock: stockOf, kinds: { ...kinds, skin } })).joints.value.reduce(
        (sum, panel) => sum + panel.joints.length,
        0,
      );
    expect(joints([...stock, long], 'okoume')).toBe(2);
    expect(joints([...stock, long], 'birch')).toBe(0);
  });
});

it('offcuts come first, then what is there, then what is cheapest for its area', () => {
  const stock = [
    { ...six, id: 'dear', price: 90 },
    { ...six, id: 'cheap', price: 60 },
    { ...six, id: 'there', price: 95, onHand: 2 },
    { ...six, id: 'left', isOffcut: true, width: 800 },
  ];
  expect(at(sheetsOf({ stock }).value.batches, 0).job.sheets.map(({ id }) => id)).toEqual([
    'left',
    'there',
    'cheap',
    'dear',
  ]);
});

describe('pieces laid by hand', () => {
  const found = searchAll(project, derive(project), 4).sheets ?? [];
  const laid = found.flatMap(({ result }) =>
    result.sheets.flatMap(({ id, index, placements }) =>
      placements.map(({ part, x, y, rotationDeg }) => ({
        ...{ id: part, sheet: id, index, x, y, rotationDeg, isPinned: false },
      })),
    ),
  );
  it('lie as a whole layout lies, and nothing is said', () => {
    const { value, findings } = sheetsOf({ laid });
    expect(findings).toEqual([]);
    expect(value.batches.reduce((sum, { job }) => sum + (job.fixed?.length ?? 0), 0)).toBe(laid.length);
  });
  it('that lie on one another, off the sheet or on none are laid out anew, and it is said by name', () => {
    const [a, b, ...rest] = laid;
    if (!a || !b) throw new Error('two pieces at least');
    const odd = [a, { ...b, sheet: a.sheet, index: a.index, x: a.x, y: a.y, rotationDeg: a.rotationDeg }, ...rest];
    const { findings } = sheetsOf({ laid: odd });
    expect(findings).toMatchObject([{ severity: 'check', code: 'laid-not-clear' }]);
    expect(findings[0]?.remedies?.[0]?.edits[0]?.value).toHaveLength(laid.length - 1);
    for (const wrong of [{ x: -500 }, { sheet: 'gone' }, { index: 400 }])
      expect(sheetsOf({ laid: [{ ...a, ...wrong }, b, ...rest] }).findings).toHaveLength(1);
  });
  it('of parts that are no longer there are passed over', () => {
    const more = [...laid, { ...at(laid, 0), id: 'a seat that was' }];
    expect(sheetsOf({ laid: more }).findings).toEqual([]);
  });
});

it('a part that is scribed in place is cut as a rectangle, with the part drawn on it', () => {
  const { value } = sheetsOf({ scribed: [{ id: 'frame.2', extra: 20 }] });
  const [part, bare] = [value, derive(project).sheets.value].map(({ parts }) =>
    parts.find(({ id }) => id === 'frame.2'),
  );
  expect(part?.outline).toHaveLength(4);
  expect(part?.net).toHaveLength(bare?.outline.length ?? 0);
  expect(part?.holes).toBeUndefined();
  // it lies on its blank wherever that lies
  const net = netOfPiece('frame.2', value.parts) ?? [];
  const [room] = widened(part?.outline ?? [], 1e-3);
  for (const p of net) expect(contains(room ?? [], p)).toBe(true);
  expect(netOfPiece('frame.1', value.parts)).toBeUndefined();
  expect(nestBatches(value.parts, project.sheets).findings).toEqual([]);
});
