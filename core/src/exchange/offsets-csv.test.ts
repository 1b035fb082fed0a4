import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../project';
import { linesOf } from '../lines';
import { problemText } from './csv-cells';
import { readOffsets } from './offsets-csv';
import { decodeText } from './text-file';
import { writeOffsets, writeOffsetsTable } from '../lines/offsets-csv';

const LONG = `# units=mm
line,station,x,half_breadth,height
chine,1,600,300,120
chine,2,1200,400,90
sheer,1,600,380,420
sheer,2,1200,470,400
`;
const TABLE = `# units=ft-in-8ths
station,1,2
x,2-0-0,4-0-0
heights
chine,0-4-6,0-3-4+
sheer,1-4-4,1-3-6
half-breadths
chine,0-11-6,1-3-6
sheer,1-3-0,1-6-4
`;
const read = (text: string) => {
  const result = readOffsets(text);
  if (!result.ok) throw new Error(result.problems.map(problemText).join('; '));
  return result;
};

describe('readOffsets', () => {
  it('reads the long form in its order', () => {
    const { lines, form, notation } = read(LONG);
    expect([form, notation]).toEqual(['long', 'mm']);
    expect(lines.longitudinals.map((line) => line.id)).toEqual(['chine', 'sheer']);
    expect(lines.longitudinals[1]?.points[1]).toEqual({
      station: '2',
      x: 1200,
      halfBreadth: 470,
      height: 400,
    });
  });
  it('reads the table form in feet-inches-eighths', () => {
    const { lines, form } = read(TABLE);
    expect(form).toBe('table');
    // 0-3-4+ is 3 9/16 in
    expect(lines.longitudinals[0]?.points[1]?.height).toBeCloseTo(3.5625 * 25.4, 9);
    expect(lines.longitudinals[1]?.points[0]).toMatchObject({ station: '1', x: 609.6 });
  });
  it('takes inches with decimals, semicolons, a byte order mark, Windows line ends and comments', () => {
    const text =
      '\uFEFF# units=in\r\n# a ' +
      'comment\r\nline;station;x;half_breadth;height\r\nkeel;1;24;0;4.75\r\nkeel;2;48;0;3 1/2\r\n';
    expect(read(text).lines.longitudinals[0]?.points.map((p) => p.height)).toEqual([4.75 * 25.4, 3.5 * 25.4]);
  });
  it('says that it took millimetres when no unit is named', () => {
    expect(read(LONG.replace('# units=mm\n', '')).assumed[0]).toMatch(/millimetres/);
  });

  // Ten kinds of bad file, each refused at its row and column.
  it.each<[string, string, RegExp]>([
    ['an empty file', '', /row 1, column A.*empty/],
    ['a unit that is none', LONG.replace('units=mm', 'units=cubits'), /row 1, column units \(A\): found "cubits"/],
    ['a word for a figure', LONG.replace('400,90', 'four,90'), /row 4, column half_breadth \(D\): found "four"/],
    ['a figure left out', LONG.replace('380,420', '380,'), /row 5, column height \(E\): found nothing/],
    [
      'a column missing',
      LONG.replace(',height', ''),
      /row 2, column height \(E\): found nothing; expected a column named height/,
    ],
    ['a ragged row', LONG.replace('470,400', '470,400,7'), /row 6, column F: found "7"; expected 5 columns/],
    ['a line without a name', LONG.replace('sheer,1', ',1'), /row 5, column line \(A\): found nothing/],
    [
      'ten thousand columns',
      `${Array.from({ length: 10_000 }, (_, i) => `c${i}`).join(',')}\n1,2\n`,
      /column GS.*200 columns at most/,
    ],
    [
      'a line in one block only',
      TABLE.replace('sheer,1-3-0,1-6-4\n', ''),
      /row 6, column A: found "sheer"; expected the same line in both/,
    ],
    ['no positions of the stations', TABLE.replace('x,2-0-0,4-0-0\n', ''), /a row that starts with x/],
    ['prose', 'Dear builder,\nthe boat is long and thin.\n', /row 1, column A: found "Dear builder"/],
    [
      'a bare number among feet',
      TABLE.replace('0-11-6', '11'),
      /row 8, column station 1 \(B\): found "11"; expected feet-inches-eighths/,
    ],
    ['figures beyond any boat', LONG.replace('1200,400', '1200,400000'), /figures under 100 m/],
    [
      'a quotation mark left open, in one line of words',
      LONG.replace('1200,400', '1200,"400'),
      /^row \d+, column half_breadth \(D\): found "400[^\n]*its quotation mark is not closed on this line\n/,
    ],
    ['a heading and nothing else', 'line,station,x,half_breadth,height\n', /at least one point/],
  ])('refuses %s', (_name, text, wanted) => {
    const result = readOffsets(text);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.problems.map(problemText).join('\n')).toMatch(wanted);
  });

  it('gathers all problems of a file', () => {
    const result = readOffsets(LONG.replace('400,90', 'x,y').replace('380,420', '?,420'));
    expect(result.ok ? 0 : result.problems.length).toBe(3);
  });
  it('never throws, whatever the file (seed 8)', () => {
    const cell = fc.oneof(
      fc.string(),
      fc.constantFrom('line', 'x', 'heights', 'half-breadths', 'station', '1', '3-7-6', '# units=in', '"'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 6 }), { maxLength: 12 }), (rows) => {
        expect(typeof readOffsets(rows.map((row) => row.join(',')).join('\n')).ok).toBe('boolean');
      }),
      { seed: 8, numRuns: 500 },
    );
  });
});

describe('writing', () => {
  it.each(['tamsel', 'orrin'] as const)('gives back the table of %s in both forms', (id) => {
    const { lines, notation } = demoProject(id, 'x');
    for (const text of [writeOffsets(lines, notation), writeOffsetsTable(lines, notation)]) {
      const back = read(text).lines.longitudinals;
      expect(back.map((line) => line.id)).toEqual(lines.longitudinals.map((line) => line.id));
      back.forEach((line, k) =>
        line.points.forEach((p, i) => {
          const own = lines.longitudinals[k]?.points[i];
          expect(p.station).toBe(own?.station);
          for (const key of ['x', 'halfBreadth', 'height'] as const)
            expect(Math.abs(p[key] - (own?.[key] ?? NaN))).toBeLessThan(0.006);
        }),
      );
    }
  });
});

describe('lines that bound no panel', () => {
  const { lines } = demoProject('tamsel', 'x');
  const [keel, chine, sheer] = lines.longitudinals;
  if (!keel || !chine || !sheer) throw new Error('three lines are needed');
  const deck = { ...sheer, id: 'deck-edge', name: 'Deck-edge', isExtra: true };
  const withDeck = { ...lines, longitudinals: [keel, chine, sheer, deck] };
  it.each([
    ['long', writeOffsets(withDeck, 'mm')],
    ['table', writeOffsetsTable(withDeck, 'mm')],
  ])('are named in a comment of the %s form, and read back as such', (form, text) => {
    expect(text).toContain('# extra=deck-edge\n');
    const read = readOffsets(text);
    expect(read.ok && [read.form, read.lines.longitudinals.map((line) => line.isExtra === true)]).toEqual([
      form,
      [false, false, false, true],
    ]);
  });
  it('leave no comment where there are none', () => expect(writeOffsets(lines, 'mm')).not.toContain('extra'));
});

describe('tables as spreadsheets and plans have them', () => {
  const rows = (...lines: string[]) => `${lines.join('\n')}\n`;
  const BLOCKS = ['heights', 'keel,100,50,40', 'sheer,500,450,440', 'half-breadths', 'keel,0,0,0', 'sheer,0,300,290'];
  const points = (text: string, line = 1) => read(text).lines.longitudinals[line]?.points;
  it('with a first line that names the mark between cells', () => {
    expect(points(`sep=;\r\n${LONG.replace('# units=mm\n', '').replaceAll(',', ';')}`)?.[1]?.x).toBe(1200);
    const wrong = readOffsets(`sep=;\n${LONG.replace('# units=mm\n', '').replaceAll(',', ';').replace('470', 'x')}`);
    expect(wrong.ok ? '' : problemText(wrong.problems[0]!)).toMatch(/^row 6, column half_breadth \(D\): found "x"/);
  });
  it('with titles above, which are passed over and said', () => {
    const result = read(rows('Tamsel 430,,,', ',,,', 'Table of offsets, to the outside,,', LONG.trim()));
    expect(result.lines.longitudinals).toEqual(read(LONG).lines.longitudinals);
    expect(result.assumed.join()).toMatch(/Passed over above the table: Tamsel 430; Table of offsets to the outside/);
  });
  it('with a row of positions for all lines, and for one where its own differ, the rest blank', () => {
    const text = rows('station,stem,1,2', 'x,10,600,1200', 'x sheer,-40,,', ...BLOCKS);
    expect(points(text)?.map((p) => p.x)).toEqual([-40, 600, 1200]);
    expect(points(text, 0)?.map((p) => p.x)).toEqual([10, 600, 1200]);
  });
  it('with rows called as plans call them', () => {
    const [heights, keel, sheer, , ...others] = BLOCKS;
    const text = rows(
      'Station No.,stem,1,2',
      'Distance from stem,0,600,1200',
      `${heights} above base:`,
      `${keel}`,
      `${sheer}`,
      'Half Breadths from the centreline',
      ...others,
    );
    expect(points(text)?.[1]).toMatchObject({ station: '1', x: 600, height: 450, halfBreadth: 300 });
    const down = readOffsets(text.replace('above base', 'below the datum'));
    expect(down.ok ? '' : problemText(down.problems[0]!)).toMatch(/^row 3, column A: .*measured downwards/);
  });
  it('as "Unicode text": two bytes a letter, either way round, with its mark or without', () => {
    const text = LONG.replaceAll(',', '\t');
    const bytes = (isLittle: boolean, mark: string) =>
      Uint8Array.from(
        [...`${mark}${text}`].flatMap((letter) => {
          const code = letter.charCodeAt(0);
          return isLittle ? [code & 255, code >> 8] : [code >> 8, code & 255];
        }),
      );
    for (const isLittle of [true, false])
      for (const mark of ['\uFEFF', ''])
        expect(decodeText(bytes(isLittle, mark), () => undefined)).toEqual({ ok: true, text });
    expect(points(text)?.[1]?.x).toBe(1200);
    expect(decodeText(Uint8Array.from([104, 0xe9, 10]), () => undefined)).toEqual({ ok: true, text: 'hé\n' });
    expect(decodeText(Uint8Array.from([104, 105, 10, 0, 7]), () => undefined)).toEqual({ ok: false, byte: 3 });
  });
  it('with more rows or letters than a table has, refused before it is taken apart', () => {
    const refusal = (text: string) => {
      const result = readOffsets(text);
      return result.ok ? '' : problemText(result.problems[0]!);
    };
    expect(refusal('\n'.repeat(1_900_000) + 'x')).toMatch(/^row 5001, column A.*5000 rows at most/);
    expect(refusal('\n'.repeat(19_000_000))).toMatch(/letters at most/);
  });
});

describe('a knuckle, and names that mean something to a spreadsheet', () => {
  const odd = linesOf(
    [
      ['=1+1', '@sum'],
      ['#two', '-3'],
    ].map(([name, station], i) => ({
      id: name!,
      name: name!,
      points: [0, 600, 1200].map((x, k) => ({
        ...{ station: k === 1 ? station! : String(k), x, halfBreadth: 100 * i, height: 50 + k },
        ...(k === 1 ? { isKnuckle: true } : {}),
      })),
    })),
  );
  it.each([
    ['long', writeOffsets],
    ['table', writeOffsetsTable],
  ] as const)('come back from the %s form, and run nowhere', (_form, write) => {
    const text = write(odd, 'mm');
    expect(text).not.toMatch(/(^|,)[=@]/m);
    expect(read(text).lines.longitudinals).toEqual(odd.longitudinals);
  });
  it('a form without knuckles has no column for them', () => {
    expect(writeOffsets(demoProject('tamsel', 'x').lines, 'mm')).not.toContain('knuckle');
  });
});

describe('figures with marks of thousands', () => {
  const long = (...figures: string[]) => {
    const rows = figures.map((x, i) => `keel,${i},"${x}",${i},100`);
    return readOffsets(['# units=mm', 'line,station,x,half_breadth,height', ...rows, ''].join('\n'));
  };
  const xs = (result: ReturnType<typeof readOffsets>) =>
    result.ok ? result.lines.longitudinals[0]?.points.map((p) => p.x) : result.problems.map(problemText).join();
  it('that can be read two ways are asked about, by row and column', () => {
    expect(xs(long('600', '1,800'))).toBe(
      'row 4, column x (C): found "1,800"; expected 1.8 or 1800, as "1,800" can be read either way',
    );
    expect(xs(long('600', '1.900'))).toMatch(/row 4, column x \(C\): found "1.900"; expected 1.9 or 1900/);
    expect(xs(long('600', "1'200"))).toMatch(/row 4, column x \(C\): .*under 12 inches/);
  });
  it('are read as the rest of the table is written', () => {
    expect(xs(long('600.5', '1.900', '1900.000'))).toEqual([600.5, 1.9, 1900]);
    expect(xs(long('600', '1,234.5', '1,800'))).toEqual([600, 1234.5, 1800]);
  });
});
