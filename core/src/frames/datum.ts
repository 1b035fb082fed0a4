/** What a frame's place is measured from: lengths mm. */
import type { Hull } from '../lines';
import type { FramesPart } from './schema';

export type Datum = {
  /** In words: `from the stem`. */
  readonly words: string;
  /** From the datum, in the way in which it counts, to x; and back. */
  readonly fromX: (x: number) => number;
  readonly toX: (distance: number) => number;
};

type Ends = Pick<Hull, 'toX' | 'stations'>;

/** A station or a frame that is no longer there is the fore end. */
export function datumOf({ datum, frames }: Pick<FramesPart, 'datum' | 'frames'>, hull: Ends): Datum {
  if (datum.kind === 'aft')
    return { words: 'from the after end', fromX: (x) => hull.toX - x, toX: (distance) => hull.toX - distance };
  const from = placeOf(datum, frames, hull);
  return { words: wordsOf(datum, frames), fromX: (x) => x - from, toX: (distance) => from + distance };
}

function wordsOf({ kind, of }: FramesPart['datum'], frames: FramesPart['frames']): string {
  if (kind === 'station') return `from station ${of}`;
  const name = kind === 'frame' ? frames.find(({ id }) => id === of)?.name : undefined;
  return name === undefined ? 'from the stem' : `from ${name}`;
}

function placeOf({ kind, of }: FramesPart['datum'], frames: FramesPart['frames'], { stations }: Ends): number {
  if (kind === 'station') return stations.find(({ label }) => label === of)?.x ?? 0;
  return (kind === 'frame' ? frames.find(({ id }) => id === of)?.x : undefined) ?? 0;
}
