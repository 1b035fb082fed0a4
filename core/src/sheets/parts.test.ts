import { describe, expect, it } from 'vitest';
import DxfParser from 'dxf-parser';
import { area, at, contains, mirrored, signedArea, widened, type Outline, type Vec2 } from '../geometry';
import { writeDxf } from '../formats/writers';
import { createDerive, demoProject, searchAll, wholeOf, type Project } from '../project';
import { sheetsDrawings, sheetsTables } from './drawings';
import { judgeLayouts } from './judge';
import { layOut } from './layouts';
import { tallySheets, type SheetCount } from './tally';
import { nestBatches } from './batches';
import { howManyWords, jobPartName, listParts, piecesOf, type PartInput } from './parts';
import { nest } from './nest';
import type { SheetsPart } from './schema';

const project = demoProject('tamsel', 'x');
const derived = createDerive()(project);
const input: PartInput = {
  jointed: derived.joints.value,
  transoms: derived.panels.value.transoms,
  frames: derived.frames.value.frames,
  girders: derived.frames.value.girders,
  inside: derived.fitout.value.all,
  thickness: 6,
  transomThickness: 9,
  kinds: project.sheets.kinds,
  scribed: [],
  spares: [],
};
const framesOf = (changes: Partial<Pick<Project, 'school' | 'frames'>>) =>
  createDerive()({ ...project, ...changes }).frames.value.frames;
const parts = listParts(input);

describe('the list of parts', () => {
  it('has every piece, transom and bulkhead once, by a stable id', () => {
    expect(parts.map((part) => part.id)).toEqual([
      'keel-chine.1',
      'keel-chine.2',
      'chine-sheer.1',
      'chine-sheer.2',
      'transom',
      'frame.1',
      'frame.2',
      'frame.3',
      ...['inside.sole.1', 'inside.sole.2', 'inside.seats.1', 'inside.stern.1', 'inside.foredeck.1', 'wall.spray'],
      ...['frame.1.opening.1.doubler', 'frame.1.opening.1.lid'],
    ]);
  });
  it('says of every part what it is a piece of, or goes on', () => {
    const ofWhole = (whole: string) => parts.filter(({ of }) => of === whole).map(({ id }) => id);
    expect(ofWhole('keel-chine')).toEqual(['keel-chine.1', 'keel-chine.2']);
    expect(ofWhole('frame.1')).toEqual(['frame.1', 'frame.1.opening.1.doubler', 'frame.1.opening.1.lid']);
    expect(ofWhole('spray')).toEqual(['wall.spray']);
    const drawn = [...input.jointed.map(({ panel }) => panel), ...input.frames.map(({ id }) => id), 'transom'];
    const inside = [...input.inside, ...input.girders].map(({ id }) => id);
    for (const { of } of parts) expect([...drawn, ...inside]).toContain(of);
  });
  it('winds every outline the same way', () => {
    for (const part of parts) expect(signedArea(part.outline)).toBeGreaterThan(0);
  });
  it('leaves a framed boat’s frames to the timber', () => {
    expect(listParts({ ...input, frames: framesOf({ school: 'framed' }) }).map((part) => part.id)).not.toContain(
      'frame.1',
    );
  });
  it('cuts bulkheads smaller as the gap grows, by the gap all round', () => {
    const outline = (filletGap: number) =>
      at(
        listParts({ ...input, frames: framesOf({ frames: { ...project.frames, filletGap } }) }).filter(
          (p) => p.id === 'frame.2',
        ),
        0,
      ).outline;
    expect(area(outline(0))).toBeGreaterThan(area(outline(1.5)));
    expect(area(outline(1.5))).toBeGreaterThan(area(outline(5)));
  });
});

describe('jobs for the layout', () => {
  const { value: batches, findings } = nestBatches(parts, project.sheets);
  it('are one a thickness, with nothing to say when there is stock', () => {
    expect(batches.map((batch) => batch.thickness)).toEqual([6, 9]);
    expect(findings).toEqual([]);
  });
  it('make a pair as a part and its mirror, never two of one hand', () => {
    const jobParts = batches.flatMap(({ job }) => job.parts);
    for (const part of parts.filter((other) => other.isPair)) {
      const [starboard, port] = ['starboard', 'port'].map((hand) =>
        jobParts.find((other) => other.id === `${part.id}.${hand}`),
      );
      expect(starboard?.mirror).toBe(false);
      expect(port?.outline).toEqual(mirrored(starboard?.outline ?? []).map(([x, y]) => [x, y]));
    }
  });
  it('keep the face grain of skin parts: half turns only', () => {
    for (const part of at(batches, 0).job.parts) expect(part.rotations).toEqual([0, 180]);
  });
  it('have a spare beside the piece that it is of, of that hand, and none of a piece that the boat has not', () => {
    const spares = [
      { id: 'chine-sheer.1.port', qty: 2 },
      { id: 'transom', qty: 1 },
      { id: 'was here', qty: 3 },
    ];
    const more = createDerive()({ ...project, sheets: { ...project.sheets, spares } }).sheets.value;
    const pieces = more.parts.flatMap(piecesOf);
    const added = pieces.filter(({ spareOf }) => spareOf !== undefined);
    expect(added.map(({ name }) => name)).toEqual([
      'Side 1 of 2, port, spare 1',
      'Side 1 of 2, port, spare 2',
      'Transom, spare',
    ]);
    expect(pieces).toHaveLength(parts.flatMap(piecesOf).length + 3);
    expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length);
    const jobParts = more.batches.flatMap(({ job }) => job.parts);
    const outline = (id: string) => jobParts.find((part) => part.id === id)?.outline;
    for (const { id, spareOf } of added) expect(outline(id)).toEqual(outline(spareOf!));
    expect(howManyWords(more.parts.find(({ id }) => id === 'chine-sheer.1')!)).toBe('1 port, 1 starboard, 2 spare');
  });
  it('name their parts for the reader', () => {
    expect(jobPartName('chine-sheer.1.port', parts)).toBe('Side 1 of 2, port');
    expect(jobPartName('transom', parts)).toBe('Transom');
    expect(jobPartName('something else', parts)).toBe('something else');
  });
  it('say which thickness has no sheet, and lay out the rest', () => {
    const thin: SheetsPart = {
      ...project.sheets,
      stock: project.sheets.stock.filter((sheet) => sheet.thickness === 6),
    };
    const result = nestBatches(parts, thin);
    expect(result.value.map((batch) => batch.thickness)).toEqual([6]);
    expect(result.findings).toMatchObject([{ code: 'sheet-missing', data: { thicknessMm: 9 } }]);
  });
  it('say by name what fits on no sheet', () => {
    const small = nestBatches(parts, {
      ...project.sheets,
      stock: project.sheets.stock.map((sheet) => ({ ...sheet, width: 1300 })),
    });
    const batch = at(small.value, 1);
    const layouts = [{ key: batch.key, result: nest(batch.job, { seed: 1, rounds: 1 }), isFinal: true }];
    const found = judgeLayouts({ parts, batches: small.value }, layouts, project.sheets.stock);
    expect(found.flatMap(({ code, data }) => (code === 'part-unplaced' ? [data.part] : []))).toContain('Transom');
    expect(found.every((finding) => finding.severity === 'stop')).toBe(true);
  });
});

describe('too few sheets', () => {
  const short: SheetsPart = {
    ...project.sheets,
    stock: project.sheets.stock.filter(({ thickness }) => thickness === 6).map((sheet) => ({ ...sheet, qty: 1 })),
  };
  const value = { parts, batches: nestBatches(parts, short).value };
  const layouts = layOut(value.batches, 1, 2);
  const [six, nine] = tallySheets(value, layouts) as [SheetCount, SheetCount];
  const onSheet = layouts.flatMap(({ result }) => result.sheets.flatMap(({ placements }) => placements));
  it('are counted: every piece is on a sheet, or named as left off', () => {
    expect(six).toMatchObject({ thickness: 6, hasStock: true, tooLarge: [], untried: [] });
    expect(six.tooFew.length).toBeGreaterThan(0);
    expect(six.pieces).toBe(onSheet.length + six.tooFew.length);
    const ofSix = parts.filter(({ thickness }) => thickness === 6);
    expect(six.pieces).toBe(ofSix.reduce((sum, { isPair }) => sum + (isPair ? 2 : 1), 0));
    // no sheet of the transom's and the bulkheads' thickness
    expect(nine).toMatchObject({ thickness: 9, hasStock: false, result: undefined });
    expect(nine.tooFew).toHaveLength(nine.pieces);
  });
  it('stop the work, with as many more as have the area for what is left', () => {
    const [found] = judgeLayouts(value, layouts, short.stock);
    expect(found).toMatchObject({ severity: 'stop', code: 'sheets-too-few', data: { count: six.tooFew.length } });
    const leftMm2 = value.batches[0]!.job.parts.filter(({ id }) => six.tooFew.some((piece) => piece.id === id)).reduce(
      (sum, { outline }) => sum + area(outline),
      0,
    );
    const more = Math.ceil(leftMm2 / (2440 * 1220));
    expect(found?.remedies?.[0]?.edits).toEqual([{ path: ['sheets', 'stock', 'sheet-6', 'qty'], value: 1 + more }]);
  });
  it('are told on every sheet that is drawn, and in the list of parts', () => {
    const few = { ...project, sheets: short };
    const whole = wholeOf(few, createDerive()(few), { sheets: layouts });
    for (const { texts } of sheetsDrawings(whole))
      expect(texts.map(({ text }) => text).join()).toContain(`On no sheet: ${six.tooFew[0]!.name}`);
    const rows = sheetsTables(whole)[0]!.csv.trim().split('\n').slice(1);
    expect(rows).toHaveLength(six.pieces + nine.pieces);
    expect(rows.filter((row) => row.endsWith('on no sheet'))).toHaveLength(six.tooFew.length + nine.pieces);
  });
  it('are not what a layout that ran out of time tells', () => {
    let asked = 0;
    const result = nest(value.batches[0]!.job, { seed: 1, rounds: 9, isOver: () => ++asked > 20 });
    const cut = [{ key: value.batches[0]!.key, result, isFinal: true }];
    expect(result.isCut).toBe(true);
    expect(judgeLayouts(value, cut, short.stock).map(({ code }) => code)).toEqual(['layout-cut-short']);
  });
});

describe('a laid-out sheet, as it is cut from', () => {
  const tamsel = { ...demoProject('tamsel', 'x'), revision: 3 };
  const derived = createDerive()(tamsel);
  // beside each there is one for a machine, without words
  const drawings = sheetsDrawings(wholeOf(tamsel, derived, searchAll(tamsel, derived, 2))).filter(({ paths }) =>
    paths.every(({ layerName }) => layerName !== 'outside'),
  );
  const isIn = (outline: Outline, p: Vec2) => contains(widened(outline, 0.1)[0] ?? outline, p);
  const onPart = drawings.flatMap(({ paths, texts }) => {
    const [, ...others] = paths; // the first is the sheet's edge
    const cut = others.filter(({ layer }) => layer === 'cut');
    return cut
      .filter(
        ({ points }) => !cut.some((other) => other.points !== points && points.every((p) => isIn(other.points, p))),
      )
      .map(({ points }) => ({
        marks: others.filter((path) => path.layer === 'mark' && path.points.every((p) => isIn(points, p))),
        words: texts.filter(({ at: place }) => isIn(points, place)).map(({ text }) => text),
      }));
  });
  const named = (start: string) => onPart.find(({ words }) => words.some((word) => word.startsWith(start)));
  it('has on every part its name, the boat, the revision and the face that is up', () => {
    expect(onPart).toHaveLength(derived.sheets.value.parts.reduce((sum, { isPair }) => sum + (isPair ? 2 : 1), 0));
    for (const { words } of onPart) expect(words.join()).toMatch(/Tamsel 430, rev 3; (inside|aft|drawn|upper) face up/);
    for (const hand of ['port', 'starboard']) expect(named(`Side 1 of 2, ${hand}`)?.words).toContain('FORE');
  });
  it('has every mark on some part: what is marked on the panels is on their pieces, no more and no less', () => {
    const loose = drawings.flatMap(({ paths }) => paths.slice(1).filter(({ layer }) => layer === 'mark')).length;
    expect(onPart.reduce((sum, { marks }) => sum + marks.length, 0)).toBe(loose);
    // stations 1 to 6 on two panels, both hands
    const holes = onPart.flatMap(({ marks }) => marks.filter(({ circle }) => circle));
    expect(holes.length).toBeGreaterThan(100);
  });
  it('has the stations and the holes of both hands, mirrored', () => {
    const count = (hand: string, k: number) => named(`Side ${k} of 2, ${hand}`)?.marks.length;
    for (const k of [1, 2]) expect(count('port', k)).toBe(count('starboard', k));
    for (const station of ['1', '2', '3']) expect(named('Side 1 of 2, port')?.words).toContain(station);
  });
  it('says where each taper begins, on which face, and how long it is: 8 × 6 mm', () => {
    for (const hand of ['port', 'starboard']) {
      expect(named(`Bottom 1 of 2, ${hand}`)?.words).toContain('scarf 48 mm, taper on this face');
      expect(named(`Bottom 2 of 2, ${hand}`)?.words).toContain('scarf 48 mm, taper underneath');
    }
  });
  it('has its holes as circles, and no layer that is not documented', () => {
    const read = new DxfParser().parseSync(writeDxf(drawings[0]!));
    const circles = (read?.entities ?? []).filter(({ type }) => type === 'CIRCLE') as unknown as {
      radius: number;
      layer: string;
    }[];
    expect(circles.length).toBeGreaterThan(10);
    for (const { radius, layer } of circles) expect([radius, layer]).toEqual([1.5, 'HOLES']);
    const layers = new Set(read?.entities.map(({ layer }) => layer));
    for (const layer of layers)
      expect([
        'CUT',
        'MARK',
        'TEXT',
        'HOLES',
        'FRAMES',
        'INSIDE',
        'MEMBERS',
        'OUTSIDE',
        'SCREWS',
        'WATERLINE',
      ]).toContain(layer);
  });
});

it('an offcut is drawn with its true edge, and what is spoiled of a sheet on it, for every way of cutting', () => {
  const edge: Outline = [
    [0, 0],
    [2440, 0],
    [2440, 900],
    [0, 1220],
  ];
  const zones = [{ id: 'z', x: 2300, y: 700, width: 100, height: 80 }];
  const stock = project.sheets.stock.map((sheet) => ({ ...sheet, outline: edge.map(([x, y]) => ({ x, y })), zones }));
  const own = { ...project, sheets: { ...project.sheets, stock } };
  const values = createDerive()(own);
  const whole = wholeOf(own, values, searchAll(own, values, 2));
  const drawings = sheetsDrawings(whole);
  const [marked, machine] = ['sheet-', 'machine-'].map((word) => drawings.filter(({ name }) => name.startsWith(word)));
  expect(marked?.length).toBeGreaterThan(1);
  for (const { paths } of [...(marked ?? []), ...(machine ?? [])])
    expect(paths.some(({ points }) => edge.every((p) => points.some((q) => q[0] === p[0] && q[1] === p[1])))).toBe(
      true,
    );
  for (const { paths } of marked ?? [])
    expect(paths.filter(({ layerName }) => layerName === 'SPOILED')).toHaveLength(1);
});
