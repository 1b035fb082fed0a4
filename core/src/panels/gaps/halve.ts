/**
 * What would halve the gap that is foretold: the least that a builder must do otherwise, found by foretelling anew.
 *
 * One thing after another is tried, from what costs least; then two of them together. Marks that stand closer let the
 * batten follow an edge that it strays from; they do nothing against nails that stand off, and are not offered for it.
 */
import type { Panel } from '../panel';
import type { Accuracy } from '../schema';
import { spreadOf, worstWithin, type GapsPart, type Spread } from './foretell';
import type { FrameOff } from './frames-off';

export const HALVERS = ['stray', 'rule', 'framesOff', 'marks', 'cut', 'thickness'] as const;
export type Halver = (typeof HALVERS)[number];

/** Do these so truly, mm, and the worst place keeps within `after` nineteen times of twenty. */
export type Hint = {
  readonly halves: boolean;
  readonly changes: readonly { readonly what: Halver; readonly to: number }[];
  readonly after: number;
};

/** What of it is left at most, that it may be called a half. */
const HALF = 0.49;
/** A change is tried so many times smaller than what is done now. */
const TRIED = [2, 4];
/** A pencil is not read finer, mm. */
const LEAST: Readonly<Record<Halver, number>> = {
  ...{ stray: 0.1, rule: 0.2, framesOff: 0.5, marks: 0.2, cut: 0.2, thickness: 0.1 },
};

type Changes = Hint['changes'];

export function halve(
  panels: readonly Panel[],
  part: GapsPart,
  now: { readonly spread: Spread; readonly known: readonly FrameOff[] },
): Hint | undefined {
  const before = worstWithin(now.spread, part.accuracy);
  if (before === 0) return undefined;
  const spreads = new Map<string, Spread>();
  const spreadFor = (changes: Changes): Spread => {
    const anew = changes.filter(({ what }) => what === 'stray' || what === 'rule');
    if (anew.length === 0) return now.spread;
    const key = JSON.stringify(anew);
    const made = spreads.get(key) ?? spreadOf(panels, changed(part, anew), now.known);
    spreads.set(key, made);
    return made;
  };
  const after = (changes: Changes) => worstWithin(spreadFor(changes), changed(part, changes).accuracy);
  const singles = HALVERS.flatMap((what) =>
    TRIED.flatMap((times) => {
      const to = Math.max(LEAST[what], Math.round((startOf(part, what) / times) * TENTHS) / TENTHS);
      return to < valueOf(part, what) ? [{ what, to }] : [];
    }),
  );
  let best: Hint | undefined;
  const found = (changes: Changes): Hint | undefined => {
    const left = after(changes);
    if (left <= HALF * before) return { halves: true, changes, after: left };
    if (!best || left < best.after) best = { halves: false, changes, after: left };
    return undefined;
  };
  for (const one of singles) {
    const hint = found([one]);
    if (hint) return hint;
  }
  for (const times of TRIED.keys())
    for (const [i, one] of HALVERS.entries())
      for (const other of HALVERS.slice(i + 1)) {
        const pair = [one, other].flatMap((what) => singles.filter((single) => single.what === what)[times] ?? []);
        const hint = pair.length === 2 ? found(pair) : undefined;
        if (hint) return hint;
      }
  return best;
}

/** Where there are even steps only, a batten is first held to this, mm. */
const STEPS_STRAY = 0.6;

const startOf = ({ markingStray, accuracy }: GapsPart, what: Halver): number =>
  what === 'stray' ? markingStray || STEPS_STRAY : accuracy[what];
const valueOf = ({ markingStray, accuracy }: GapsPart, what: Halver): number =>
  what === 'stray' ? markingStray || Infinity : accuracy[what];
/** It is said in tenths of a millimetre. */
const TENTHS = 10;

/** What is decided of the panels with these changes. */
export function changed<T extends Pick<GapsPart, 'markingStray' | 'accuracy'>>(part: T, changes: Changes): T {
  const stray = changes.find(({ what }) => what === 'stray');
  const accuracy: Accuracy = { ...part.accuracy };
  for (const { what, to } of changes) if (what !== 'stray') accuracy[what] = to;
  return { ...part, accuracy, ...(stray && { markingStray: stray.to }) };
}
