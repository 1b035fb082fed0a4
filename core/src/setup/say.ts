/** What to do with one's hands: the motion reversed, in words. Lengths mm. */
import { toDeg } from '../measure';
import type { Cause } from './causes';
import type { SetFrame } from './job';
import type { Motion } from './motion';

/** All that advice is made from, as plain figures and words. */
export type Advised = {
  readonly frame: string;
  readonly cause: Cause;
  /** Half of its breadth, and from its foot to its centre mark. */
  readonly half: number;
  readonly height: number;
  /** The single motion that explains the readings best, if one does; else what is known of all six. mm and radians. */
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly roll: number;
  readonly pitch: number;
  readonly yaw: number;
  /** Causes that explain the readings about as well, and motions that they do not settle, each after a comma. */
  readonly rivals: string;
  readonly unknown: string;
  /** How many there are. */
  readonly readings: number;
};

type Says = (mm: number) => string;
const inMm: Says = (length) => `${Number(length.toFixed(1))} mm`;

export const leversIn = ({ port, starboard, centre, foot }: SetFrame) => ({
  half: Math.abs(starboard[1] - port[1]) / 2,
  height: Math.abs(centre[2] - foot[2]),
});

export const motionIn = ([x, y, z, roll, pitch, yaw]: Motion) => ({ x, y, z, roll, pitch, yaw });

/** @param length of a boat that is measured by another rule */
export function adviceOf(advised: Advised, length: Says = inMm): string {
  const { frame: name, cause, readings } = advised;
  const [rivals, unknown] = [listed(advised.rivals), listed(advised.unknown)];
  if (readings === 0) return `Nothing is measured of ${name} yet.`;
  const open = unknown.length === 0 ? '' : ` ${leftOpen(unknown)}`;
  if (cause === 'true') return `${capital(name)} is true, as far as it is measured.${open}`;
  if (cause !== 'several') return `${capital(undo(cause, advised, length))}.${open}`;
  if (rivals.length > 1)
    return (
      `The readings of ${name} fit ${rivals.map((one) => NAMES[one] ?? one).join(' or ')} equally well: ` +
      `measure more.${open}`
    );
  const all = allOf(advised, length);
  return all.length === 0
    ? `The readings of ${name} do not agree with one another: measure again.${open}`
    : `No single motion explains ${name}. ${capital(all.join('; '))}.${open}`;
}

const listed = (words: string): string[] => (words === '' ? [] : words.split(','));

const NAMES: Readonly<Record<string, string>> = {
  ...{ true: 'true', rack: 'a rack', wind: 'a wind', lean: 'a lean', shifted: 'a shift along the boat' },
  ...{ high: 'a wrong height', aside: 'a shift to one side', several: 'several motions' },
};

/** What one motion is undone by. */
function undo(cause: Exclude<Cause, 'true' | 'several'>, advised: Advised, length: Says): string {
  const { frame: name, half, height, x, y, z, roll, pitch, yaw } = advised;
  const mm = (signed: number) => length(Math.abs(signed));
  const side = `the starboard side of ${name}`;
  switch (cause) {
    case 'rack':
      return `swing ${side} ${yaw > 0 ? 'aft' : 'forward'} ${mm(yaw * half)}, keeping the centre`;
    case 'wind':
      return `${roll > 0 ? 'lower' : 'raise'} ${side} ${mm(roll * half)}, and the port side as much the other way`;
    case 'lean':
      return (
        `bring the top of ${name} ${pitch > 0 ? 'forward' : 'aft'} ${mm(pitch * height)}, ` +
        `${Math.abs(toDeg(pitch)).toFixed(1)}°, keeping the foot`
      );
    case 'shifted':
      return `move ${name} ${x > 0 ? 'forward' : 'aft'} ${mm(x)}`;
    case 'high':
      return `${z > 0 ? 'lower' : 'raise'} ${name} ${mm(z)}`;
    case 'aside':
      return `move ${name} to ${y > 0 ? 'port' : 'starboard'} ${mm(y)}`;
  }
}

/** Motions smaller than this at the frame's edge are not worth a hand, mm. */
const WORTH_MM = 1;

function allOf(advised: Advised, length: Says): string[] {
  const { half, height, x, y, z, roll, pitch, yaw } = advised;
  const sizes = [
    ['rack', yaw * half],
    ['wind', roll * half],
    ['lean', pitch * height],
    ['shifted', x],
    ['high', z],
    ['aside', y],
  ] as const;
  return sizes
    .filter(([, size]) => Math.abs(size) >= WORTH_MM)
    .sort(([, a], [, b]) => Math.abs(b) - Math.abs(a))
    .map(([cause]) => undo(cause, advised, length));
}

const TURNS: Readonly<Record<string, string>> = {
  ...{ x: 'its place along the boat', y: 'its place athwart', z: 'its height' },
  ...{ rollDeg: 'a wind', pitchDeg: 'a lean', yawDeg: 'a rack' },
};
const leftOpen = (unknown: readonly string[]): string =>
  `Not settled by what is measured: ${unknown.map((one) => TURNS[one] ?? one).join(', ')}.`;

const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
