/**
 * Why a frame is not true: the single motion that alone explains its readings, or several.
 *
 * Method (methods: setting up): a rack turns the frame about its upright, a wind about the fore-and-aft axis, a lean
 * about the athwart one; the last two about its foot, where it is held, or about its centre. The motion is named that
 * alone leaves no more than chance, if no other one does nearly as well. A tape, a rule and a string are right within
 * 1 mm, a plumb line within 0.1°; what was looked at and called true, within half of the tolerance.
 */
import type { Vec3 } from '../geometry';
import { toDeg } from '../measure';
import type { Cause, Explained, Single } from './causes';
import { fitMotion, type Fit, type Levers, type Weighed } from './fit';
import type { SetFrame, SetReading, SetupJob } from './job';
import { moved, readingAfter, STILL, type Motion } from './motion';
import { adviceOf, leversIn, motionIn, type Advised } from './say';

const MOTIONS = ['x', 'y', 'z', 'rollDeg', 'pitchDeg', 'yawDeg'] as const;
type MotionName = (typeof MOTIONS)[number];

export type SetResult = {
  readonly name: string;
  readonly cause: Cause;
  /** About the frame's centre, from where it should be to where it is. */
  readonly moved: Readonly<Record<MotionName, number>>;
  readonly unknown: readonly MotionName[];
  /** The greatest distance of its four points from their places, mm. */
  readonly worst: number;
  readonly say: string;
  /** What it is said from. */
  readonly advised: Advised;
};

const SIGMA_MM = 1;
const SIGMA_DEG = 0.1;
/** Readings that are left by no more than these are explained: each, in errors, and all together. */
const EACH = 3.2;
/** Another motion does nearly as well where its sum of squares is no more than so much over the best. */
const NEARLY = 6;
/** A turn is counted at such a lever at least, mm. */
const LEAST_LEVER_MM = 100;

export const setUp = ({ frames, readings, tolerance }: SetupJob): SetResult[] =>
  frames.map((frame) =>
    judgeFrame(
      frame,
      readings.filter((reading) => reading.frame === frame.name),
      tolerance,
    ),
  );

function judgeFrame(frame: SetFrame, readings: readonly SetReading[], tolerance: number): SetResult {
  const weighed = readings.map((reading) => weighedOf(reading, frame, tolerance));
  const levers = leversOf(frame);
  const asked = { frame, weighed, levers };
  const whole = fitMotion({ ...asked, pivot: frame.centre, free: [0, 1, 2, 3, 4, 5] });
  const known: Motion = whole.motion;
  const places = (['centre', 'port', 'starboard', 'foot'] as const).map((place) => frame[place]);
  const worst = Math.max(...places.map((point) => gap(moved(known, frame.centre, point), point)));
  const singles = singlesOf(frame).map((single): Explained => ({
    ...single,
    fit: fitMotion({ ...asked, pivot: single.pivot, free: [single.index] }),
  }));
  const explain = singles
    .filter(({ fit }) => isChance(fit, weighed.length - 1))
    .sort((a, b) => a.fit.chi2 - b.fit.chi2);
  const isTrue = weighed.every(({ reading, value }) => isOnMark(reading, value, frame, tolerance));
  const best = explain[0];
  const rivals = [
    ...new Set(explain.filter(({ fit }) => fit.chi2 <= best!.fit.chi2 + NEARLY).map(({ cause }) => cause)),
  ];
  const cause: Cause = isTrue ? 'true' : best && rivals.length === 1 ? best.cause : 'several';
  const unknown = whole.open.map((k) => MOTIONS[k]!);
  const advised: Advised = {
    ...{ frame: `frame ${frame.name}`, cause, readings: readings.length },
    ...leversIn(frame),
    ...motionIn(cause !== 'several' && best ? best.fit.motion : known),
    ...{ rivals: rivals.join(','), unknown: unknown.join(',') },
  };
  return {
    ...{ name: frame.name, cause, unknown, worst, advised },
    ...{ moved: motionWords(known), say: adviceOf(advised) },
  };
}

const gap = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** "True" is the figure that it should be, within half of the tolerance. */
function weighedOf(reading: SetReading, frame: SetFrame, tolerance: number): Weighed {
  const should = readingAfter(reading, frame, STILL, frame.centre);
  const sigma = reading.kind === 'plumb' ? SIGMA_DEG : SIGMA_MM;
  if (reading.value !== 'true') return { reading, value: reading.value, sigma };
  return { reading, value: should, sigma: reading.kind === 'plumb' ? sigma : Math.max(sigma, tolerance / 2) };
}

function isOnMark(reading: SetReading, value: number, frame: SetFrame, tolerance: number): boolean {
  const off = Math.abs(value - readingAfter(reading, frame, STILL, frame.centre));
  if (reading.kind !== 'plumb') return off <= Math.max(tolerance, 2.5 * SIGMA_MM);
  const height = Math.max(LEAST_LEVER_MM, Math.abs(frame.centre[2] - frame.foot[2]));
  return off <= Math.max(toDeg(tolerance / height), 2.5 * SIGMA_DEG);
}

/** Within what `freedom` readings leave by chance: mean and three standard deviations of chi squared. */
const isChance = ({ chi2, worst, open }: Fit, freedom: number): boolean =>
  open.length === 0 && worst <= EACH && chi2 <= freedom + 3 * Math.sqrt(2 * Math.max(1, freedom));

function leversOf({ centre, port, starboard, foot }: SetFrame): Levers {
  const half = Math.max(LEAST_LEVER_MM, Math.abs(starboard[1] - port[1]) / 2);
  const height = Math.max(LEAST_LEVER_MM, Math.abs(centre[2] - foot[2]));
  return [1, 1, 1, half, height, half];
}

function singlesOf({ centre, foot }: SetFrame): Single[] {
  const about = (cause: Single['cause'], index: number, pivots: readonly Vec3[]) =>
    pivots.map((pivot): Single => ({ cause, index, pivot }));
  return [
    ...about('shifted', 0, [centre]),
    ...about('aside', 1, [centre]),
    ...about('high', 2, [centre]),
    ...about('wind', 3, [centre, foot]),
    ...about('lean', 4, [foot, centre]),
    ...about('rack', 5, [centre]),
  ];
}

function motionWords([x, y, z, roll, pitch, yaw]: Motion): SetResult['moved'] {
  return { x, y, z, rollDeg: toDeg(roll), pitchDeg: toDeg(pitch), yawDeg: toDeg(yaw) };
}
