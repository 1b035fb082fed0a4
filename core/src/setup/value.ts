/** The set-up as it stands: every frame, what was read of it, and why it is not true. */
import type { Vec3 } from '../geometry';
import type { BuiltPanel, FittedFrame } from './built';
import type { Hull } from '../lines';
import { depthOfInside, type PanelsPart } from '../panels';
import { asItIs, type Remember } from '../stage';
import { setUp, type SetResult } from './cause';
import type { ToldFault } from './faults';
import { judgeFaults, toldFaults } from './faults-judge';
import type { SetupFinding } from './findings';
import { jigFor, type Jig, type JigFor } from './jig';
import type { SetReading } from './job';
import { moved, type Motion } from './motion';
import type { Solid } from './solids';
import { noJigOf, type NoJig } from './no-jig';
import type { KeptReading, SetupPart } from './schema';
import { readingOf, standingsOf, type Heights, type Standing } from './standing';
import { toRad } from '../measure';
import { standThing } from './things';

export type Stood = Standing & {
  /** As far as it was read. */
  readonly result: SetResult;
  /** It was looked at before another frame was set. */
  readonly isOld: boolean;
};

export type SetupValue = {
  /** In the order in which they are set: middle first. */
  readonly frames: readonly Stood[];
  readonly jig: Omit<Jig, 'solids'>;
  /** Of the jig. Beside it, so that those that an edit leaves alone are not sent again. */
  readonly solids: Jig['solids'];
  readonly heights: Heights;
  /** What was found wrong with frames. */
  readonly faults: readonly ToldFault[];
  /** Where there is no jig. */
  readonly noJig?: NoJig;
  /** Of the boat as it stands, where that was asked for. */
  readonly built: readonly BuiltPanel[];
  readonly fitted: readonly FittedFrame[];
};

export type SettingUp = Omit<JigFor, 'standings' | 'heights' | 'skin' | 'part'> & {
  readonly part: SetupPart;
  readonly hull: Hull;
  readonly skin: Pick<PanelsPart, 'thickness' | 'linesTo'>;
};

export function stoodUp(job: SettingUp, remember: Remember): Omit<SetupValue, 'built' | 'fitted'> {
  const { frames, fromX, toX, part } = job;
  const asked = { fromX, toX, part };
  const { heights, standings } = standingsOf(frames, asked);
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
  const { way, rails, floor, from, before, off } = part;
  const stands = { part: { way, rails, floor, from, before, off }, skin: job.skin };
  const boat = { frames, members: job.members, girders: job.girders, panels: job.panels, fromX, toX };
  const { solids, ...jig } = remember('jig', jigFor, { ...stands, ...boat, standings, heights });
  return {
    ...{ frames: stood, heights, jig },
    solids: solids.map((solid, k) => remember(`solid ${k}`, asItIs<Solid>, solid)),
    faults: toldFaults(frames, part),
    ...(part.way === 'no-jig' && {
      noJig: noJigOf({ hull: job.hull, panels: job.panels, standings, insideMm: depthOfInside(job.skin) }),
    }),
  };
}

const ofFrame = (readings: readonly KeptReading[], id: string): KeptReading[] =>
  readings.filter(({ frame }) => frame === id);

/** Farther off its place than this no frame stands: it was read wrongly, mm. */
const WILD_MM = 300;

export function judgeSetup({ frames, jig, faults }: SetupValue): SetupFinding[] {
  return [...judgeFrames(frames), ...(frames.length > 0 ? judgeJig(jig) : []), ...judgeFaults(faults)];
}

function judgeJig({ clashes, shortBy, unheld, unbraced }: Omit<Jig, 'solids'>): SetupFinding[] {
  const where = { stage: 'setup' } as const;
  const named = (names: readonly string[]) => ({ frames: names.join(', ') });
  return [
    ...clashes.map(([one, other]): SetupFinding => ({
      severity: 'check',
      code: 'jig-clash',
      where,
      data: { one, other },
    })),
    ...(shortBy > 0 ? [{ severity: 'check', code: 'jig-short', where, data: { shortMm: shortBy } } as const] : []),
    ...(unheld.length > 0 ? [{ severity: 'check', code: 'frame-unheld', where, data: named(unheld) } as const] : []),
    ...(unbraced.length > 0
      ? [{ severity: 'note', code: 'frame-unbraced', where, data: named(unbraced) } as const]
      : []),
  ];
}

function judgeFrames(frames: readonly Stood[]): SetupFinding[] {
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
