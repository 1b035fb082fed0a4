/** Runs that cannot be had, or only glued up; and what a plan leaves unmet. */
import { MATES_APART } from './constants';
import type { TimberFinding } from './findings';
import { sectionOf, type TimberRun } from './runs';
import type { TimberPart } from './schema';
import type { FoundPlan, TimberValue } from './value';
import { leastParts, staggerOf, usualSplits } from './splits';

const where = { stage: 'timber' } as const;

export function judgeRuns(runs: readonly TimberRun[], part: TimberPart) {
  const findings: TimberFinding[] = [];
  const able = runs.filter((run) => {
    if (run.layers) {
      const { count, eachMm, radiusMm, mouldMm } = run.layers;
      const data = { run: run.name, count, eachMm, radiusMm, mouldMm };
      findings.push({ severity: 'note', code: 'timber-laminated', where, data });
    }
    const sticks = part.stock.filter(
      (stick) => stick.width === 0 || stick.depth === 0 || sectionOf(stick) === sectionOf(run),
    );
    if (sticks.length === 0) {
      const [widthMm, depthMm] = [Math.max(run.width, run.depth), Math.min(run.width, run.depth)];
      const data = { run: run.name, widthMm, depthMm };
      findings.push({ severity: 'stop', code: 'timber-without-stock', where, data });
      return false;
    }
    const longest = Math.max(...sticks.map(({ length }) => length));
    const why = whyNot(run, longest, part.scarfRatio);
    if (why === undefined) return true;
    const data = { run: run.name, lengthMm: run.length, longestMm: longest, why };
    findings.push({ severity: 'stop', code: 'timber-too-long', where, data });
    return false;
  });
  return { able, findings };
}

function whyNot(run: TimberRun, longest: number, scarfRatio: number): string | undefined {
  if (run.length <= longest) return undefined;
  if (!run.mayScarf) return 'Add a longer stick, or let it be scarfed.';
  const thickness = Math.min(run.width, run.depth);
  const scarf = scarfRatio * thickness;
  const clear = run.clear.map(([from, to]): [number, number] => [from, to]);
  const { id, length, qty } = run;
  const long = { run: { id, section: '', length, qty, scarf: true, thickness, clear }, scarf, longest };
  if (leastParts(long) === undefined) return 'The scarfs would take more than the sticks have. Add a longer stick.';
  return usualSplits(long).length === 0
    ? 'Its hardest bend leaves no room for the scarfs. Add a longer stick.'
    : undefined;
}

/** The plan that belongs to the runs as they are now. */
export function planOf(value: TimberValue, found: FoundPlan | undefined) {
  return found?.key === value.key && found.result.ok ? found.result.plan : undefined;
}

export function judgePlan(value: TimberValue, found: FoundPlan | undefined): TimberFinding[] {
  if (found?.key !== value.key) return [];
  if (!found.result.ok) {
    const { runs: ids } = found.result;
    const names = value.runs.filter(({ id }) => ids.includes(id)).map(({ name }) => name);
    const data = { runs: names.join('; ') };
    return [{ severity: 'stop', code: 'timber-too-few', where, data }];
  }
  const { joins } = found.result.plan;
  return value.runs.flatMap((run): TimberFinding[] => {
    const mine = joins.filter((join) => join.run === run.id);
    return mine.flatMap((join): TimberFinding[] => {
      const mate = join.copy % 2 === 0 ? mine.find(({ copy }) => copy === join.copy + 1) : undefined;
      if (!mate || run.layers) return [];
      const nearMm = staggerOf({ parts: [], at: join.at }, { parts: [], at: mate.at });
      if (nearMm >= MATES_APART.value - 1e-6) return [];
      const data = { run: run.name, nearMm, wantMm: MATES_APART.value };
      return [{ severity: 'check', code: 'timber-mates-near', where, data }];
    });
  });
}
