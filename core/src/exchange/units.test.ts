/** A boat in inches says nothing in millimetres, nor one in millimetres in inches: findings, paper, tables' words. */
import { describe, expect, it } from 'vitest';
import { fromWords } from '../epoxy';
import { NOTATIONS, isImperial, type Notation } from '../measure';
import { allFindings, createDerive, DEMO_IDS, demoProject, newProject, searchAll, sentence } from '../project';
import { CATALOGUE } from '../project/sentences';
import { outgoingDrawings, outgoingSheets, outgoingTables, pdfHead, writeSheets } from './export-files';
import { readPdf } from '../formats/writers/fixtures/read-pdf';
import { writePdf } from '../formats/writers';
import { startLines } from '../lines';

/** A figure with its unit, as it stands in words. */
const METRIC = /\d ?(mm²?|cm²?|m²?|kg|g|g\/m²|litres?|l)(?![\p{L}\d])/u;
const IMPERIAL = /\d ?(in|ft|yd|oz|lb|in²|ft²|oz\/yd²|"|′|″)(?![\p{L}\d])|\d-\d+-\d|\d ?'/u;
/** Sheets are sold by millimetres everywhere, and are said so beside their inches. */
const SHEET_BESIDE_INCHES = /\d+(\/\d+)?( \d+\/\d+)? in \([\d.]+ mm\)/g;
const FILES_OF_THE_SHOP = /Roll|DXF|SVG/;

const wrong = (text: string, notation: Notation): boolean =>
  isImperial(notation) ? METRIC.test(text.replace(SHEET_BESIDE_INCHES, '')) : IMPERIAL.test(text);

describe.each(NOTATIONS.map((notation) => [notation] as const))('all words of a boat in %s', (notation) => {
  it('in findings, as their examples have them and as the demos do', () => {
    for (const [code, { example }] of Object.entries(CATALOGUE)) {
      const said = sentence({ code, severity: 'check', where: { stage: 'lines' }, data: example } as never, notation);
      // what may be typed is said in every notation; a slip is named by how the table was written
      if (code !== 'cell-not-read' && !code.includes('slip')) expect(wrong(said, notation), said).toBe(false);
    }
    for (const id of DEMO_IDS) {
      const project = { ...demoProject(id, 'x'), notation };
      const derived = createDerive()(project);
      for (const finding of allFindings(derived, { project, found: searchAll(project, derived, 1) })) {
        const said = sentence(finding, notation);
        if (!finding.code.includes('slip')) expect(wrong(said, notation), said).toBe(false);
        for (const { label } of finding.remedies ?? [])
          expect(wrong(label, notation) && !/(inch|mm) (less|more)/.test(label), label).toBe(false);
      }
    }
  });
  // every boat in the plainest of either unit, one boat in every notation
  const boats = notation === 'mm' || notation === 'in-16' ? DEMO_IDS : DEMO_IDS.slice(0, 1);
  it.each(boats)('on the paper of %s', (id) => {
    const project = { ...demoProject(id, 'x'), notation };
    const derived = createDerive()(project);
    const work = { project, derived, found: searchAll(project, derived, 1) };
    for (const { item, file } of outgoingSheets(work))
      for (const page of readPdf(writeSheets(item)))
        for (const { text } of page.texts) expect(wrong(text, notation), `${file}: ${text}`).toBe(false);
    for (const { item, file } of outgoingDrawings(work)) {
      const [page] = readPdf(writePdf(item, pdfHead(work)));
      for (const { text } of page?.texts ?? [])
        if (!FILES_OF_THE_SHOP.test(text)) expect(wrong(text, notation), `${file}: ${text}`).toBe(false);
    }
    for (const { item, file } of outgoingTables(work))
      for (const line of item.csv.replaceAll('"', '').split('\n'))
        expect(wrong(line, notation), `${file}: ${line}`).toBe(false);
    for (const { from } of derived.epoxy.value.lines) {
      const said = fromWords(from, notation);
      expect(wrong(said, notation), said).toBe(false);
    }
  });
});

it('a new boat in inches has its sheets, holes and marks in inches', () => {
  const started = startLines('skiff', {});
  if (!started.ok) throw new Error('the usual dimensions work');
  const { sheets, panels, joints, epoxy } = newProject({
    ...{ id: 'x', name: 'x', notation: 'in-16', lines: started.lines },
  });
  const inches = (mm: number) => Number((mm / 25.4).toFixed(6));
  expect(sheets.stock.map(({ width, height }) => [inches(width), inches(height)])).toEqual([
    [96, 48],
    [96, 48],
  ]);
  expect(inches(panels.stitches.spacing)).toBe(6);
  expect(inches(panels.markingStep)).toBe(12);
  expect(inches(epoxy.tapeWidth)).toBe(3);
  for (const mm of [sheets.gap, sheets.margin, panels.stitches.inset, joints.clearOfFrames, epoxy.filletRadius])
    expect(inches(mm) * 8).toBeCloseTo(Math.round(inches(mm) * 8), 6);
});
