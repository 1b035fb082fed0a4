/** How well the panels will meet, given how people mark and cut. */
import { planeOf } from '@kalotrope/core/frames';
import { gapsOfBoat, hintWords, mostOf, SOURCE_NAMES } from '@kalotrope/core/panels';
import { createDerive } from '@kalotrope/core/project';
import { numberOption, trim, type Answer, type Io, type Options } from '../io';
import { projectOf } from '../project-of';

const MOST_BUILDS = 20_000;
const MOST_SEED = 2 ** 31;

export function gapsCommand(file: string, options: Options, io: Io): Answer {
  const builds = numberOption(options, 'builds', { min: 20, max: MOST_BUILDS, otherwise: 200 });
  const seed = numberOption(options, 'seed', { min: 0, max: MOST_SEED, otherwise: 1 });
  const project = projectOf(file, options, io);
  const { lines, panels, frames } = createDerive()(project);
  const held = frames.value.frames.map((frame) => ({ id: frame.id, plane: planeOf(frame) }));
  const boat = { project, hull: lines.value, value: panels.value, frames: held };
  const gaps = gapsOfBoat(boat, { builds: Math.round(builds), seed: Math.round(seed) });
  const from = { panels: panels.value.panels, part: project.panels, notation: project.notation };
  const hint = gaps.hint && {
    ...{ halves: gaps.hint.halves, changes: gaps.hint.changes, after: trim(gaps.hint.after) },
    say: hintWords(gaps.hint, { ...from, stations: lines.value.stations }),
  };
  const both = ({ half, nineteen }: { readonly half: number; readonly nineteen: number }) => ({
    half: trim(half),
    nineteen: trim(nineteen),
  });
  const seams = gaps.seams.map((seam) => {
    const places = seam.places.map((place) => ({ along: trim(place.along), ...both(place) }));
    const { line, below, above, hand, length, worst, alone, widest } = seam;
    return {
      ...{ line, below, above, hand, length: trim(length), worst: places[worst], widest: both(widest) },
      alone: Object.fromEntries(Object.entries(alone).map(([source, mm]) => [source, trim(mm)])),
      places,
    };
  });
  const edges = gaps.edges.map(({ panel, end, nails }) => ({
    ...{ panel, edge: end === 'P' ? 'lower' : 'upper' },
    nails: nails.map(({ at, mm }) => ({ u: trim(at[0]), v: trim(at[1]), mm: trim(mm) })),
  }));
  const text = [
    ...gaps.seams.map((seam) => {
      const sources = Object.entries(SOURCE_NAMES).map(
        ([source, name]) => `${name} ${(seam.alone[source as keyof typeof SOURCE_NAMES] ?? 0).toFixed(2)}`, // its keys
      );
      const { along = 0, half = 0 } = seam.places[seam.worst] ?? {};
      return (
        `${seam.line}\t${seam.hand}\twithin ${half.toFixed(2)} half the time, ${mostOf(seam).toFixed(2)} nineteen ` +
        `times of twenty, ${along.toFixed(0)} along; alone: ${sources.join(', ')}`
      );
    }),
    ...(seams.length === 0 ? ['No two edges meet that are not made to fit.'] : []),
    ...(hint ? [hint.say] : []),
    `${gaps.builds} boats built by chance differ from what is foretold by ${(100 * gaps.disagreement).toFixed(1)} %.`,
  ].join('\n');
  return {
    json: {
      ...{ project: project.name, accuracy: project.panels.accuracy, builds: gaps.builds, seams, edges },
      disagreement: trim(gaps.disagreement),
      ...(hint && { hint }),
    },
    text,
  };
}
