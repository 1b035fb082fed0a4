import { expect, it, describe } from 'vitest';
import { DEMO_IDS, demoProject } from './demos/index';
import { createDerive, searchAll } from './derive';
import { costOf, shoppingList } from './shopping-list';
import { wholeOf } from './whole';
import type { Project } from './document';

const listOf = (project: Project) => {
  const derived = createDerive()(project);
  return shoppingList(wholeOf(project, derived, searchAll(project, derived, 1)));
};

describe('the shopping list of all of the boat', () => {
  it.each(DEMO_IDS)('%s: every line once, said in words, nothing that is no figure', (id) => {
    const { groups, cost } = listOf(demoProject(id, 'x'));
    const lines = groups.flatMap((group) => group.lines);
    expect(new Set(lines.map((line) => line.id)).size).toBe(lines.length);
    for (const { what, howMuch, qty, price } of lines) {
      expect([what, howMuch].every((words) => words.trim() !== '' && !/NaN|undefined|null/.test(words))).toBe(true);
      expect(qty > 0 && price >= 0).toBe(true);
    }
    expect(groups.map(({ title }) => title)).toContain('Sheets');
    expect(cost).toBeCloseTo(
      lines.reduce((sum, line) => sum + costOf(line), 0),
      9,
    );
  });
  it('costs what is not there, by its price: two of three sheets at 80, and the packs', () => {
    const project = demoProject('tamsel', 'x');
    const { sheets } = project;
    const priced = (onHand: number) => {
      const stock = sheets.stock.map((sheet) => ({ ...sheet, price: 80, onHand }));
      return listOf({ ...project, sheets: { ...sheets, stock } });
    };
    const [all, less] = [priced(0), priced(1)];
    const kinds = all.groups.find(({ title }) => title === 'Sheets')?.lines.length ?? 0;
    expect(all.cost - less.cost).toBeCloseTo(80 * kinds, 9);
  });
});
