import { describe, expect, it } from 'vitest';
import { at, area, boundsOf, contains, random, regionDistance, type Region } from '../geometry';
import { createDerive, demoProject, searchAll, type Project } from '../project';
import { laidWith, nextTurn, onlyPinned, pinned } from './by-hand';
import { faultsOf, placedRegion } from './check';
import { costsOf, LEAST_OFFCUT_MM, whereItGoes } from './costs';
import { placesByHand } from './laying/near-place';
import { laidBatches } from './layouts';
import { asKept, largestOffcut } from './offcut';
import type { NestResult, UsedSheet } from './result';
import type { NestJob } from './schema';

const project = demoProject('tamsel', 'x');
const derived = createDerive()(project);
const layouts = searchAll(project, derived, 6).sheets ?? [];
const laid = laidBatches(derived.sheets.value.batches, layouts).flatMap(({ batch, result }) =>
  result ? [{ batch, result }] : [],
);
const regionOn = (job: NestJob, placement: UsedSheet['placements'][number]): Region =>
  placedRegion(
    at(
      job.parts.filter(({ id }) => id === placement.part),
      0,
    ),
    placement,
  );
const withPiece = (result: NestResult, sheet: UsedSheet, moved: UsedSheet['placements'][number]): NestResult => ({
  ...result,
  sheets: result.sheets.map((one) =>
    one === sheet ? { ...one, placements: one.placements.map((p) => (p.part === moved.part ? moved : p)) } : one,
  ),
});

describe.each([1, 2, 3])('a piece moved by hand, seed %s', (seed) => {
  it('comes to lie clear of all, wherever it is put', () => {
    const next01 = random(seed);
    for (const { batch, result } of laid)
      for (const sheet of result.sheets)
        for (const { part, rotationDeg } of sheet.placements) {
          const find = placesByHand({
            job: batch.job,
            sheet: sheet.id,
            placements: sheet.placements,
            part,
            rotationDeg,
          });
          const wanted = [2440 * next01(), 1220 * next01()] as const;
          const place = find(wanted, { snapMm: 0, reachMm: 3000 });
          expect(place).toBeDefined();
          if (place) expect(faultsOf(batch.job, withPiece(result, sheet, place))).toEqual([]);
        }
  });
});

describe('a piece moved by hand', () => {
  const { batch, result } = at(laid, 0);
  const sheet = at(
    result.sheets.filter(({ placements }) => placements.length > 1),
    0,
  );
  const mover = at(sheet.placements, 0);
  const find = placesByHand({ ...{ job: batch.job, sheet: sheet.id, placements: sheet.placements }, ...mover });
  it('stays where it lies clear', () => {
    const place = find([mover.x, mover.y], { snapMm: 0, reachMm: 500 });
    expect(place).toEqual({ ...mover, copy: 0 });
  });
  it('goes to touching where it is near, with the gap and the margin', () => {
    const alone = placesByHand({
      job: batch.job,
      sheet: sheet.id,
      placements: [],
      ...{ part: mover.part, rotationDeg: 0 },
    });
    const box = boundsOf(
      at(
        batch.job.parts.filter(({ id }) => id === mover.part),
        0,
      ).outline,
    );
    const place = alone([9 + batch.job.margin - box.minX, 200 - box.minY], { snapMm: 12, reachMm: 400 });
    expect(place?.x).toBeCloseTo(batch.job.margin - box.minX, 6);
  });
  it('has no place where nothing is clear within reach', () => {
    const other = at(sheet.placements, 1);
    const full = find([other.x, other.y], { snapMm: 0, reachMm: 5 });
    expect(full).toBeUndefined();
  });
  it('makes the layout the builder’s: all as it lies; what is pinned alone once the rest is let go', () => {
    const put = { ...mover, sheet: sheet.id, index: sheet.index, x: mover.x + 1 };
    const all = laidWith([], { batch, result }, put);
    expect(all).toHaveLength(batch.job.parts.length);
    expect(all.find(({ id }) => id === mover.part)).toMatchObject({ x: mover.x + 1, isPinned: false });
    const kept = onlyPinned(pinned(all, mover.part, true));
    expect(kept.map(({ id }) => id)).toEqual([mover.part]);
    // another move keeps the pin
    const again = laidWith(pinned(all, mover.part, true), { batch, result }, undefined);
    expect(again.filter(({ isPinned }) => isPinned)).toHaveLength(1);
  });
  it('lies so in the boat: the layout is there at once, and nothing of it is another', () => {
    const all = laid.reduce((sum, one) => laidWith(sum, one, undefined), [] as ReturnType<typeof laidWith>);
    const byHand = createDerive()({ ...project, sheets: { ...project.sheets, laid: all } });
    const again = laidBatches(byHand.sheets.value.batches, []);
    again.forEach(({ batch: own, result: there }, k) => {
      expect(there && faultsOf(own.job, there)).toEqual([]);
      expect(there?.sheetsUsed).toBe(laid[k]?.result.sheetsUsed);
      expect(there?.density).toBeCloseTo(laid[k]?.result.density ?? 0, 9);
    });
  });
  it('turns by what its grain allows', () => {
    expect(nextTurn(batch, mover.part, 0)).toBe(180);
    expect(nextTurn(batch, mover.part, 180)).toBe(0);
    const free = at(
      at(laid, 1).batch.job.parts.filter(({ rotations }) => rotations.length === 4),
      0,
    );
    expect([0, 90, 180, 270].map((deg) => nextTurn(at(laid, 1).batch, free.id, deg))).toEqual([90, 180, 270, 0]);
  });
});

describe('what is left of a sheet', () => {
  const board = (x: number, w: number): NestJob => ({
    ...{ gap: 5, margin: 10 },
    sheets: [{ id: 'A', width: 1000, height: 600, qty: 1 }],
    parts: [
      {
        ...{ id: 'p', holes: [], qty: 1, rotations: [0], mirror: false },
        outline: [
          [x, 10],
          [x + w, 10],
          [x + w, 590],
          [x, 590],
        ],
      },
    ],
  });
  const sheet: UsedSheet = {
    ...{ id: 'A', index: 0 },
    placements: [{ part: 'p', copy: 0, x: 0, y: 0, rotationDeg: 0, mirrored: false }],
  };
  const batchOf = (job: NestJob) => ({ thickness: 6, kind: '', key: 'k', job });
  it('is the rest beside a board, to a cell of 10 mm, the gap kept', () => {
    const left = largestOffcut(sheet, batchOf(board(10, 385)), LEAST_OFFCUT_MM);
    expect(left?.box).toEqual({ minX: 400, maxX: 1000, minY: 0, maxY: 600 });
    expect(area(left?.outline ?? [])).toBeGreaterThan(0.98 * 600 * 600);
  });
  it('is nothing where only strips are left', () => {
    expect(largestOffcut(sheet, batchOf(board(60, 880)), LEAST_OFFCUT_MM)).toBeUndefined();
  });
  it('of every sheet of a boat lies on the sheet, clear of its parts by the gap', () => {
    for (const { batch, result } of laid)
      for (const one of result.sheets) {
        const left = largestOffcut(one, batch, LEAST_OFFCUT_MM);
        if (!left) continue;
        const { minX, minY, maxX, maxY } = boundsOf(left.outline);
        expect(Math.min(minX, minY, 2440 - maxX, 1220 - maxY)).toBeGreaterThan(-1e-3);
        for (const placement of one.placements)
          expect(regionDistance({ outline: left.outline, holes: [] }, regionOn(batch.job, placement))).toBeGreaterThan(
            batch.job.gap - 0.05,
          );
        expect(contains(left.outline, [(minX + maxX) / 2, (minY + maxY) / 2]) || left.outline.length > 4).toBe(true);
        const kept = asKept(left);
        for (const { x, y } of kept.outline) expect(x >= 0 && y >= 0 && x <= kept.width && y <= kept.height).toBe(true);
      }
  });
});

describe('what layouts cost', () => {
  const costs = (change: (p: Project) => Project) => {
    const own = change(project);
    const values = createDerive()(own);
    const found = searchAll(own, values, 6).sheets ?? [];
    const here = { batches: values.sheets.value.batches, layouts: found };
    return {
      ...costsOf(here, own.sheets.stock),
      area: whereItGoes({
        ...{ ...here, parts: values.sheets.value.parts, jointed: values.joints.value },
        ...{ panels: values.panels.value.panels, transoms: values.panels.value.transoms },
        frames: values.frames.value.frames,
      }),
    };
  };
  const plain = costs((p) => p);
  it('goes to the parts and the causes of waste, and to nothing else', () => {
    const { sheets, parts, laps, proud, gap, offcut, shape } = plain.area;
    expect(parts + laps + proud + gap + offcut + shape).toBeCloseTo(sheets, 3);
    expect(plain.bought.reduce((sum, { used }) => sum + used, 0) * 2440 * 1220).toBeCloseTo(sheets, 3);
    expect([proud, plain.cost]).toEqual([0, 0]);
    expect(laps).toBeGreaterThan(0);
  });
  it('counts what is there already, and the price of the rest', () => {
    const stock = project.sheets.stock.map((sheet) => ({ ...sheet, price: 80, onHand: sheet.thickness === 6 ? 1 : 0 }));
    const priced = costs((p) => ({ ...p, sheets: { ...p.sheets, stock } }));
    const six = priced.bought.find(({ id }) => id === 'sheet-6');
    expect([six?.there, six?.toBuy]).toEqual([1, (six?.used ?? 0) - 1]);
    expect(priced.cost).toBe(80 * priced.bought.reduce((sum, { toBuy }) => sum + toBuy, 0));
    expect([plain.unpriced > 0, priced.unpriced]).toEqual([true, 0]);
  });
  it('tells what is left on to be trimmed', () => {
    const left = costs((p) => ({ ...p, panels: { ...p.panels, proud: { lower: 10, upper: 10, fore: 0, aft: 0 } } }));
    // two panels a side, some 4.3 m along each of two edges
    expect(left.area.proud).toBeGreaterThan(2 * 2 * 2 * 4000 * 10);
    expect(left.area.proud).toBeLessThan(2 * 2 * 2 * 4700 * 10);
  });
});
