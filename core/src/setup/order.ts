/** In what order a boat is set up: what holds what, what comes off when, what may come out to be glued. */
import { formatWithUnit, type Notation } from '../measure';
import type { SetupPart } from './schema';
import type { SetupValue } from './value';

type Asked = Pick<SetupValue, 'frames' | 'jig'>;

/** Along the boat, from forward. */
const namesAlong = (frames: SetupValue['frames']): string[] =>
  [...frames].sort((a, b) => a.set.foot[0] - b.set.foot[0]).map(({ name }) => name);

/** Steps in words; none where there is nothing to set up, or no jig (no-jig.ts has its own). */
export function orderSteps({ frames, jig }: Asked, part: SetupPart, notation: Notation): string[] {
  if (frames.length === 0 || part.way === 'no-jig') return [];
  const say = (mm: number) => formatWithUnit(mm, notation);
  const names = namesAlong(frames);
  const [first, last] = [names[0] ?? '', names[names.length - 1] ?? ''];
  const middle = frames[0]?.name ?? '';
  const inner = names.slice(1, -1);
  const back =
    `Strongback: rails straight along a string, level along and across at every leg, its two diagonals equal ` +
    `within ${say(part.tolerance)}; fixed to the floor, so that nobody walks it out of true.`;
  const out =
    inner.length > 0
      ? `To be glued, these may come out one at a time, none beside another: ${inner.join(', ')}. ` +
        `${first} and ${last} stay: they hold the ends.`
      : `${names.join(' and ')} stay until the skin is on: nothing else holds the ends.`;
  if (part.way === 'upright')
    return [
      back,
      `The ${cradles(jig).join(' and the ')}, padded, on the rails, their middles on the string.`,
      `The bottom in the cradles, its keel on the string. Then ${middle}, and outward from it to ${first} and ${last}.`,
      'The sides last, both hands alike, tied from the middle outward; a spreader at the sheer until a frame is in.',
      out,
      'Cradles stay under the hull until seams are taped inside and it keeps its shape when it is lifted off one.',
    ];
  return [
    back,
    `Cross pieces on their marks, and their uprights, before the frames: ${middle} first. Plumb it, brace it, read it.`,
    `Then outward from it to ${first} and ${last}, each read, braced, and the one before it read again.`,
    'Timbers along the boat next, from the middle outward, both hands alike: they hold the frames to one another.',
    'Skin on: sides before the bottom where it laps them. Braces come off as the skin passes them, not before.',
    out,
    'Uprights are cut free when the outside seams are taped: support it first. Enough people turn it, nobody under.',
  ];
}

const cradles = ({ pieces }: SetupValue['jig']): string[] =>
  pieces.filter(({ isCradle }) => isCradle).map(({ name }) => lower(name));

const lower = (words: string): string => `${words.charAt(0).toLowerCase()}${words.slice(1)}`;

/** What is bought for the strongback, by section: running length with a tenth over for the ends of sticks. */
export function stockFor({ pieces }: SetupValue['jig']): { breadthMm: number; depthMm: number; metres: number }[] {
  const sticks = pieces.filter(({ isCradle }) => !isCradle);
  const sections = new Map<string, { breadthMm: number; depthMm: number; metres: number }>();
  for (const { breadthMm, depthMm, lengthMm, qty } of sticks) {
    const key = `${breadthMm} ${depthMm}`;
    const known = sections.get(key) ?? { breadthMm, depthMm, metres: 0 };
    sections.set(key, { ...known, metres: known.metres + (OVER * qty * lengthMm) / 1000 });
  }
  return [...sections.values()];
}

const OVER = 1.1;
