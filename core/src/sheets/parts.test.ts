import { describe, expect, it } from 'vitest';
import { area, at, mirrored, signedArea } from '../geometry';
import { createDerive, demoProject } from '../project';
import { jobPartName, listParts, nestBatches, unplacedFindings, type PartInput } from './parts';
import { nest } from './nest';
import type { SheetsPart } from './schema';

const project = demoProject('tamsel', 'x');
const derived = createDerive()(project);
const input: PartInput = {
  jointed: derived.joints.value,
  transoms: derived.panels.value.transoms,
  frames: derived.frames.value,
  thickness: 6,
  transomThickness: 9,
  school: 'filleted',
  filletGap: 1.5,
};
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
    ]);
  });
  it('winds every outline the same way', () => {
    for (const part of parts) expect(signedArea(part.outline)).toBeGreaterThan(0);
  });
  it('leaves a framed boat’s frames to the timber', () => {
    expect(listParts({ ...input, school: 'framed' }).map((part) => part.id)).not.toContain('frame.1');
  });
  it('cuts bulkheads smaller as the gap grows, by the gap all round', () => {
    const outline = (filletGap: number) =>
      at(
        listParts({ ...input, filletGap }).filter((p) => p.id === 'frame.2'),
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
    const { parts: jobParts } = at(batches, 0).job;
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
    expect(result.findings.map((finding) => [finding.code, finding.data['thicknessMm']])).toEqual([
      ['sheet-missing', 9],
    ]);
  });
  it('say by name what fits on no sheet', () => {
    const small = nestBatches(parts, {
      ...project.sheets,
      stock: project.sheets.stock.map((sheet) => ({ ...sheet, width: 1300 })),
    });
    const batch = at(small.value, 1);
    const found = unplacedFindings(batch, nest(batch.job, { seed: 1, rounds: 1 }), parts);
    expect(found.map((finding) => finding.data['part'])).toContain('Transom');
    expect(found.every((finding) => finding.severity === 'stop')).toBe(true);
  });
});
