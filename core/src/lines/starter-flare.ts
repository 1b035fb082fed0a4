/** The flare of a hull from a few dimensions, read off its table, and the beam that gives one. Lengths mm. */
import { at } from '../geometry';
import { battenAt, bendBatten, crossingsOfX } from './batten';
import { positionOf } from './hull-line';
import type { Longitudinal } from './schema';
import { dimensionsOf, startLines, type Dimension } from './starter';
import type { Dimensions, StarterKind } from './starter-kinds';

/** Kinds whose beam at the sheer is bound too closely by their shape for their flare to be chosen. */
const UPRIGHT: readonly StarterKind[] = ['double-ender', 'slender'];

/**
 * How far the sides of a table lean out, from its lowest chine to the sheer halfway along the chine, degrees; undefined
 * for a kind whose flare is not to be chosen, and without these lines.
 */
export function flareOf(kind: StarterKind, table: readonly Longitudinal[]): number | undefined {
  const side = UPRIGHT.includes(kind) ? undefined : sideOf(table);
  return side && degOf(side);
}

export type FlareFound = { readonly beamSheer: number; readonly deg: number };

/** Beams tried one after the other; the fourth is right to a millimetre where the flare can be had. */
const TRIALS = 5;
/** A millimetre of beam is a tenth of a degree or less. */
const NEAR_DEG = 0.05;

/**
 * The beam at the sheer, to a millimetre, whose flare is nearest to what is asked for with the other dimensions as they
 * are, and that flare. By secants, within the beam's range; undefined where nothing can be drawn to begin with.
 */
export function findFlare(kind: StarterKind, given: Dimensions, askedDeg: number): FlareFound | undefined {
  const { usual, least, most } = beamRange(kind, given);
  const tried: (FlareFound & { readonly off: number })[] = [];
  let next = given.beamSheer ?? usual;
  for (let i = 0; i < TRIALS; i++) {
    const drawn = drawNear(kind, given, next);
    const side = drawn && sideOf(drawn.table);
    if (!side) break;
    const off = degOf(side) - askedDeg;
    tried.push({ beamSheer: drawn.beamSheer, deg: degOf(side), off });
    const [last, before] = [at(tried, -1), tried.at(-2)];
    const run = before ? last.off - before.off : 0;
    // sides open about the chine: that is the first step; later ones go by what the last two gave
    const step =
      before && run !== 0
        ? (off * (last.beamSheer - before.beamSheer)) / run
        : 2 * (side.out - side.up * Math.tan((askedDeg * Math.PI) / 180));
    next = Math.round(Math.min(most, Math.max(least, last.beamSheer - step)));
    if (Math.abs(off) < NEAR_DEG || tried.some(({ beamSheer }) => beamSheer === next)) break;
  }
  const [best] = [...tried].sort((a, b) => Math.abs(a.off) - Math.abs(b.off));
  return best && { beamSheer: best.beamSheer, deg: best.deg };
}

/** The table of that beam, or of the nearest that the other dimensions allow. */
function drawNear(kind: StarterKind, given: Dimensions, beamSheer: number) {
  const started = startLines(kind, { ...given, beamSheer });
  if (started.ok) return { beamSheer, table: started.lines.longitudinals };
  const [problem] = started.problems;
  if (problem?.key !== 'beamSheer' || problem.nearest === beamSheer) return undefined;
  const again = startLines(kind, { ...given, beamSheer: problem.nearest });
  return again.ok ? { beamSheer: problem.nearest, table: again.lines.longitudinals } : undefined;
}

function beamRange(kind: StarterKind, given: Dimensions): Dimension {
  const beam = dimensionsOf(kind, given.length).find(({ key }) => key === 'beamSheer');
  if (!beam) throw new Error(`A ${kind} has no beam`);
  return beam;
}

type Side = { readonly out: number; readonly up: number };

const degOf = ({ out, up }: Side): number => (Math.atan2(out, up) * 180) / Math.PI;

/** How far out and up the sheer is from the lowest chine, halfway along that; undefined without these lines. */
function sideOf(table: readonly Longitudinal[]): Side | undefined {
  const chine = table.find(({ id }) => id === 'chine')?.points.map(positionOf);
  const sheer = table.find(({ id }) => id === 'sheer')?.points.map(positionOf);
  if (!chine || !sheer || chine.length < 2 || sheer.length < 2) return undefined;
  const middle = (at(chine, 0)[0] + at(chine, -1)[0]) / 2;
  const [from, to] = [chine, sheer].map((points) => {
    const batten = bendBatten(points, []);
    const t = crossingsOfX(batten, middle)[0];
    return t === undefined ? undefined : battenAt(batten, t).position;
  });
  return from && to && { out: to[1] - from[1], up: to[2] - from[2] };
}
