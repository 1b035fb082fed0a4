import { describe, expect, it } from 'vitest';
import { crossesItself } from '../../geometry';
import { bendLines, type LinesTable, type Longitudinal } from '../../lines';
import { drawnHull } from '../fixtures/drawn-hulls';
import { panelIdOf, panelInputs } from '../inputs';
import { developPanel, type Panel } from '../panel';
import { findRemedies } from './remedy';
import { needsRemedy, standingOf } from './standing';

const panelsOf = (table: LinesTable): Panel[] =>
  panelInputs(bendLines(table).value).flatMap((input) => {
    const panel = developPanel(input);
    return 'reason' in panel ? [] : [panel];
  });
const worst = (table: LinesTable) => panelsOf(table).filter((panel) => needsRemedy(standingOf(panel)));
const withLines = (lines: readonly Longitudinal[]): LinesTable => ({ longitudinals: [...lines] });

describe('hulls drawn over freehand', () => {
  it('never cross their rulings or outlines, and twist only where they were drawn over', () => {
    for (let seed = 1; seed <= 24; seed++) {
      const { name, table } = drawnHull(seed);
      const panels = panelsOf(table);
      expect(panels.length, name).toBe(panelInputs(bendLines(table).value).length);
      for (const panel of panels) {
        expect(crossesItself(panel.outline), name).toBe(false);
        panel.rulings.slice(1).forEach((r, k) => {
          const before = panel.rulings[k];
          expect(before && r.s >= before.s && r.t >= before.t, name).toBe(true);
        });
      }
      if (seed % 3 === 0) expect(worst(table), name).toEqual([]);
    }
  });
  // hulls of which a panel does not develop; each kind of line among those that were drawn over
  it.each([28, 76, 164, 259])('hull %i is cured by the first remedy offered', (seed) => {
    const { table } = drawnHull(seed);
    const [panel] = worst(table) as [Panel];
    const [first, ...others] = findRemedies(table, panel.id);
    expect(first?.kind).toBe('move');
    expect(first?.before).toEqual(standingOf(panel));
    expect(needsRemedy(first?.before ?? { twistDeg: 0, strain: 0 })).toBe(true);
    const cured = panelsOf(withLines(first?.lines ?? [])).find((other) => other.id === panel.id);
    expect(cured && needsRemedy(standingOf(cured))).toBe(false);
    expect(cured && standingOf(cured)).toEqual(first?.after);
    // the smallest comes first, a split last
    const sizes = [first, ...others].flatMap((remedy) =>
      remedy?.most ? [Math.abs(remedy.most.toMm - remedy.most.fromMm)] : [],
    );
    expect(sizes).toEqual([...sizes].sort((a, b) => a - b));
    expect(others.slice(0, -1).every(({ kind }) => kind === 'move')).toBe(true);
  });
});

describe('a remedy', () => {
  const { table } = drawnHull(76);
  const remedies = findRemedies(table, 'keel-chine');
  it('moves points of one line, to the millimetre or the tenth, and says from what to what', () => {
    for (const { line, moves, most, edits } of remedies.filter(({ kind }) => kind === 'move')) {
      const points = table.longitudinals.find(({ id }) => id === line)?.points ?? [];
      for (const { index, quantity, fromMm, toMm } of moves) {
        expect(points[index]?.[quantity]).toBe(fromMm);
        expect(Math.abs(toMm * 10 - Math.round(toMm * 10))).toBeLessThan(1e-6);
      }
      expect(moves).toContain(most);
      expect(edits.map(({ value }) => value)).toEqual(moves.map(({ toMm }) => toMm));
    }
  });
  it('leaves stem, keel and what is pinned where they are', () => {
    const pinned = withLines(
      table.longitudinals.map((line) => ({ ...line, points: line.points.map((p) => ({ ...p, isPinned: true })) })),
    );
    expect(findRemedies(pinned, 'keel-chine').filter(({ kind }) => kind === 'move')).toEqual([]);
    for (const { moves, line } of remedies)
      for (const { quantity, index } of moves) {
        if (line === 'keel') expect(quantity).toBe('height');
        expect(index).toBeGreaterThan(0);
      }
  });
  it('by a split puts in one line, between the two, and both halves pass', () => {
    const split = remedies.find(({ kind }) => kind === 'split');
    if (!split) return expect(remedies.length).toBeGreaterThan(0);
    expect(split.lines.map(({ id }) => id)).toEqual(['keel', split.line, 'chine', 'sheer']);
    for (const panel of panelsOf(withLines(split.lines)).filter(({ id }) => id.includes(split.line)))
      expect(needsRemedy(standingOf(panel))).toBe(false);
  });
  it('is not offered where none is needed', () => {
    const fair = drawnHull(3).table;
    for (const panel of panelsOf(fair)) expect(findRemedies(fair, panel.id)).toEqual([]);
    expect(findRemedies(fair, 'no such panel')).toEqual([]);
    expect(panelInputs(bendLines(fair).value).map(panelIdOf)).not.toContain('no such panel');
  });
});
