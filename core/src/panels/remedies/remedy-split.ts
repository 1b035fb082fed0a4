/** A new line across a panel that does not develop, so that both halves do. */
import { at, lerp3, type Vec3 } from '../../geometry';
import { bendLines, linesEdit, type LinesTable, type Longitudinal } from '../../lines';
import { panelIdOf, panelInputs } from '../inputs';
import { developPanel, type Panel } from '../panel';
import type { PanelRemedy } from './panel-remedy';
import { smallestMove } from './remedy-move';
import { passes, standingOf, type Standing } from './standing';

/** A new line halfway across the panel, moved where need be so that both halves develop. */
export function splitByLine(table: LinesTable, panel: Panel): PanelRemedy | undefined {
  const line = lineAcross(table, panel, 0.5);
  const place = table.longitudinals.findIndex(({ id }) => id === panel.between[1]);
  const longitudinals = table.longitudinals.toSpliced(place, 0, line);
  const split: LinesTable = { ...table, longitudinals };
  const halves = [`${panel.between[0]}-${line.id}`, `${line.id}-${panel.between[1]}`];
  const standings = (lines: LinesTable) =>
    panelInputs(bendLines(lines).value)
      .filter((input) => halves.includes(panelIdOf(input)))
      .flatMap((input) => {
        const half = developPanel(input);
        return 'reason' in half ? [] : [standingOf(half)];
      });
  const worst = (all: readonly Standing[]): Standing => ({
    twistDeg: Math.max(...all.map((s) => s.twistDeg)),
    strain: Math.max(...all.map((s) => s.strain)),
  });
  const remedy = (lines: readonly Longitudinal[], after: Standing): PanelRemedy => ({
    kind: 'split',
    panel: panel.id,
    line: line.id,
    lineName: line.name,
    moves: [],
    most: null,
    before: standingOf(panel),
    after,
    lines,
    edits: [linesEdit(lines)],
  });
  const plain = standings(split);
  if (plain.length < 2) return undefined;
  if (passes(worst(plain))) return remedy(longitudinals, worst(plain));
  for (const half of halves) {
    const moved = smallestMove(split, bendLines(split).value, line.id, half);
    const after = moved && worst(standings({ ...split, longitudinals: [...moved.lines] }));
    if (moved && after && passes(after)) return remedy(moved.lines, after);
  }
  return undefined;
}

/** A line on the panel at a fraction of every ruling, with a point at each station of its lower line. */
function lineAcross(table: LinesTable, panel: Panel, share: number): Longitudinal {
  const on = panel.rulings.map((r): Vec3 => lerp3(r.p, r.q, share));
  const model = table.longitudinals.find(({ id }) => id === panel.between[1]);
  const ends = [at(on, 0), at(on, -1)];
  const inner = (model?.points ?? []).slice(1, -1).flatMap((point) => {
    const k = on.findIndex((p, i) => i > 0 && at(on, i - 1)[0] <= point.x && p[0] > point.x);
    if (k < 1) return [];
    const [a, b] = [at(on, k - 1), at(on, k)];
    return [{ station: point.station, at: lerp3(a, b, (point.x - a[0]) / (b[0] - a[0])) }];
  });
  const label = (end: 0 | -1) => (model ? at(model.points, end).station : '');
  const first = { station: label(0), at: at(ends, 0) };
  const last = { station: label(-1), at: at(ends, 1) };
  const points = [first, ...inner, last].map(({ station, at: [x, y, z] }) => ({
    station,
    x: tenth(x),
    halfBreadth: tenth(y),
    height: tenth(z),
  }));
  const taken = new Set(table.longitudinals.map(({ id }) => id));
  let count = 2;
  while (taken.has(`chine-${count}`)) count++;
  return { id: `chine-${count}`, name: `Chine ${count}`, points };
}

const tenth = (mm: number): number => Number(mm.toFixed(1));
