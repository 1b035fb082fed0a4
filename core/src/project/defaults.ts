/** New projects: every setting at its usual value, from a table of offsets. */
import type { LinesPart, Longitudinal } from '../lines';
import type { Notation } from '../measure';
import { PANEL_DEFAULTS } from '../panels';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project } from './document';

export type NewProject = {
  readonly id: string;
  readonly name: string;
  readonly notation: Notation;
  readonly lines: LinesPart;
};

/** A project around a table; bulkheads stand at the table's stations but the first and last, every other one. */
export function newProject({ id, name, notation, lines }: NewProject): Project {
  return {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    id,
    name,
    note: '',
    revision: 1,
    notation,
    school: 'filleted',
    lines,
    panels: { thickness: 6, transomThickness: 9, markingStep: 200, ...PANEL_DEFAULTS },
    frames: { frames: framesAtStations(lines), filletGap: 1.5 },
    joints: { scarfRatio: 8, clearOfFrames: 75, stagger: 300 },
    sheets: {
      stock: [
        { id: 'sheet-6', name: '6 mm, 2440 × 1220', width: 2440, height: 1220, thickness: 6, qty: 8 },
        { id: 'sheet-9', name: '9 mm, 2440 × 1220', width: 2440, height: 1220, thickness: 9, qty: 4 },
      ],
      gap: 6,
      margin: 8,
      seed: 1,
    },
    epoxy: {
      filletRadius: 20,
      tapeWidth: 75,
      tapeLayersInside: 1,
      tapeLayersOutside: 1,
      tapeWeight: 320,
      sheathingWeight: 200,
      sheathe: 'bottom',
      sealingCoats: 3,
      waste: 0.15,
      fillerShare: 0.3,
    },
  };
}

function framesAtStations(lines: LinesPart): Project['frames']['frames'] {
  const seen = new Map<string, { x: number; count: number }>();
  for (const line of lines.longitudinals)
    for (const { station, x } of line.points) {
      const known = seen.get(station);
      if (station !== '' && (!known || Math.abs(known.x - x) < 0.5))
        seen.set(station, { x, count: (known?.count ?? 0) + 1 });
    }
  const shared = [...seen].filter(([, { count }]) => count === lines.longitudinals.length && count > 1);
  return shared
    .filter((_, i) => i % 2 === 1)
    .map(([label, { x }]) => ({
      id: `frame.${label}`,
      name: `Frame ${label}`,
      x,
      width: 9,
      face: 'fore' as const,
    }));
}

/** Rows of line, station, x, half-breadth, height as longitudinals, in the order in which the lines first come. */
export function longitudinalsOf(rows: readonly (readonly [string, string, number, number, number])[]): Longitudinal[] {
  const ids = [...new Set(rows.map(([line]) => line))];
  return ids.map((id) => ({
    id,
    name: id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' '),
    points: rows
      .filter(([line]) => line === id)
      .map(([, station, x, halfBreadth, height]) => ({ station, x, halfBreadth, height })),
  }));
}
