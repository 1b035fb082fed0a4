/** Lines, as the bench shows it. */
import { lazy } from 'react';
import { layTape, lineOf, linesStage, lineThing, pointThing, type Hull } from '@kalotrope/core/lines';
import { formatSmall, type Notation } from '@kalotrope/core/measure';
import { selectLiveHull } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';

const tapeAlong = ({ lines, stations }: Hull, id: string | undefined) => {
  const line = lines.find((other) => other.id === id) ?? lines[lines.length - 1];
  return line && layTape(line.name, line.curve, stations);
};

/** The stations, each as the point that the uppermost line has there. */
const stationsIn = ({ lines, stations }: Hull) =>
  stations.flatMap(({ label }) => {
    const line = lines.findLast(({ points }) => points.some(({ station }) => station === label));
    const point = line?.points.find(({ station }) => station === label);
    return line && point ? [{ label: `Station: ${label}`, pick: pointThing(line.id, point.index) }] : [];
  });

export const linesEntry: StageEntry = {
  stage: linesStage.name,
  title: linesStage.title,
  question: 'Are the numbers fair?',
  Page: lazy(() => import('./LinesPage')),
  things: ({ derived }) => [
    ...derived.lines.value.lines.map(({ id, name }) => ({ label: `Line: ${name}`, pick: lineThing(id) })),
    ...stationsIn(derived.lines.value),
  ],
  settings: () => [
    { label: 'Move no point further than', section: 'Fairing' },
    { label: 'Scale 1:', section: 'A drawing to work from' },
    { label: 'Pencil width', section: 'A drawing to work from' },
  ],
  // the lines are there before the engine has answered
  steps: (state) => (selectLiveHull(state)?.lines ?? []).map(({ id }) => lineThing(id)),
  pickAt: ({ line, station, x }, derived) => {
    if (line === undefined) return undefined;
    const own = derived.lines.value.lines.find(({ id }) => id === line);
    const point = own?.points.find((p) => p.station === station && (x === undefined || p.x === x));
    return station === undefined || !point ? lineThing(line) : pointThing(line, point.index);
  },
  tape: (derived, picked) => {
    const id = lineOf(picked);
    return id === undefined ? undefined : tapeAlong(derived.lines.value, id);
  },
  tapeAtRest: (derived) => tapeAlong(derived.lines.value, undefined),
  hasTape: true,
  status: ({ derived, notation }) => fairness(derived.lines.value, notation),
  drawingsOf: [linesStage.name],
  isEverywhere: true,
};

function fairness({ lines }: Hull, notation: Notation): string {
  const off = Math.max(0, ...lines.flatMap((line) => line.residuals.map((r) => r.total)));
  return `worst point ${formatSmall(off, notation)} off fair`;
}
