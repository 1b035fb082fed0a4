import { describe, expect, it } from 'vitest';
import { random } from '../geometry';
import { MM_PER_INCH } from '../measure';
import { createDerive, demoProject, searchAll, shoppingList } from '../project';
import { wholeOf } from '../project/whole';
import { soldWords, toBuyLines } from './buying';
import { planOf } from './judge';
import { soldFor } from './sold';

const KERF = 3;
const inches = (width: number, depth: number) => ({ width: width * MM_PER_INCH, depth: depth * MM_PER_INCH });

describe('the section that a piece comes out of', () => {
  it.each([
    // as large as it comes
    [inches(1.5, 0.75), '1 × 2', 1],
    [inches(0.75, 1.5), '1 × 2', 1],
    [inches(3.5, 1.5), '2 × 4', 1],
    // a hair thicker: the next
    [inches(1.5, 0.8), '2 × 2', 1],
  ])('%o is of the inch sizes %s', (piece, name, each) => {
    expect(soldFor(piece, 1, { sold: 'inch', kerf: KERF })).toMatchObject({ name, each });
  });
  it('is sawn 5 thicker than it comes, and asked for by that', () => {
    expect(soldFor({ width: 45, depth: 20 }, 1, { sold: 'sawn', kerf: KERF })).toEqual({
      ...{ name: '25 × 50 sawn', width: 45, depth: 20, each: 1 },
    });
  });
  it('is one for several where that takes less timber: two of 21 × 20 with a kerf between out of 25 × 50', () => {
    const asked = (qty: number, kerf: number) => soldFor({ width: 21, depth: 20 }, qty, { sold: 'sawn', kerf });
    expect(asked(1, 3)).toMatchObject({ name: '25 × 32 sawn', each: 1 });
    expect(asked(2, 3)).toMatchObject({ name: '25 × 50 sawn', each: 2 });
    // 21 + 4 + 21 is more than 45
    expect(asked(2, 4)).toMatchObject({ each: 1 });
  });
  it('is none of what is bought as drawn, and of what no yard saws', () => {
    expect(soldFor({ width: 45, depth: 20 }, 1, { sold: 'drawn', kerf: KERF })).toBeUndefined();
    expect(soldFor({ width: 300, depth: 20 }, 1, { sold: 'inch', kerf: KERF })).toBeUndefined();
  });
  it('holds what is ripped out of it, kerfs between; many never take more timber than as many by themselves', () => {
    const next = random(7);
    for (let trial = 0; trial < 300; trial++) {
      const [piece, kerf] = [{ width: 5 + 100 * next(), depth: 5 + 40 * next() }, 5 * next()];
      const qty = 1 + Math.floor(12 * next());
      for (const sold of ['inch', 'sawn'] as const) {
        const [found, single] = [qty, 1].map((count) => soldFor(piece, count, { sold, kerf }));
        if (!found || !single) throw new Error('none');
        const ways = [
          [piece.width, piece.depth],
          [piece.depth, piece.width],
        ].map(([w = 1, d = 1]) => {
          const count = (room: number, mm: number) => Math.floor((room + kerf + 0.05) / (mm + kerf));
          return count(found.width, w) * count(found.depth, d);
        });
        expect(Math.max(...ways)).toBe(found.each);
        const timber = ({ width, depth, each }: typeof found, of: number) => width * depth * Math.ceil(of / each);
        expect(timber(found, qty)).toBeLessThanOrEqual(qty * timber(single, 1) + 1e-6);
      }
    }
  });
});

describe('the list of the yard', () => {
  const project = demoProject('tamsel', 'x');
  const derived = createDerive()(project);
  const found = searchAll(project, derived, 20);
  const plan = planOf(derived.timber.value, found.timber)!;
  const linesOf = (timber: typeof project.timber) => toBuyLines(derived.timber.value, plan, 'mm', timber);
  it('names what one asks for beside what is wanted, and counts whole sticks of that', () => {
    for (const line of linesOf({ ...project.timber, sold: 'sawn' })) {
      expect(line.sold?.words).toMatch(/^from \d+ × \d+ sawn \(\d+ mm × \d+ mm planed\)/);
      expect(line.sold!.qty).toBe(Math.ceil(line.qty / line.sold!.each));
      expect(soldWords(line.sold!).includes('ripped in')).toBe(line.sold!.each > 1);
    }
    expect(linesOf(project.timber).every(({ sold }) => sold === undefined)).toBe(true);
  });
  it('has a stick that lies ready with its section as it is', () => {
    const stock = project.timber.stock.map((stick) => ({ ...stick, width: 45, depth: 20 }));
    expect(linesOf({ ...project.timber, sold: 'sawn', stock }).every(({ sold }) => sold === undefined)).toBe(true);
  });
  it('stands so on the shopping list', () => {
    const selling = { ...project, timber: { ...project.timber, sold: 'sawn' as const } };
    const own = shoppingList(wholeOf(selling, derived, found)).groups.flatMap(({ lines }) => lines);
    expect(own.filter(({ id }) => id.startsWith('timber ')).every(({ what }) => what.includes(' mm planed)'))).toBe(
      true,
    );
  });
});
