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
      const on = panels.map((_, k) => lengthOn(k, seam)).filter((mm) => mm > 0);
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
