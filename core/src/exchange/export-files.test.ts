import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { area, at, polylineLength, type Vec2 } from '../geometry';
import { createDerive, demoProject, searchAll } from '../project';
import { faultsOf } from '../sheets';
import { EXPORT_KINDS, exportFiles, outgoingDrawings } from './export-files';
import { readProjectFile } from './project-file';
import { layerWord, readDxf } from '../formats';
import { writeDxf } from '../formats/writers/dxf';
import { writeSvg } from '../formats/writers/svg';

const project = demoProject('tamsel', 'x');
const derived = createDerive()(project);
const found = searchAll(project, derived, 3);
const drawings = outgoingDrawings({ project, derived, found }).map(({ item }) => item);
const closed = (points: readonly Vec2[]): Vec2[] => [...points, points[0] as Vec2];

type ReadPolyline = { layer: string; shape: boolean; vertices: { x: number; y: number }[] };
const dxfCuts = (text: string): Vec2[][] =>
  ((new DxfParser().parseSync(text)?.entities ?? []) as unknown as ReadPolyline[])
    .filter((entity) => entity.layer === 'CUT')
    .map((entity) => entity.vertices.map(({ x, y }): Vec2 => [x, y]));
const svgCuts = (text: string): Vec2[][] =>
  [...text.matchAll(/<path class="cut" d="([^"]+)"/g)].map((match) =>
    [...(match[1] ?? '').matchAll(/[ML]([-\d.]+) ([-\d.]+)/g)].map((p): Vec2 => [Number(p[1]), Number(p[2])]),
  );

describe('files to cut from, read back by other means', () => {
  it('has a drawing for each panel, transom, frame and sheet', () => {
    const names = drawings.map((drawing) => drawing.name);
    expect(names).toEqual(
      expect.arrayContaining(['keel-chine', 'chine-sheer', 'transom', 'frame.1', 'frame.3', 'sheet-6mm-sheet-6-1']),
    );
    expect(new Set(names).size).toBe(names.length);
  });

  it.each(derived.panels.value.panels.map((panel) => [panel.id, panel] as const))(
    '%s keeps its size within 0.05 mm',
    (id, panel) => {
      const drawing = drawings.find((other) => other.name === id);
      if (!drawing) throw new Error('no drawing');
      for (const cuts of [dxfCuts(writeDxf(drawing)), svgCuts(writeSvg(drawing))]) {
        expect(cuts).toHaveLength(1);
        const outline = cuts[0] as Vec2[];
        expect(Math.abs(polylineLength(closed(outline)) - polylineLength(closed(panel.outline)))).toBeLessThan(0.05);
        // a strip 0.05 mm wide all round is the most that the area may differ by
        expect(Math.abs(area(outline) - panel.areaM2 * 1e6)).toBeLessThan(0.05 * polylineLength(panel.outline));
      }
    },
  );

  it('says millimetres: in the DXF by its unit, in the SVG by its page and a 100 mm square', () => {
    const drawing = drawings[0];
    if (!drawing) throw new Error('no drawing');
    expect(new DxfParser().parseSync(writeDxf(drawing))?.header['$INSUNITS']).toBe(4);
    const svg = writeSvg(drawing);
    const [, width, , viewWidth] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+)/.exec(svg) ?? [];
    expect(width).toBe(viewWidth);
    expect(svg).toContain('h100v100h-100Z');
  });

  it('keeps the layouts that it draws within their rules', () => {
    derived.sheets.value.batches.forEach(({ job }, i) =>
      expect(faultsOf(job, at(found.sheets ?? [], i).result)).toEqual([]),
    );
  });

  it('names every file once, and gives the project back', () => {
    const files = exportFiles({ project, derived, found }, EXPORT_KINDS);
    expect(new Set(files.map((file) => file.name)).size).toBe(files.length);
    const own = files.find((file) => file.name.endsWith('.kalotrope.json'));
    const back = readProjectFile(String(own?.content));
    expect(back.ok && back.project).toEqual(project);
  });

  it('names each once, readably, whatever its lines, stations and frames are called', () => {
    const [first, ...others] = project.frames.frames;
    const letters = ['Киль', 'скула', '船舷'];
    const lines = project.lines.longitudinals.map((line, i) => ({
      ...line,
      id: letters[i] ?? line.id,
      name: letters[i] ?? line.name,
      points: line.points.map((p) => ({ ...p, station: p.station.replace(/^2$/, '1½') })),
    }));
    const named = {
      ...project,
      name: 'Ё-лодка\r\n№ 7',
      lines: { ...project.lines, longitudinals: lines },
      frames: { ...project.frames, frames: [first!, { ...first!, x: 2000 }, ...others] },
    };
    const names = exportFiles({ project: named, derived: createDerive()(named), found: {} }, EXPORT_KINDS).map(
      ({ name }) => name,
    );
    expect(new Set(names.map((name) => name.toLowerCase())).size).toBe(names.length);
    for (const name of names) expect(name).toMatch(/^ё-лодка-7[-.][\p{L}\p{M}\p{N}.-]+\.(json|dxf|svg|pdf|stl|csv)$/u);
    for (const part of ['киль-скула', 'скула-船舷', 'section-1', 'section-1½', 'frame-1', 'frame-1-2'])
      expect(names).toContain(`ё-лодка-7-${part}.dxf`);
  });

  it('lets no name break out of its place in a file', () => {
    const wicked = 'Keel\r\n  0\r\nLINE\u0000\u2028\u202e<b>';
    const drawing = {
      name: wicked,
      paths: [],
      texts: [{ at: [0, 0] as const, heightMm: 5, text: wicked, layerName: layerWord(wicked) }],
    };
    const read = readDxf(writeDxf(drawing));
    expect(read.ok && [read.content.lines.length, read.content.words]).toEqual([
      0,
      [{ layer: 'KEEL 0 LINE B', at: [0, 0], text: 'Keel 0 LINE <b>' }],
    ]);
    expect(writeSvg(drawing)).not.toMatch(/[\0\u2028\u202e\r]|<b>/);
    const data = {
      ...project,
      lines: {
        ...project.lines,
        longitudinals: project.lines.longitudinals.map((line) => ({ ...line, name: wicked })),
      },
    };
    const back = readProjectFile(JSON.stringify({ ...data, note: 'two\nlines' }));
    expect(back.ok && [back.project.lines.longitudinals[0]?.name, back.project.note]).toEqual([
      'Keel 0 LINE <b>',
      'two\nlines',
    ]);
  });

  it('keeps what could be taken for markup out of an SVG', () => {
    const svg = writeSvg({
      name: '<script>',
      paths: [],
      texts: [{ at: [0, 0], heightMm: 5, text: '<b> & "c"' }],
    });
    expect(svg).not.toMatch(/<script|<b>/);
  });
});
