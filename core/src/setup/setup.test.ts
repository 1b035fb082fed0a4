import { describe, expect, it } from 'vitest';
import { random, type Vec3 } from '../geometry';
import { readSetupJob, setUp } from '.';
import { eigenOf } from './eigen';
import type { SetFrame, SetReading, SetupJob } from './job';
import { moved, readingAfter, type Motion } from './motion';

/** A frame 1.2 m wide, half a metre over the strongback, 1.8 m from the datum. */
const frame: SetFrame = {
  ...{ name: '3', centre: [1800, 0, 500], port: [1800, -600, 420], starboard: [1800, 600, 420], foot: [1800, 0, 0] },
};
const datum: Vec3 = [0, 0, 0];
type Asked = SetReading extends infer One ? (One extends SetReading ? Omit<One, 'value' | 'frame'> : never) : never;
const FULL: readonly Asked[] = [
  { kind: 'along', from: datum, to: 'port' },
  { kind: 'along', from: datum, to: 'starboard' },
  { kind: 'along', from: datum, to: 'centre' },
  { kind: 'height', of: 'port' },
  { kind: 'height', of: 'starboard' },
  { kind: 'offset', of: 'centre' },
  { kind: 'plumb' },
];

/** What one reads of a frame that is moved about a pivot; `noise` gives a normal error of 1. */
function read(motion: Motion, pivot: Vec3, noise: () => number = () => 0, asked = FULL): SetReading[] {
  return asked.map((one) => {
    const reading = { ...one, frame: '3', value: 0 } as SetReading; // of the kinds above
    const sigma = one.kind === 'plumb' ? 0.1 : 1;
    return { ...reading, value: readingAfter(reading, frame, motion, pivot) + sigma * noise() };
  });
}
const judged = (readings: readonly SetReading[], tolerance = 2) => {
  const [first] = setUp({ tolerance, frames: [frame], readings: [...readings] });
  if (!first) throw new Error('one frame gives one row');
  return first;
};

const rad = (deg: number) => (deg * Math.PI) / 180;
const CASES: readonly (readonly [cause: string, motion: Motion, pivot: Vec3])[] = [
  ['rack', [0, 0, 0, 0, 0, 8 / 600], frame.centre],
  ['rack', [0, 0, 0, 0, 0, -8 / 600], frame.centre],
  ['wind', [0, 0, 0, 6 / 600, 0, 0], frame.centre],
  ['wind', [0, 0, 0, -6 / 600, 0, 0], frame.foot],
  ['lean', [0, 0, 0, 0, rad(1), 0], frame.foot],
  ['lean', [0, 0, 0, 0, rad(-1), 0], frame.centre],
  ['shifted', [9, 0, 0, 0, 0, 0], frame.centre],
  ['aside', [0, -7, 0, 0, 0, 0], frame.centre],
  ['high', [0, 0, 8, 0, 0, 0], frame.centre],
];

describe.each(CASES)('a %s of %j about %j', (cause, motion, pivot) => {
  it('is known from readings without error, to a hundredth, and the frame is put back by it', () => {
    const { cause: found, moved: by, unknown } = judged(read(motion, pivot));
    expect([found, unknown]).toEqual([cause, []]);
    const known: Motion = [by.x, by.y, by.z, rad(by.rollDeg), rad(by.pitchDeg), rad(by.yawDeg)];
    for (const place of ['centre', 'port', 'starboard', 'foot'] as const) {
      const [is, told] = [moved(motion, pivot, frame[place]), moved(known, frame.centre, frame[place])];
      expect(Math.hypot(...is.map((value, k) => value - told[k]!))).toBeLessThan(0.01);
    }
  });
  it('is named rightly in 95 of 100 sets of readings with errors of 1 mm, and the move halves the error', () => {
    const next = random(17);
    const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
    let [named, halved] = [0, 0];
    for (let run = 0; run < 100; run++) {
      const { cause: found, moved: by } = judged(read(motion, pivot, normal));
      if (found === cause) named++;
      const known: Motion = [by.x, by.y, by.z, rad(by.rollDeg), rad(by.pitchDeg), rad(by.yawDeg)];
      const off = (told: Motion, about: Vec3) =>
        Math.max(
          ...(['centre', 'port', 'starboard', 'foot'] as const).map((place) => {
            const [is, should] = [moved(motion, pivot, frame[place]), moved(told, about, frame[place])];
            return Math.hypot(...is.map((value, k) => value - should[k]!));
          }),
        );
      if (off(known, frame.centre) <= off([0, 0, 0, 0, 0, 0], frame.centre) / 2) halved++;
    }
    expect(named).toBeGreaterThanOrEqual(95);
    expect(halved).toBeGreaterThanOrEqual(90);
  });
});

describe('what is not settled', () => {
  it('is told, and not guessed: two tapes do not tell a shift from a lean', () => {
    const { cause, unknown, moved: by } = judged(read([9, 0, 0, 0, 0, 0], frame.centre, undefined, FULL.slice(0, 2)));
    expect(cause).toBe('several');
    expect(unknown).toEqual(expect.arrayContaining(['z', 'rollDeg', 'pitchDeg']));
    for (const name of unknown) expect(by[name]).toBe(0);
  });
  it('of a frame that nobody measured is all of it', () => {
    const { cause, unknown, worst, say } = judged([]);
    expect([cause, unknown.length, worst]).toEqual(['true', 6, 0]);
    expect(say).toMatch(/Nothing is measured of frame 3/);
  });
});

it('a frame that was looked at and is on its mark everywhere is true', () => {
  const readings = read([0, 0, 0, 0, 0, 0], frame.centre).map((one): SetReading => ({ ...one, value: 'true' }));
  expect(judged(readings)).toMatchObject({ cause: 'true', worst: expect.closeTo(0, 6) as number });
});
it('a rack and a lean together are several, each told with its undoing', () => {
  const { cause, say } = judged(read([0, 0, 0, 0, rad(2), 14 / 600], frame.centre));
  expect(cause).toBe('several');
  expect(say).toMatch(/top of frame 3 forward 17.*swing the starboard side of frame 3 aft 14/i);
});
it('the advice is the motion reversed: starboard swung forward by 8 goes aft by 8', () => {
  expect(judged(read([0, 0, 0, 0, 0, 8 / 600], frame.centre)).say).toBe(
    'Swing the starboard side of frame 3 aft 8 mm, keeping the centre.',
  );
});

it('eigenOf takes a symmetric matrix apart and puts it together again', () => {
  const matrix = [
    [4, 1, -2],
    [1, 3, 0.5],
    [-2, 0.5, 6],
  ];
  const { values, vectors } = eigenOf(matrix);
  matrix.forEach((row, i) =>
    row.forEach((value, j) =>
      expect(vectors.reduce((sum, v, k) => sum + values[k]! * v[i]! * v[j]!, 0)).toBeCloseTo(value, 9),
    ),
  );
});

describe('readSetupJob', () => {
  const job = { tolerance: 2, frames: [frame], readings: [{ frame: '3', kind: 'plumb', value: 0.4 }] };
  it('takes the figures of the contract, and "true"', () => {
    const read = readSetupJob({ ...job, readings: [{ frame: '3', kind: 'height', of: 'port', value: 'true' }] });
    expect(read.ok && (read.job satisfies SetupJob).readings).toHaveLength(1);
  });
  it.each([
    ['no frames', { frames: [] }, /frames: expected 1/],
    ['a frame twice', { frames: [frame, frame] }, /frame "3": it is there twice/],
    ['a reading of no frame', { readings: [{ frame: '9', kind: 'plumb', value: 1 }] }, /frame "9" is not there/],
    ['a kind that there is not', { readings: [{ frame: '3', kind: 'smell', value: 1 }] }, /readings.0/],
    ['a word for a figure', { readings: [{ frame: '3', kind: 'plumb', value: 'yes' }] }, /figure, or "true"/],
    ['a point of two figures', { frames: [{ ...frame, foot: [1, 2] }] }, /frames.0.foot/],
  ])('refuses %s, and says where', (_what, more, words) => {
    const read = readSetupJob({ ...job, ...more });
    expect(!read.ok && read.problem).toMatch(words);
  });
});
