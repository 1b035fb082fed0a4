import { describe, expect, it } from 'vitest';
import { polylineLength } from '../geometry';
import { placeOn } from '../panels';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import { zoneEdges, zonesOn } from './zones';

it('a tape’s edges stand half its width off the corner, on both sides', () => {
  const edges = zoneEdges({
    line: [
      [0, 0],
      [100, 0],
    ],
    widthMm: 75,
  });
  expect(edges.map((edge) => edge.map(([, y]) => y))).toEqual([
    [-37.5, -37.5],
    [0, 0],
    [37.5, 37.5],
  ]);
});

describe.each(DEMO_IDS.filter((id) => id !== 'slips'))('tapes on the flat panels of %s', (id) => {
  const project = demoProject(id, 'x');
  const derived = createDerive()(project);
  const { panels } = derived.panels.value;
  const { seams } = derived.epoxy.value;
  const off = project.panels.thickness + 2;
  const zones = panels.map((panel) => ({
    panel,
    zones: zonesOn(panel, seams, project.epoxy, project.panels.thickness),
  }));
  const lengthOn = (panel: number, seam: string) =>
    zones[panel]!.zones.filter((zone) => zone.seam === seam).reduce((sum, { line }) => sum + polylineLength(line), 0);

  it('are as long on both panels as their seam is on one side of the boat', () => {
    const chines = seams.filter(({ kind }) => kind === 'chine');
    expect(chines.length).toBeGreaterThan(0);
    for (const { id: seam, length } of chines) {
      // a panel across the boat has both hands of it
      const on = panels
        .map(({ spansCentreline }, k) => lengthOn(k, seam) / (spansCentreline ? 2 : 1))
        .filter((mm) => mm > 0);
      expect(on, seam).toHaveLength(2);
      // set back from the line by the skin’s thickness, more so in a sharp end
      for (const mm of on) expect(Math.abs(mm / (length / 2) - 1)).toBeLessThan(0.04);
    }
  });
  it('of bulkheads lie where the bulkhead stands', () => {
    for (const { panel, zones: own } of zones)
      for (const zone of own) {
        const frame = derived.frames.value.frames.find((one) => one.id === zone.seam);
        if (!frame || frame.kind !== 'bulkhead') continue;
        for (const place of zone.line) {
          const space = placeOn(panel, place);
          // its edge is cut bevelled, on either face of the bulkhead
          if (space) expect(Math.abs(space[0] - frame.x)).toBeLessThan(frame.width + off);
        }
      }
  });
});

describe('tapes on a bottom that lies across the boat', () => {
  const demo = demoProject('orrin', 'x');
  const project = { ...demo, school: 'filleted' as const, frames: { ...demo.frames, members: [] } };
  const derived = createDerive()(project);
  const [bottom] = derived.panels.value.panels as [(typeof derived.panels.value.panels)[number]];
  const zones = zonesOn(bottom, derived.epoxy.value.seams, project.epoxy, project.panels.thickness);
  const middle = bottom.outline.reduce((sum, [, v]) => sum + v, 0) / bottom.outline.length;

  it('are on both hands, one the mirror image of the other', () => {
    expect(bottom.spansCentreline).toBe(true);
    const kinds = new Set(zones.map(({ seam }) => seam));
    for (const seam of kinds) {
      const own = zones.filter((zone) => zone.seam === seam).flatMap(({ line }) => line);
      const [starboard, port] = [own.filter(([, v]) => v > middle + 1), own.filter(([, v]) => v < middle - 1)];
      expect(port.length, seam).toBe(starboard.length);
      const over = port.map(([u, v]) => [u, 2 * middle - v] as const).sort((a, b) => a[0] - b[0] || a[1] - b[1]);
      [...starboard]
        .sort((a, b) => a[0] - b[0] || a[1] - b[1])
        .forEach(([u, v], k) => expect(Math.hypot(u - over[k]![0], v - over[k]![1]), seam).toBeLessThan(1));
    }
  });
  it('are along its ends where transoms stand on it, and not across their tops', () => {
    const transoms = derived.epoxy.value.seams.filter(({ kind }) => kind === 'transom');
    expect(transoms).toHaveLength(2);
    for (const { id, paths, length } of transoms) {
      const along = zones.filter((zone) => zone.seam === id).reduce((sum, { line }) => sum + polylineLength(line), 0);
      const [foot, corner] = paths[0]!;
      expect(along / (2 * (corner![1] - foot![1]))).toBeCloseTo(1, 1);
      // the seam is the path of one hand, twice
      const run = paths[0]!
        .slice(1)
        .reduce((sum, p, i) => sum + Math.hypot(...p.map((c, k) => c - paths[0]![i]![k]!)), 0);
      expect((2 * run) / length).toBeCloseTo(1, 1);
    }
  });
});
