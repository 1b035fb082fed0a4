/** The set-up as it stands: every frame, what was read of it, and why it is not true. */
import type { Vec3 } from '../geometry';
import type { Frame } from '../frames';
import { setUp, type SetResult } from './cause';
import { LEG_CLEAR } from './constants';
import type { SetupFinding } from './findings';
import type { SetReading } from './job';
import { moved, type Motion } from './motion';
import type { KeptReading, SetupPart } from './schema';
import { legPlaces, readingOf, standingsOf, type Standing } from './standing';
import { toRad } from '../measure';
import { standThing } from './things';

export type Stood = Standing & {
  /** As far as it was read. */
  readonly result: SetResult;
  /** It was looked at before another frame was set. */
  readonly isOld: boolean;
};

/** A piece of the strongback to be cut. */
export type JigPiece = {
  readonly name: string;
  readonly qty: number;
  readonly lengthMm: number;
  readonly breadthMm: number;
  readonly depthMm: number;
};

export type SetupValue = {
  /** In the order in which they are set: middle first. */
  readonly frames: readonly Stood[];
  /** Of the strongback, from the boat's own datum, and its legs' places. */
  readonly fromX: number;
  readonly toX: number;
  readonly legs: readonly number[];
  readonly pieces: readonly JigPiece[];
};

export type SettingUp = {
  readonly frames: readonly Frame[];
  readonly fromX: number;
  readonly toX: number;
  readonly part: SetupPart;
};

export function stoodUp({ frames, fromX, toX, part }: SettingUp): SetupValue {
  const asked = { fromX, toX, part };
  const standings = standingsOf(frames, asked);
  const readings = standings.flatMap((standing) =>
    ofFrame(part.readings, standing.id).map(({ what, isTrue, value }): SetReading => ({
      ...readingOf(standing, what, asked),
      value: isTrue ? 'true' : value,
    })),
  );
  const results = setUp({ tolerance: part.tolerance, frames: standings.map(({ set }) => set), readings });
  const last = (id: string) => Math.max(-1, ...ofFrame(part.readings, id).map(({ turn }) => turn));
  const since = (id: string) => Math.min(...ofFrame(part.readings, id).map(({ firstTurn }) => firstTurn));
  const stood = standings.map((standing, k): Stood => {
    const result = results[k]!; // one a frame
    const latest = last(standing.id);
    const isOld = latest >= 0 && standings.some(({ id }) => id !== standing.id && last(id) >= 0 && since(id) > latest);
    return { ...standing, result, isOld };
  });
  return { frames: stood, ...strongback(standings, asked) };
}

const ofFrame = (readings: readonly KeptReading[], id: string): KeptReading[] =>
  readings.filter(({ frame }) => frame === id);

function strongback(
  standings: readonly Standing[],
  { fromX, toX, part: { before, rails } }: Omit<SettingUp, 'frames'>,
): Omit<SetupValue, 'frames'> {
  const [from, to] = [fromX - before, toX + before];
  const legs = legPlaces(standings, { from, to, every: rails.legEvery, clear: LEG_CLEAR.value });
  const { breadth: breadthMm, depth: depthMm } = rails;
  const piece = (name: string, qty: number, lengthMm: number): JigPiece[] =>
    qty > 0 && lengthMm > 0 ? [{ name, qty, lengthMm, breadthMm, depthMm }] : [];
  return {
    ...{ fromX: from, toX: to, legs },
    pieces: [
      ...piece('Rails', 2, to - from),
      ...piece('Legs', 2 * legs.length, rails.height),
      ...piece('Cross pieces, one a frame', standings.length, rails.apart),
    ],
  };
}

/** Farther off its place than this no frame stands: it was read wrongly, mm. */
const WILD_MM = 300;

export function judgeSetup({ frames }: SetupValue): SetupFinding[] {
  const where = (id: string) => ({ stage: 'setup' as const, part: standThing(id) });
  if (frames.length === 0) return [{ severity: 'note', code: 'nothing-to-set', where: { stage: 'setup' }, data: {} }];
  const off = frames.flatMap(({ id, name, result }): SetupFinding[] => {
    if (result.advised.readings === 0 || result.cause === 'true') return [];
    if (result.worst > WILD_MM)
      return [
        { severity: 'check', code: 'reading-wild', where: where(id), data: { frame: name, offMm: result.worst } },
      ];
    const data = { ...result.advised, frame: name };
    return [{ severity: 'check', code: 'frame-not-true', where: where(id), data }];
  });
  const old = frames.filter(({ isOld }) => isOld);
  const first = old[0];
  if (!first) return off;
  const newest = frames.filter(({ isOld, result }) => !isOld && result.advised.readings > 0);
  const data = { frames: old.map(({ name }) => name).join(', '), after: newest.map(({ name }) => name).join(', ') };
  return [...off, { severity: 'note', code: 'look-again', where: where(first.id), data }];
}

/** The four points of a frame as it stands, what it is out by so many times as large. */
export function drawnOut(
  { set, result: { moved: by } }: Stood,
  times: number,
): Record<'centre' | 'port' | 'starboard' | 'foot', Vec3> {
  const motion: Motion = [
    ...([by.x * times, by.y * times, by.z * times] as const),
    ...([toRad(by.rollDeg * times), toRad(by.pitchDeg * times), toRad(by.yawDeg * times)] as const),
  ];
  const point = (place: 'centre' | 'port' | 'starboard' | 'foot') => moved(motion, set.centre, set[place]);
  return { centre: point('centre'), port: point('port'), starboard: point('starboard'), foot: point('foot') };
}
