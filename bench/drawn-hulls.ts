/**
 * A thousand plausible hulls by chance (core/src/panels/fixtures/drawn-hulls.ts): that each develops without crossing
 * rulings or outlines, how many panels need a remedy, how many of those the remedy offered cures when it is applied.
 * Run: npx tsx bench/drawn-hulls.ts [COUNT]
 */
import { crossesItself } from '@kalotrope/core/geometry';
import { bendLines } from '@kalotrope/core/lines';
import { developPanel, findRemedies, needsRemedy, panelIdOf, panelInputs, standingOf } from '@kalotrope/core/panels';
import { drawnHull } from '../core/src/panels/fixtures/drawn-hulls';

const COUNT = Number(process.argv[2] ?? 1000);
const counts = { hulls: 0, panels: 0, crossing: 0, notMade: 0, needing: 0, cured: 0, byOneLine: 0, bySplitOnly: 0 };
const times: number[] = [];
for (let seed = 1; seed <= COUNT; seed++) {
  const { name, table } = drawnHull(seed);
  counts.hulls++;
  for (const input of panelInputs(bendLines(table).value)) {
    counts.panels++;
    const panel = developPanel(input);
    if ('reason' in panel) {
      counts.notMade++;
      continue;
    }
    const isOnward = panel.rulings.every((r, k) => {
      const before = panel.rulings[k - 1];
      return !before || (r.s >= before.s && r.t >= before.t);
    });
    if (!isOnward || crossesItself(panel.outline)) {
      counts.crossing++;
      console.log(`crossing: ${name}, ${panel.id}`);
    }
    if (!needsRemedy(standingOf(panel))) continue;
    counts.needing++;
    const start = performance.now();
    const remedies = findRemedies(table, panelIdOf(input));
    times.push(performance.now() - start);
    const cures = remedies.filter((remedy) =>
      panelInputs(bendLines({ longitudinals: [...remedy.lines] }).value)
        .filter(
          (other) => panelIdOf(other) === panel.id || other.lower.id === remedy.line || other.upper.id === remedy.line,
        )
        .filter((other) => remedy.kind === 'split' || panelIdOf(other) === panel.id)
        .every((other) => {
          const after = developPanel(other);
          return !('reason' in after) && !needsRemedy(standingOf(after));
        }),
    );
    if (cures.length > 0) counts.cured++;
    else
      console.log(
        `not cured: ${name}, ${panel.id}, ${standingOf(panel).twistDeg.toFixed(1)}°, ${remedies.length} offered`,
      );
    if (cures.some(({ kind }) => kind === 'move')) counts.byOneLine++;
    else if (cures.length > 0) counts.bySplitOnly++;
  }
}
console.log(JSON.stringify(counts));
times.sort((a, b) => a - b);
console.log(`finding the remedies of a panel: median ${(times[times.length >> 1] ?? NaN).toFixed(0)} ms`);
