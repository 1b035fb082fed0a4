import { describe, expect, it } from 'vitest';
import { at } from '../geometry';
import { demoProject } from '../project';
import { battenAt, crossingsOfX } from './batten';
import { bendLines } from './hull';
import {
  addLine,
  addStation,
  changeColumn,
  endForEnd,
  endPlane,
  moveColumn,
  moveLine,
  removeColumn,
  setEndPlane,
  tableColumns,
  turnHeights,
  type Lines,
  type TableChange,
} from './table';

const tamsel: Lines = demoProject('tamsel', 'x').lines.longitudinals;
const orrin: Lines = demoProject('orrin', 'x').lines.longitudinals;
const keys = (lines: Lines) => tableColumns(lines).map(({ key }) => key);
const column = (lines: Lines, key: string) => {
  const found = tableColumns(lines).find((other) => other.key === key);
  if (!found) throw new Error(`no column ${key}`);
  return found;
};
const taken = (change: TableChange): Lines => {
  if (!change.ok) throw new Error(change.reason);
  return change.lines;
};
const refused = (change: TableChange): string => (change.ok ? 'taken' : change.reason);
const point = (lines: Lines, id: string, station: string) => {
  const found = lines.find((line) => line.id === id)?.points.find((p) => p.station === station);
  if (!found) throw new Error(`no point ${id} ${station}`);
  return found;
};

describe('columns', () => {
  it('come in the order of the boat; an end has no x of its own', () => {
    expect(keys(tamsel)).toEqual(['stem', '1', '2', '3', '4', '5', '6', 'transom']);
    expect(column(tamsel, '3').x).toBe(1800);
    expect(column(tamsel, 'stem').x).toBeNull();
    expect(column(tamsel, 'transom').cells.size).toBe(3);
  });
  it('keep the order of the lines where a raked end lies abaft the first station in x', () => {
    const raked = changeColumn(tamsel, column(tamsel, 'stem'), (p) => ({ ...p, x: p.height < 400 ? 900 : p.x }));
    expect(keys(raked).slice(0, 2)).toEqual(['stem', '1']);
  });
  it('take points without a label by their x, and a label that a line has twice as two', () => {
    const lines: Lines = [
      {
        id: 'a',
        name: 'A',
        points: [0, 500, 900].map((x) => ({ station: x === 500 ? '' : 'post', x, halfBreadth: 1, height: 2 })),
      },
    ];
    expect(keys(lines)).toEqual(['post', 'x 500', 'post (2)']);
  });
  it('do not hang on lines that contradict each other', () => {
    const [keel, chine, sheer] = [at(tamsel, 0), at(tamsel, 1), at(tamsel, 2)];
    const contrary: Lines = [keel, { ...chine, points: [...chine.points].reverse() }, sheer];
    expect(keys(contrary).sort()).toEqual(keys(tamsel).sort());
  });
});

describe('stations', () => {
  it('one more lies on every batten, so that no line changes shape by more than it was rounded', () => {
    const before = bendLines({ longitudinals: [...tamsel] }).value;
    const added = taken(addStation(tamsel, 2050, '3a'));
    expect(keys(added)).toEqual(['stem', '1', '2', '3', '3a', '4', '5', '6', 'transom']);
    const after = bendLines({ longitudinals: [...added] }).value;
    for (const x of [700, 1500, 2000, 2100, 3300])
      before.lines.forEach((line, i) => {
        const [, y, z] = battenAt(line.batten, at(crossingsOfX(line.batten, x), 0)).position;
        const other = at(after.lines, i).batten;
        const [, y2, z2] = battenAt(other, at(crossingsOfX(other, x), 0)).position;
        expect(Math.hypot(y - y2, z - z2)).toBeLessThan(0.15);
      });
  });
  it('one where no line passes, or of a name that is there, is refused and says what would do', () => {
    expect(refused(addStation(tamsel, 9000, '9'))).toMatch(/expected 22 to 4301 mm/);
    expect(refused(addStation(tamsel, 2000, '3'))).toMatch(/station 3 already/);
  });
  it('moved there and back, or one added and removed, leave the table as it was', () => {
    expect(moveColumn(moveColumn(tamsel, '3', 1), '3', -1)).toEqual(tamsel);
    const added = taken(addStation(tamsel, 2050, '3a'));
    expect(removeColumn(added, column(added, '3a'))).toEqual(tamsel);
    expect(moveColumn(tamsel, 'stem', -1)).toEqual(tamsel);
  });
});

describe('lines', () => {
  it('one more lies halfway between its neighbours and bounds two panels more', () => {
    const lines = taken(addLine(tamsel, 'Second chine', 'chine'));
    expect(lines.map(({ id }) => id)).toEqual(['keel', 'chine', 'second-chine', 'sheer']);
    expect(point(lines, 'second-chine', '3').halfBreadth).toBeCloseTo((449.6 + 532.2) / 2, 1);
    expect(bendLines({ longitudinals: [...lines] }).findings).toEqual([]);
    expect(refused(addLine(tamsel, 'Keel', 'chine'))).toMatch(/already/);
  });
  it('moved past the end stay where they are', () => {
    expect(moveLine(tamsel, 'keel', -1)).toEqual(tamsel);
    expect(moveLine(tamsel, 'keel', 1).map(({ id }) => id)).toEqual(['chine', 'keel', 'sheer']);
  });
  it('turned end for end or upside down twice are as they were', () => {
    const twice = endForEnd(endForEnd(tamsel));
    twice.forEach((line, i) =>
      line.points.forEach((p, k) => expect(p.x).toBeCloseTo(at(at(tamsel, i).points, k).x, 9)),
    );
    const over = turnHeights(turnHeights(tamsel, 900), 900);
    over.forEach((line, i) =>
      line.points.forEach((p, k) => expect(p.height).toBeCloseTo(at(at(tamsel, i).points, k).height, 9)),
    );
  });
});

describe('ends', () => {
  it('a transom is found, and one set is found again; the battens keep their shape', () => {
    const transom = endPlane(tamsel, 'aft');
    expect(transom?.rakeDeg).toBeGreaterThan(5);
    expect(endPlane(tamsel, 'fore')).toBeNull(); // a stem
    expect(endPlane(orrin, 'fore')).not.toBeNull();
    for (const plane of [
      { atBase: 4100, rakeDeg: 0 },
      { atBase: 4230, rakeDeg: 20 },
    ]) {
      const lines = taken(setEndPlane(tamsel, 'aft', plane));
      const found = endPlane(lines, 'aft');
      expect(found?.atBase).toBeCloseTo(plane.atBase, 0);
      expect(found?.rakeDeg).toBeCloseTo(plane.rakeDeg, 1);
      expect(Math.abs(point(lines, 'sheer', 'transom').halfBreadth - 709.1)).toBeLessThan(6);
    }
  });
  it('a transom among the stations or lying flat is refused', () => {
    expect(refused(setEndPlane(tamsel, 'aft', { atBase: 3000, rakeDeg: 0 }))).toMatch(/beyond its next point/);
    expect(refused(setEndPlane(tamsel, 'aft', { atBase: 4200, rakeDeg: 80 }))).toMatch(/60° at most/);
    expect(refused(setEndPlane(tamsel, 'aft', { atBase: 4200, rakeDeg: NaN }))).toMatch(/60° at most/);
  });
});
