/** What to do with one's hands: the motion reversed, in words. Lengths mm. */
import { toDeg } from '../measure';
import type { Cause, Explained } from './causes';
import type { SetFrame } from './job';
import type { Motion } from './motion';

type Asked = {
  readonly frame: SetFrame;
  readonly cause: Cause;
  /** The single motion that explains the readings best, if any does. */
  readonly best: Explained | undefined;
  readonly rivals: readonly Cause[];
  readonly known: Motion;
  readonly unknown: readonly string[];
  /** How many there are. */
  readonly readings: number;
};

const mm = (length: number): string => `${Number(Math.abs(length).toFixed(1))} mm`;
const half = ({ port, starboard }: SetFrame): number => Math.abs(starboard[1] - port[1]) / 2;

export function adviceOf({ frame, cause, best, rivals, known, unknown, readings }: Asked): string {
  const name = `frame ${frame.name}`;
  if (readings === 0) return `Nothing is measured of ${name} yet.`;
  const open = unknown.length === 0 ? '' : ` ${leftOpen(unknown)}`;
  if (cause === 'true') return `${capital(name)} is true, as far as it is measured.${open}`;
  if (cause !== 'several' && best) return `${capital(undo(cause, best.fit.motion, frame))}.${open}`;
  if (rivals.length > 1)
    return (
      `The readings of ${name} fit ${rivals.map((one) => NAMES[one]).join(' or ')} equally well: measure more.` + open
    );
  return `No single motion explains ${name}. ${capital(allOf(known, frame).join('; '))}.${open}`;
}

const NAMES: Readonly<Record<Cause, string>> = {
  ...{ true: 'true', rack: 'a rack', wind: 'a wind', lean: 'a lean', shifted: 'a shift along the boat' },
  ...{ high: 'a wrong height', aside: 'a shift to one side', several: 'several motions' },
};

/** What one motion is undone by. */
function undo(cause: Exclude<Cause, 'true' | 'several'>, motion: Motion, frame: SetFrame): string {
  const [x, y, z, roll, pitch, yaw] = motion;
  const name = `frame ${frame.name}`;
  const height = Math.abs(frame.centre[2] - frame.foot[2]);
  const side = `the starboard side of ${name}`;
  switch (cause) {
    case 'rack':
      return `swing ${side} ${yaw > 0 ? 'aft' : 'forward'} ${mm(yaw * half(frame))}, keeping the centre`;
    case 'wind':
      return (
        `${roll > 0 ? 'lower' : 'raise'} ${side} ${mm(roll * half(frame))}, ` +
        'and the port side as much the other way'
      );
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

function allOf(motion: Motion, frame: SetFrame): string[] {
  const [x, y, z, roll, pitch, yaw] = motion;
  const height = Math.abs(frame.centre[2] - frame.foot[2]);
  const sizes = [
    ['rack', yaw * half(frame)],
    ['wind', roll * half(frame)],
    ['lean', pitch * height],
    ['shifted', x],
    ['high', z],
    ['aside', y],
  ] as const;
  return sizes
    .filter(([, size]) => Math.abs(size) >= WORTH_MM)
    .sort(([, a], [, b]) => Math.abs(b) - Math.abs(a))
    .map(([cause]) => undo(cause, motion, frame));
}

const TURNS: Readonly<Record<string, string>> = {
  ...{ x: 'its place along the boat', y: 'its place athwart', z: 'its height' },
  ...{ rollDeg: 'a wind', pitchDeg: 'a lean', yawDeg: 'a rack' },
};
const leftOpen = (unknown: readonly string[]): string =>
  `Not settled by what is measured: ${unknown.map((one) => TURNS[one] ?? one).join(', ')}.`;

const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
