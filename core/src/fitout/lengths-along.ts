/**
 * The boat's inside along its middle, added up: from its fore end, frame by frame, to its after end, and what lies in
 * each space.
 *
 * Method: at a height over the base line, on the centreline: the inside of the skin or of a transom at either end, and
 * each frame's two faces there. Every stretch follows on the one before, so the lengths add up to the whole.
 */
import { dot3 } from '../geometry';
import { planeOf, type Frame } from '../frames';
import type { Hull } from '../lines';
import { insideOf, type Panel } from '../panels';
import { sectionBy } from '../surface';
import type { EndOfRoom } from './across';
import { seenFromAbove } from './in-boat';
import { lowestAt, sheerAt } from './sheer';
import type { Fitted } from './value';

export type StretchAlong = {
  readonly kind: 'space' | 'frame';
  /** The frame’s; of a space what lies in it, by name. */
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly within: readonly { readonly name: string; readonly longMm: number }[];
};

type Boat = {
  readonly panels: readonly Panel[];
  readonly frames: readonly Frame[];
  /** Inner faces of the transoms. */
  readonly ends: readonly EndOfRoom[];
  readonly inside: number;
  readonly parts: readonly Fitted[];
};

/** Half way from the lowest line up to the sheer, amidships. */
export function usualHeight(hull: Hull): number {
  const x = (hull.fromX + hull.toX) / 2;
  const low = lowestAt(hull, x);
  return (low + (sheerAt(hull, x)?.[2] ?? low)) / 2;
}

/** Empty where the height lies outside of the boat. */
export function lengthsAlong(boat: Boat, height: number): StretchAlong[] {
  const whole = endsAt(boat, height);
  if (!whole) return [];
  const [first, last] = whole;
  const frames = boat.frames
    .filter(({ kind }) => kind !== 'mould')
    .map((frame) => ({ name: frame.name, ...facesAt(frame, height) }))
    .filter(({ fore, aft }) => fore > first && aft < last)
    .sort((a, b) => a.fore - b.fore);
  const stops = [{ name: '', fore: first, aft: first }, ...frames, { name: '', fore: last, aft: last }];
  return stops.slice(1).flatMap((frame, i): StretchAlong[] => {
    const from = stops[i]?.aft ?? first;
    const space: StretchAlong = {
      kind: 'space',
      name: '',
      from,
      to: frame.fore,
      within: within(boat.parts, from, frame.fore),
    };
    if (i === stops.length - 2) return [space];
    return [space, { kind: 'frame', name: frame.name, from: frame.fore, to: frame.aft, within: [] }];
  });
}

function facesAt(frame: Frame, height: number): { readonly fore: number; readonly aft: number } {
  const { normal, level } = planeOf(frame);
  const at = (aft: number) => (level + aft - normal[2] * height) / normal[0];
  return frame.face === 'fore' ? { fore: at(0), aft: at(frame.width) } : { fore: at(-frame.width), aft: at(0) };
}

/** On the centreline, from the inside of the skin forward and aft, no further than the transoms. */
function endsAt({ panels, ends, inside }: Boat, height: number): readonly [number, number] | undefined {
  const near = panels.flatMap((panel) =>
    sectionBy(panel.rulings, { normal: [0, 0, 1], level: height }, insideOf(panel, inside)).map(({ space }) => space),
  );
  if (near.length === 0) return undefined;
  const xs = near.map(([x]) => x);
  let [first, last] = [Math.min(...xs), Math.max(...xs)];
  for (const { normal, level } of ends) {
    const x = (level - dot3(normal, [0, 0, height])) / normal[0];
    if (normal[0] > 0) last = Math.min(last, x);
    else first = Math.max(first, x);
  }
  return last > first ? [first, last] : undefined;
}

/** Less of a part than this is not in a space, mm. */
const LEAST_MM = 20;

const within = (parts: readonly Fitted[], from: number, to: number): StretchAlong['within'] =>
  parts.flatMap((part) => {
    const xs = seenFromAbove(part).flatMap(({ outline }) => outline.map(([x]) => x));
    const longMm = Math.min(Math.max(...xs), to) - Math.max(Math.min(...xs), from);
    return xs.length > 0 && longMm > LEAST_MM ? [{ name: part.name, longMm }] : [];
  });
