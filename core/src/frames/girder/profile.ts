/** Where a plane along the boat meets the inside of the skin: height along it, with which way the skin leans there. */
import { at, dot3, lerp2, lerp3, scale3, sub3, unit3, type Vec2, type Vec3 } from '../../geometry';
import { insideOf, type Panel } from '../../panels';
import { wholeEnds, type LaidRuling, type Plane } from '../../surface';

/** `across`: of the skin's outward normal what points square to the plane. */
export type ProfilePoint = { readonly s: number; readonly z: number; readonly across: number };
/** And where it is on the flat panel. */
export type RunPoint = ProfilePoint & { readonly flat: Vec2 };

type Asked = Plane & {
  /** From the lines' surface to the inside, of the skin's usual sheet where whole panels are asked. */
  readonly inset: number;
  readonly along: (place: Vec3) => number;
  /** Nothing is asked for before 0 and beyond this. */
  readonly toMm: number;
};

/** From forward aft; where runs overlap the higher, where they leave a gap the longest stretch without one. */
export function insideRuns(panels: readonly Pick<Panel, 'rulings' | 'own'>[], asked: Asked): ProfilePoint[] {
  const runs = panels
    .flatMap((panel) => runsOnPanel(panel.rulings, { ...asked, inset: insideOf(panel, asked.inset) }))
    .flatMap((run) => monotone(run));
  const places = runs.flatMap((run) => run.map(({ s }) => s));
  for (let i = 0; i < runs.length; i++)
    for (let j = i + 1; j < runs.length; j++) places.push(...crossings(at(runs, i), at(runs, j)));
  const wanted = [...new Set([0, asked.toMm, ...places])]
    .filter((s) => s >= 0 && s <= asked.toMm)
    .sort((a, b) => a - b);
  const stretches: ProfilePoint[][] = [[]];
  for (const s of wanted) {
    const here = runs.flatMap((run) => pointAt(run, s) ?? []);
    const highest = here.reduce<ProfilePoint | undefined>((best, p) => (!best || p.z > best.z ? p : best), undefined);
    if (highest) at(stretches, -1).push(highest);
    else if (at(stretches, -1).length > 0) stretches.push([]);
  }
  const span = (run: readonly ProfilePoint[]) => (run.length > 1 ? at(run, -1).s - at(run, 0).s : 0);
  return stretches.reduce((best, run) => (span(run) > span(best) ? run : best));
}

const movedIn = ({ normal, ...r }: LaidRuling, end: 'p' | 'q', inset: number): Vec3 =>
  sub3(r[end], scale3(normal, inset));

/** Where the plane crosses a panel’s inside, in as many runs as it comes there, in the order of the rulings. */
export function runsOnPanel(
  rulings: readonly LaidRuling[],
  { normal: m, level, inset, along }: Omit<Asked, 'toMm'>,
): RunPoint[][] {
  const runs: RunPoint[][] = [[]];
  const put = (place: Vec3, normal: Vec3, flat: Vec2) =>
    at(runs, -1).push({ s: along(place), z: place[2], across: dot3(normal, m), flat });
  const past = (r: LaidRuling, end: 'p' | 'q') => dot3(r[end], m) - inset * dot3(r.normal, m) - level;
  rulings.forEach((r, k) => {
    const [p, q] = [past(r, 'p'), past(r, 'q')];
    const isOn = p > 0 !== q > 0;
    const isWithin = at(runs, -1).length > 0;
    if (!isOn && !isWithin) return;
    const before = rulings[k - 1];
    const ends =
      before && isOn !== isWithin ? (['p', 'q'] as const).flatMap((end) => edgeCrossing(before, r, end)) : [];
    const w = p / (p - q);
    if (!isWithin) ends.forEach((end) => put(...end));
    if (isOn) put(lerp3(movedIn(r, 'p', inset), movedIn(r, 'q', inset), w), r.normal, lerp2(...wholeEnds(r), w));
    else {
      ends.forEach((end) => put(...end));
      runs.push([]);
    }
  });
  return runs.filter((run) => run.length > 1);

  function edgeCrossing(a: LaidRuling, b: LaidRuling, end: 'p' | 'q'): (readonly [Vec3, Vec3, Vec2])[] {
    const [pa, pb] = [past(a, end), past(b, end)];
    if (pa > 0 === pb > 0) return [];
    const w = pa / (pa - pb);
    const [flatA, flatB] = [a, b].map((r) => wholeEnds(r)[end === 'p' ? 0 : 1]) as [Vec2, Vec2]; // two
    const place = lerp3(movedIn(a, end, inset), movedIn(b, end, inset), w);
    return [[place, unit3(lerp3(a.normal, b.normal, w)), lerp2(flatA, flatB, w)]];
  }
}

/** Parted where it turns back along, each part going aft. */
function monotone(run: readonly ProfilePoint[]): ProfilePoint[][] {
  const parts: ProfilePoint[][] = [];
  let part: ProfilePoint[] = [];
  let way = 0;
  run.forEach((p, i) => {
    const before = run[i - 1];
    const step = before ? Math.sign(p.s - before.s) : 0;
    if (before && step !== 0 && way !== 0 && step !== way) {
      parts.push(part);
      part = [before];
    }
    if (step !== 0) way = step;
    part.push(p);
  });
  parts.push(part);
  return parts.filter((one) => one.length > 1).map((one) => (at(one, 0).s > at(one, -1).s ? one.reverse() : one));
}

function pointAt(run: readonly ProfilePoint[], s: number): ProfilePoint | undefined {
  if (s < at(run, 0).s || s > at(run, -1).s) return undefined;
  // by halves: they follow one another along it
  let [low, high] = [0, run.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (at(run, middle).s < s) low = middle;
    else high = middle;
  }
  const [a, b] = [at(run, low), at(run, high)];
  const w = b.s > a.s ? (s - a.s) / (b.s - a.s) : 0;
  return { s, z: a.z + w * (b.z - a.z), across: a.across + w * (b.across - a.across) };
}

/** Where two runs have the same height. */
function crossings(one: readonly ProfilePoint[], other: readonly ProfilePoint[]): number[] {
  const from = Math.max(at(one, 0).s, at(other, 0).s);
  const to = Math.min(at(one, -1).s, at(other, -1).s);
  if (from >= to) return [];
  const places = [...one, ...other]
    .map(({ s }) => s)
    .filter((s) => s > from && s < to)
    .sort((a, b) => a - b);
  const over = (s: number) => (pointAt(one, s)?.z ?? 0) - (pointAt(other, s)?.z ?? 0);
  const all = [from, ...places, to];
  return all.slice(1).flatMap((b, i): number[] => {
    const a = at(all, i);
    const [da, db] = [over(a), over(b)];
    return da > 0 === db > 0 ? [] : [a + (da / (da - db)) * (b - a)];
  });
}
