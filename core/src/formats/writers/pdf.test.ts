import { describe, expect, it } from 'vitest';
import { area, polylineLength, type Vec2 } from '../../geometry';
import { formatWithUnit } from '../../measure';
import { createDerive, demoProject } from '../../project';
import { outgoingDrawings } from '../../exchange/export-files';
import { drawingBounds, type Drawing } from '../drawing';
import { readPdf } from './fixtures/read-pdf';
import { PAPERS } from '../paper';
import { writePdf, writeTiles, type PdfHead } from './pdf';

const project = demoProject('tamsel', 'x');
const drawings = outgoingDrawings({ project, derived: createDerive()(project), found: {} }).map(({ item }) => item);
const HEAD: PdfHead = {
  ...{ boat: 'Tamsel 430', revision: 1, unit: 'mm', notation: 'mm', date: '2026-01-31' },
  square: { mm: 100, words: '100 mm' },
};
/** Figures in the file are rounded to 0.01 pt, 0.0035 mm. */
const FILE_MM = 0.005;

const isSquare = (path: readonly Vec2[]) =>
  path.length === 5 &&
  Math.abs(polylineLength(path) - 400) < 0.02 &&
  Math.abs(Math.abs(area(path.slice(0, 4))) - 1e4) < 2;

describe('a drawing on one page', () => {
  it.each(drawings.map((drawing) => [drawing.name, drawing] as const))('%s is true to size', (_name, drawing) => {
    const pages = readPdf(writePdf(drawing, HEAD));
    expect(pages).toHaveLength(1);
    const [page] = pages as [(typeof pages)[number]];
    // the square, and of a part its two dimensions with their ticks
    const isPart = ['chine-sheer', 'keel-chine', 'transom', 'frame', 'inside', 'wall', 'stick'].some((part) =>
      drawing.name.startsWith(part),
    );
    expect(page.paths).toHaveLength(drawing.paths.length + (isPart ? 7 : 1));
    const [first] = drawing.paths as [Drawing['paths'][number]];
    const [dx, dy] = [page.paths[0]![0]![0] - first.points[0]![0], page.paths[0]![0]![1] - first.points[0]![1]];
    drawing.paths.forEach(({ points, isClosed }, i) => {
      const read = page.paths[i]!;
      expect(read).toHaveLength(points.length + (isClosed ? 1 : 0));
      points.forEach((p, k) =>
        expect(Math.hypot(read[k]![0] - p[0] - dx, read[k]![1] - p[1] - dy)).toBeLessThan(2 * FILE_MM),
      );
      for (const [x, y] of read) {
        expect(x > 0 && x < page.widthMm).toBe(true);
        expect(y > 0 && y < page.heightMm).toBe(true);
      }
    });
    expect(page.paths.filter(isSquare).length).toBeGreaterThan(0);
  });
  it('of a part has its length and depth over all, as long on paper as they say', () => {
    const side = drawings.find(({ name }) => name === 'chine-sheer')!;
    const { minX, maxX, minY, maxY } = drawingBounds(side);
    const [page] = readPdf(writePdf(side, HEAD));
    const words = page!.texts.map(({ text }) => text);
    for (const mm of [maxX - minX, maxY - minY]) {
      expect(words).toContain(`${Math.round(mm)} mm`);
      const lines = page!.paths.filter((path) => path.length === 2 && Math.abs(polylineLength(path) - mm) < 0.02);
      expect(lines.length).toBeGreaterThan(0);
    }
    const [inInches] = readPdf(writePdf(side, { ...HEAD, notation: 'ft-in-8ths' }));
    expect(inInches!.texts.map(({ text }) => text)).toContain(formatWithUnit(maxX - minX, 'ft-in-8ths'));
  });
  it('is true to size when longer than a page of the format may be', () => {
    const long: Drawing = {
      name: 'long',
      texts: [],
      paths: [
        {
          layer: 'cut',
          isClosed: false,
          points: [
            [0, 0],
            [7300, 0],
          ],
        },
      ],
    };
    const [page] = readPdf(writePdf(long, HEAD));
    expect(polylineLength(page!.paths[0]!)).toBeCloseTo(7300, 1);
    expect(page!.widthMm).toBeGreaterThan(7300);
  });
  it('is the same file every time, and takes letters that the format does not have', () => {
    const odd: Drawing = { ...drawings[0]!, texts: [{ at: [0, 0], heightMm: 5, text: 'Bótur − Σ' }] };
    expect(writePdf(odd, HEAD)).toEqual(writePdf(odd, HEAD));
    expect(readPdf(writePdf(odd, HEAD))[0]!.words).toContain('- ?');
  });
});

describe.each(['A4', 'Letter'] as const)('a drawing on %s pages', (paper) => {
  const drawing = drawings.find((other) => other.name === 'keel-chine')!;
  const [map, ...tiles] = readPdf(writeTiles(drawing, { paper, isEdgesOnly: false }, HEAD));
  it('has pages of that paper, a map first, and a square of 100 mm on each', () => {
    for (const page of [map!, ...tiles]) {
      const sides = [page.widthMm, page.heightMm].sort((a, b) => a - b);
      expect(sides[0]).toBeCloseTo(PAPERS[paper].width, 1);
      expect(sides[1]).toBeCloseTo(PAPERS[paper].height, 1);
    }
    for (const tile of tiles) expect(tile.paths.filter(isSquare)).toHaveLength(1);
    expect(map!.words).toContain(`${tiles.length} pages`);
  });
  it('shows every part of the edge inside some tile, and all tiles the same drawing', () => {
    const edge = drawing.paths[0]!.points;
    const seen = new Set<number>();
    for (const tile of tiles) {
      // the path is whole on every page, clipped by the frame: the drawing's place on the page is where it lies
      const read = tile.paths.find((path) => path.length === edge.length + 1)!;
      expect(polylineLength(read)).toBeCloseTo(polylineLength([...edge, edge[0]!]), 0);
      read.slice(0, -1).forEach(([x, y], k) => {
        if (x > 10 && x < tile.widthMm - 10 && y > 10 && y < tile.heightMm - 10) seen.add(k);
      });
    }
    expect(seen.size).toBe(edge.length);
    const box = drawingBounds(drawing);
    const fewest = ((box.maxX - box.minX) * (box.maxY - box.minY)) / (PAPERS[paper].width * PAPERS[paper].height);
    expect(tiles.length).toBeLessThan(4 * fewest + 10);
  });
});
