/**
 * When each job is done, in the builder's own hours: one job at a time, what cures cures meanwhile.
 *
 * Method: a list schedule (any text book of scheduling): in every stretch of work the most pressing job that may begin
 * is done; dry work goes on from stretch to stretch, what is wet is finished in the stretch in which it was begun. A
 * job presses by all that comes after it, work and curing; one whose next coat would no longer bond at the next chance
 * goes before all. Several ways to rank are tried, each also with coats held back until the hours let the next one
 * bond, and the soonest end is kept. Its measure is a bound that no plan can beat: the longer of all the work poured
 * into the hours one after another, and of the longest chain with hands for all.
 */
import type { Stretch } from './calendar';
import type { Need, WorkJob } from './work/job';

export type Session = { readonly from: number; readonly to: number };

export type PlannedJob = {
  readonly job: WorkJob;
  /** With what is sanded before it, minutes. */
  readonly minutes: number;
  readonly sessions: readonly Session[];
  readonly start: number;
  readonly end: number;
  /** The wet job that it no longer bonds to by itself: it is sanded first. */
  readonly sandedFor?: string;
  /** It runs on past the end of its stretch: none is long enough. */
  readonly overMin: number;
  /** On the longest chain of what waits for what: late here is late at the end, however many help. */
  readonly isCritical: boolean;
};

export type Schedule = {
  readonly planned: readonly PlannedJob[];
  /** For which the hours did not suffice. */
  readonly left: readonly string[];
  readonly end: number;
  /** No plan ends before. */
  readonly bound: number;
  /** Hours at the bench in which nothing could be done: it all cured. */
  readonly idleMin: number;
  /** No day has as many hands as some job wants: it is planned with those that there are. */
  readonly lacksHands: readonly string[];
};

type Asked = {
  readonly jobs: readonly WorkJob[];
  readonly done: ReadonlySet<string>;
  /** By job: not before this minute. */
  readonly notBefore: ReadonlyMap<string, number>;
  readonly stretches: readonly Stretch[];
};

const HOUR = 60;
/** Less of a stretch is not worth laying out for dry work, minutes. */
const LEAST_MIN = 10;
/** Nobody begins to the minute. */
const CLOCK_MIN = 5;
const onClock = (minute: number): number => CLOCK_MIN * Math.ceil(minute / CLOCK_MIN);
/** A moment's difference is none, minutes. */
const MOMENT = 1e-6;

export function schedule(asked: Asked): Schedule {
  const next = followers(asked.jobs);
  const ranks = ranksOf(asked, next);
  const tried = ranks.flatMap((rank) => [false, true].map((isHeld) => listSchedule(asked, { rank, isHeld, next })));
  const best = tried.reduce((a, b) => (isBetter(b, a) ? b : a));
  const { bound, chain } = boundOf(asked);
  const planned = best.planned.map((one) => (chain.has(one.job.id) ? { ...one, isCritical: true } : one));
  return { ...best, planned, bound };
}

type Trial = Omit<Schedule, 'bound'>;

function isBetter(a: Trial, b: Trial): boolean {
  if (a.left.length !== b.left.length) return a.left.length < b.left.length;
  const sanded = ({ planned }: Trial) => planned.filter(({ sandedFor }) => sandedFor !== undefined).length;
  return a.end !== b.end ? a.end < b.end : sanded(a) < sanded(b);
}

/** How pressing each job is: by work and waiting after it, by waiting above all, by its place in the order. */
function ranksOf({ jobs, done }: Asked, next: Followers): ReadonlyMap<string, number>[] {
  const tails = (weight: number) => {
    const known = new Map<string, number>();
    for (const job of [...jobs].reverse()) {
      const after = (next.get(job.id) ?? []).map(
        ({ job: { id }, need: { leastH } }) => weight * leastH * HOUR + (known.get(id) ?? 0),
      );
      known.set(job.id, (done.has(job.id) ? 0 : job.minutes) + Math.max(0, ...after));
    }
    return known;
  };
  return [...WAITING_WEIGHTS.map(tails), new Map(jobs.map(({ id }, i) => [id, -i]))];
}
/** Of an hour of curing against an hour of work. */
const WAITING_WEIGHTS = [1, 0.3, 0, 4];

/** By job, those that wait for it. Jobs come after what they need. */
function followers(jobs: readonly WorkJob[]): Followers {
  const map = new Map<string, Follower[]>();
  for (const job of jobs)
    for (const need of job.needs) {
      const own = map.get(need.job);
      if (own) own.push({ job, need });
      else map.set(need.job, [{ job, need }]);
    }
  return map;
}
type Follower = { readonly job: WorkJob; readonly need: Need };
type Followers = ReadonlyMap<string, readonly Follower[]>;

type State = {
  readonly ends: Map<string, number>;
  readonly begun: Map<string, Begun>;
  readonly planned: PlannedJob[];
};

type Way = { readonly rank: ReadonlyMap<string, number>; readonly isHeld: boolean; readonly next: Followers };

type Begun = { readonly left: number; readonly sessions: readonly Session[]; readonly sandedFor?: string };

function listSchedule(asked: Asked, way: Way): Trial {
  const { jobs, done, stretches } = asked;
  const most = Math.max(0, ...stretches.map(({ hands }) => hands));
  const ahead = longestAhead(stretches, most);
  const state: State = { ends: new Map([...done].map((id) => [id, -Infinity])), begun: new Map(), planned: [] };
  let left = jobs.filter(({ id }) => !done.has(id));
  let idleMin = 0;
  let over = -Infinity;
  for (const [k, stretch] of stretches.entries()) {
    if (left.length === 0) break;
    let now = Math.max(stretch.from, over);
    while (now < stretch.to - MOMENT && left.length > 0) {
      const chosen = choose(asked, state, way, {
        left,
        stretch,
        later: stretches.slice(k, k + CHANCES),
        now,
        most,
        longest: ahead(k),
      });
      if (!chosen) {
        const wait = nextChance(asked, state, left, now);
        const until = Math.min(stretch.to, onClock(Math.max(wait, now + 1)));
        idleMin += until - now;
        now = until;
        continue;
      }
      const { end, isDone } = work(state, chosen, now, stretch);
      if (isDone) left = left.filter(({ id }) => id !== chosen.job.id);
      now = end;
    }
    over = now;
  }
  return {
    ...{ planned: state.planned, left: left.map(({ id }) => id), idleMin },
    end: Math.max(0, ...state.planned.map(({ end }) => end)),
    lacksHands: jobs.filter(({ id, hands }) => !done.has(id) && hands > most).map(({ id }) => id),
  };
}

type May = { readonly job: WorkJob; readonly minutes: number; readonly sandedFor?: string };
type Moment = {
  readonly left: readonly WorkJob[];
  readonly stretch: Stretch;
  /** This stretch and those after it. */
  readonly later: readonly Stretch[];
  readonly now: number;
  readonly most: number;
  /** Of the stretches from this one on the longest, by the hands that a job wants. */
  readonly longest: (hands: number) => number;
};

/** Further than this a longer day is not waited for, stretches. */
const WAITED_FOR = 60;

/** How long the longest stretch of those soon after one is, by how many hands it has. */
function longestAhead(stretches: readonly Stretch[], most: number) {
  const known = new Map<number, number>();
  return (k: number) =>
    (hands: number): number => {
      const key = k * (most + 1) + hands;
      const found = known.get(key);
      if (found !== undefined) return found;
      const own = stretches.slice(k, k + WAITED_FOR).filter((one) => one.hands >= hands);
      const longest = Math.max(0, ...own.map(({ from, to }) => to - from));
      known.set(key, longest);
      return longest;
    };
}

/** Stretches that are looked ahead. */
const CHANCES = 16;

function choose(asked: Asked, state: State, { rank, isHeld, next }: Way, moment: Moment): May | undefined {
  const { left, stretch, later, now, most, longest } = moment;
  const room = stretch.to - now;
  let best: { readonly may: May; readonly isUrgent: boolean; readonly rank: number } | undefined;
  for (const job of left) {
    if (Math.min(job.hands, most) > stretch.hands) continue;
    const may = mayBegin(asked, state, job, now);
    if (!may) continue;
    const isBegun = state.begun.has(job.id);
    if (job.isOneGo) {
      const dayMin = longest(Math.min(job.hands, most));
      const isTooLong = may.minutes > dayMin;
      if (may.minutes > room + MOMENT && !(isTooLong && room >= dayMin - MOMENT)) continue;
    } else if (room < LEAST_MIN && may.minutes > room) continue;
    const isClosing = !isBegun && closes(state, job, now, later[1]?.from ?? Infinity);
    if (isHeld && !isBegun && !isClosing && isHeldBack(next.get(job.id) ?? [], later, now, may.minutes)) continue;
    const own = {
      may,
      isUrgent: isBegun || isClosing,
      rank: rank.get(job.id) ?? 0,
    };
    if (!best || (own.isUrgent && !best.isUrgent) || (own.isUrgent === best.isUrgent && own.rank > best.rank))
      best = own;
  }
  return best?.may;
}

/** Whether and how it may begin now, or go on. */
function mayBegin({ notBefore }: Asked, { ends, begun }: State, job: WorkJob, now: number): May | undefined {
  const going = begun.get(job.id);
  if (going) {
    const { left, sandedFor } = going;
    return { job, minutes: left, ...(sandedFor !== undefined && { sandedFor }) };
  }
  if ((notBefore.get(job.id) ?? -Infinity) > now + MOMENT) return undefined;
  let sanding = 0;
  let sandedFor: string | undefined;
  for (const need of job.needs) {
    const end = ends.get(need.job);
    if (end === undefined) return undefined;
    const lag = now - end + MOMENT;
    if (lag < need.leastH * HOUR) return undefined;
    if (!need.bonds || lag <= need.bonds.mostH * HOUR + 2 * MOMENT) continue;
    if (lag < need.bonds.sandFromH * HOUR) return undefined;
    // what was done before the plan began is taken to bond no more
    sanding += need.bonds.sandMin;
    sandedFor = need.job;
  }
  return { job, minutes: job.minutes + sanding, ...(sandedFor !== undefined && { sandedFor }) };
}

/** Whether a coat under it would no longer bond when the next stretch begins. */
const closes = ({ ends }: State, { needs }: WorkJob, now: number, next: number): boolean =>
  needs.some(({ job, bonds }) => {
    const end = ends.get(job);
    if (end === undefined || !bonds) return false;
    const until = end + bonds.mostH * HOUR;
    return now <= until && next > until;
  });

/** Whether what bonds to it would come too late, and would not if this began in a later stretch. */
function isHeldBack(next: readonly Follower[], later: readonly Stretch[], now: number, minutes: number): boolean {
  const coat = next.find(({ need }) => need.bonds);
  if (!coat?.need.bonds) return false;
  const { leastH, bonds } = coat.need;
  const fits = (end: number) =>
    later.some(({ from, to }) => {
      const begin = Math.max(from, end + leastH * HOUR);
      return begin <= end + bonds.mostH * HOUR && begin + (coat.job.isOneGo ? coat.job.minutes : 1) <= to;
    });
  if (fits(now + minutes)) return false;
  return later.slice(1, CHANCES / 2).some(({ from, to }) => to - from >= minutes && fits(to));
}

/** When the first of what waits for time alone may begin. */
function nextChance({ notBefore }: Asked, { ends }: State, left: readonly WorkJob[], now: number): number {
  let soonest = Infinity;
  for (const { id, needs } of left) {
    let at = notBefore.get(id) ?? -Infinity;
    for (const { job, leastH, bonds } of needs) {
      const end = ends.get(job) ?? Infinity;
      const bondsUntil = bonds ? end + bonds.mostH * HOUR : Infinity;
      const first = end + leastH * HOUR;
      at = Math.max(at, first > now || !bonds || now <= bondsUntil ? first : end + bonds.sandFromH * HOUR);
    }
    if (at > now + MOMENT) soonest = Math.min(soonest, at);
  }
  return soonest;
}

function work(state: State, { job, minutes, sandedFor }: May, now: number, stretch: Stretch) {
  const going = state.begun.get(job.id);
  const room = job.isOneGo ? minutes : Math.min(minutes, stretch.to - now);
  const end = now + room;
  const sessions = [...(going?.sessions ?? []), { from: now, to: end }];
  const isDone = minutes - room < MOMENT;
  if (!isDone) {
    state.begun.set(job.id, { left: minutes - room, sessions, ...(sandedFor !== undefined && { sandedFor }) });
    return { end, isDone };
  }
  state.begun.delete(job.id);
  state.ends.set(job.id, end);
  const all = sessions.reduce((sum, { from, to }) => sum + to - from, 0);
  state.planned.push({
    ...{ job, minutes: all, sessions, start: sessions[0]?.from ?? now, end, isCritical: false },
    ...(sandedFor !== undefined && { sandedFor }),
    overMin: Math.max(0, end - stretch.to),
  });
  return { end, isDone };
}

/** No plan ends sooner. */
function boundOf(asked: Asked): { readonly bound: number; readonly chain: ReadonlySet<string> } {
  const left = asked.jobs.filter(({ id }) => !asked.done.has(id));
  const minutes = left.reduce((sum, job) => sum + job.minutes, 0);
  const longest = longestChain(asked);
  return { bound: Math.max(poured(asked.stretches, minutes, 0), longest.end), chain: longest.chain };
}

/** When so much work from a moment on is done, at every minute of the hours. */
function poured(stretches: readonly Stretch[], minutes: number, from: number): number {
  let left = minutes;
  if (left <= 0) return from;
  for (const { from: start, to } of stretches) {
    const begin = Math.max(start, from);
    if (begin >= to) continue;
    if (to - begin >= left) return begin + left;
    left -= to - begin;
  }
  return Infinity;
}

/** With hands for everything at once, and all work parted as one likes. */
function longestChain({ jobs, done, stretches, notBefore }: Asked) {
  const ends = new Map<string, number>();
  const because = new Map<string, string>();
  const most = Math.max(0, ...stretches.map(({ hands }) => hands));
  const helped = stretches.filter(({ hands }) => hands > 1);
  for (const { id, needs, minutes, hands, isOneGo } of jobs) {
    if (done.has(id)) continue;
    let from = Math.max(notBefore.get(id) ?? 0, 0);
    for (const { job, leastH } of needs) {
      const ready = (ends.get(job) ?? -Infinity) + leastH * HOUR;
      if (ready <= from) continue;
      from = ready;
      because.set(id, job);
    }
    const own = Math.min(hands, most) > 1 && hands === 2 ? helped : stretches;
    // what is longer than any stretch runs over: of it no more is sure than that it ends after its own minutes
    const longest = Math.max(0, ...own.map((one) => one.to - one.from));
    const begin = poured(own, Math.min(1, minutes), from) - Math.min(1, minutes);
    ends.set(id, isOneGo && minutes > longest ? begin + minutes : poured(own, minutes, from));
  }
  const end = Math.max(0, ...ends.values());
  const chain = new Set<string>();
  let own = [...ends].find(([, at]) => at === end)?.[0];
  while (own !== undefined) {
    chain.add(own);
    own = because.get(own);
  }
  return { end, chain };
}
