/** What is foretold of gaps, said in words. */
import { at } from '../../geometry';
import { formatSmall, formatWithUnit, type Notation } from '../../measure';
import type { Panel } from '../panel';
import { closerRuns, fromFrame, markingOf } from '../reading/marking';
import type { GapSource } from './errors';
import type { GapsPart } from './foretell';
import { changed, type Halver, type Hint } from './halve';

export const SOURCE_NAMES: Readonly<Record<GapSource, string>> = {
  marks: 'nails off their marks',
  rounding: 'figures rounded to the rule',
  batten: 'the batten between the nails',
  cut: 'saw and plane',
  thickness: 'the sheet’s thickness',
  framesOff: 'frames off their places',
};

type Place = { readonly label: string; readonly x: number };
export type HintFrom = {
  readonly panels: readonly Panel[];
  readonly part: GapsPart;
  readonly stations: readonly Place[];
  readonly notation: Notation;
};

/** The sentence that says what to do, and what is then left. */
export function hintWords(hint: Hint, from: HintFrom): string {
  const done = hint.changes.map(({ what, to }) => doneWords(what, to, hint, from)).join(', and ');
  const said = done.charAt(0).toUpperCase() + done.slice(1);
  const left = formatSmall(hint.after, from.notation);
  return hint.halves
    ? `${said}: the worst place then keeps within ${left}.`
    : `No one thing halves it, nor any two. Most is gained so: ${done}; ${left} is left.`;
}

function doneWords(what: Halver, to: number, hint: Hint, from: HintFrom): string {
  const small = formatSmall(to, from.notation);
  switch (what) {
    case 'stray':
      return closerMarks(hint, from);
    case 'rule':
      return `read the rule to ${small}`;
    case 'framesOff':
      return `set the frames within ${small}`;
    case 'marks':
      return `drive the nails within ${small}, at pricked marks instead of pencil crosses`;
    case 'cut':
      return `plane the edges within ${small}, both hands clamped together`;
    case 'thickness':
      return `take sheets that are alike within ${small}`;
  }
}

/** Where the tables have marks between that they had not before: by stations. */
function closerMarks(hint: Hint, { panels, part, stations, notation }: HintFrom): string {
  const after = changed(part, hint.changes);
  const told = panels.flatMap((panel) => {
    const out = markingOf(panel, after);
    const before = markingOf(panel, part).rows;
    const fresh = out.rows.filter(({ u }) => before.every((row) => Math.abs(row.u - u) > 1));
    const runs = closerRuns(out.rows, part.markingStep).filter((run) =>
      fresh.some(({ u }) => u >= run.from && u <= run.to),
    );
    return runs.map(({ from, to, step }) => {
      const [fore, aft] = [from, to].map((u) => xOf(panel, fromFrame(out.frame, [u, 0])[0]));
      return { name: panel.name.toLowerCase(), step, where: whereWords([fore ?? 0, aft ?? 0], stations) };
    });
  });
  if (told.length === 0) return 'mark closer together';
  const finest = Math.min(...told.map(({ step }) => step));
  const places = [...new Set(told.map(({ name, where }) => `on the ${name} ${where}`))];
  return `mark every ${formatWithUnit(finest, notation)} ${places.join(', ')}`;
}

/** Where in the boat the panel's lower edge is, so far along the flat. */
function xOf({ rulings }: Panel, u: number): number {
  const k = rulings.findIndex(({ flatP }) => flatP[0] >= u);
  return at(rulings, k < 0 ? -1 : k).p[0];
}

/** By the stations that stand just outside of a stretch. */
function whereWords([fore, aft]: readonly [number, number], stations: readonly Place[]): string {
  const before = stations.filter(({ x }) => x <= fore + NEAR_MM);
  const beyond = stations.filter(({ x }) => x >= aft - NEAR_MM);
  const [from, to] = [before[before.length - 1], beyond[0]];
  if (from && to && before.length > 1 && beyond.length > 1) return `from station ${from.label} to ${to.label}`;
  if (to && beyond.length > 1) return `forward of station ${to.label}`;
  return from && before.length > 1 ? `aft of station ${from.label}` : 'all along';
}

/** A mark this near to a station is at it. */
const NEAR_MM = 30;
