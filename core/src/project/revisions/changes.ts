/**
 * What changed between two revisions of a boat: figures of the table, parts by how far their edges are off, what there
 * is to buy and to do; and going back to an older one, as edits of the present one.
 */
import type { Edit, EditValue } from '../../findings';
import { netArea } from '../../geometry';
import type { OffsetPoint } from '../../lines';
import { changeOf } from '../../log';
import type { CutPart } from '../../sheets';
import type { Derived } from '../chain';
import { CHAIN, type Project } from '../document';
import { shoppingList } from '../shopping-list';
import { wholeOf } from '../whole';

export const FIGURES = ['x', 'halfBreadth', 'height'] as const;

/** A figure of the table, mm; undefined where the point is not there. */
export type FigureChange = {
  readonly line: string;
  readonly station: string;
  readonly figure: (typeof FIGURES)[number];
  readonly was: number | undefined;
  readonly now: number | undefined;
};

export type PartChanged = {
  readonly name: string;
  readonly what: 'new' | 'gone' | 'other';
  /** The greatest distance between the two edges, laid on each other where they fit best, mm. */
  readonly mm: number;
  readonly isOpeningOther: boolean;
};

/** What is counted, before and after: m², m, g, min, and the builder's own money. */
export const COUNTS = ['parts', 'ply', 'sticks', 'resin', 'work', 'price'] as const;
export type CountChange = { readonly what: (typeof COUNTS)[number]; readonly was: number; readonly now: number };

export type RevisionChanges = {
  readonly figures: readonly FigureChange[];
  readonly parts: readonly PartChanged[];
  readonly counts: readonly CountChange[];
  /** Titles of the stages of which something is decided otherwise. */
  readonly decided: readonly string[];
};

type Worked = { readonly project: Project; readonly derived: Derived };

/** Nearer are two edges the same, mm. */
const SAME_MM = 0.05;

export function changesBetween(was: Worked, now: Worked): RevisionChanges {
  return {
    figures: figuresBetween(was.project, now.project),
    parts: partsBetween(was.derived.sheets.value.parts, now.derived.sheets.value.parts),
    counts: countsBetween(was, now),
    decided: CHAIN.filter(({ name }) => JSON.stringify(was.project[name]) !== JSON.stringify(now.project[name])).map(
      ({ title }) => title,
    ),
  };
}

/** A point is the same where its line and its station's label are; of several with one label by their order. */
function figuresBetween(was: Project, now: Project): FigureChange[] {
  const ids = [...new Set([...was.lines.longitudinals, ...now.lines.longitudinals].map(({ id }) => id))];
  return ids.flatMap((id) => {
    const [old, next] = [was, now].map((project) => project.lines.longitudinals.find((line) => line.id === id));
    const name = next?.name ?? old?.name ?? id;
    const [before, after] = [keyed(old?.points ?? []), keyed(next?.points ?? [])];
    return [...new Set([...before.keys(), ...after.keys()])].flatMap((key) => {
      const [a, b] = [before.get(key), after.get(key)];
      return FIGURES.filter((figure) => a?.[figure] !== b?.[figure]).map((figure): FigureChange => ({
        ...{ line: name, station: (b ?? a)?.station ?? '', figure, was: a?.[figure], now: b?.[figure] },
      }));
    });
  });
}

function keyed(points: readonly OffsetPoint[]): ReadonlyMap<string, OffsetPoint> {
  const count = new Map<string, number>();
  return new Map(
    points.map((point) => {
      const nth = count.get(point.station) ?? 0;
      count.set(point.station, nth + 1);
      return [JSON.stringify([point.station, nth]), point];
    }),
  );
}

/** New and gone ones first, then the farthest off. */
function partsBetween(was: readonly CutPart[], now: readonly CutPart[]): PartChanged[] {
  const told = (part: CutPart, what: PartChanged['what']): PartChanged => ({
    ...{ name: part.name, what, mm: 0, isOpeningOther: false },
  });
  const gone = was.filter(({ id }) => !now.some((part) => part.id === id)).map((part) => told(part, 'gone'));
  const others = now.flatMap((part): PartChanged[] => {
    const old = was.find(({ id }) => id === part.id);
    if (!old) return [told(part, 'new')];
    const isSame = JSON.stringify([old.outline, old.holes]) === JSON.stringify([part.outline, part.holes]);
    const change = isSame ? undefined : changeOf(old, part);
    if (!change) return [];
    const mm = Math.max(change.proud.mm, change.short.mm);
    const isOpeningOther = change.holesOff > 0;
    return mm < SAME_MM && !isOpeningOther ? [] : [{ ...told(part, 'other'), mm, isOpeningOther }];
  });
  const rank = ({ what, mm }: PartChanged) => (what === 'other' ? mm : Infinity);
  return [...gone, ...others].sort((a, b) => (rank(a) === rank(b) ? 0 : rank(b) - rank(a)));
}

function countsBetween(was: Worked, now: Worked): CountChange[] {
  const [before, after] = [countsOf(was), countsOf(now)];
  return COUNTS.map((what) => ({ what, was: before[what], now: after[what] }));
}

const MM2_PER_M2 = 1e6;
const MM_PER_M = 1000;

function countsOf({ project, derived }: Worked): Readonly<Record<(typeof COUNTS)[number], number>> {
  const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
  return {
    parts: sum(derived.sheets.value.parts.map(({ isPair }) => (isPair ? 2 : 1))),
    ply: sum(derived.sheets.value.parts.map((part) => areaOf(part) * (part.isPair ? 2 : 1))) / MM2_PER_M2,
    sticks: sum(derived.timber.value.runs.map(({ length, qty }) => length * qty)) / MM_PER_M,
    resin: sum(derived.epoxy.value.jobs.map(({ grams }) => grams)),
    work: sum(derived.plan.value.jobs.map(({ minutes }) => minutes)),
    price: shoppingList(wholeOf(project, derived, {})).cost,
  };
}

const areaOf = (part: CutPart): number => Math.abs(netArea(part));

/** Of the project itself: its name and its place in the store stay. */
const BESIDE = ['note', 'notation', 'school'] as const;

/** The boat as it was then, as the next revision of the present one. */
export function backTo(old: Project, present: Project): Edit[] {
  const put = (key: string, value: unknown): Edit => ({ path: [key], value: value as EditValue }); // of a read project
  return [
    ...BESIDE.map((key) => put(key, old[key])),
    ...CHAIN.map(({ name }) => put(name, old[name])),
    put('revision', present.revision + 1),
  ];
}
