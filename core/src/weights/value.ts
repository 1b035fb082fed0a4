/** What the boat weighs, and how she floats with what is aboard. */
import type { Vec3 } from '../geometry';
import type { Panel } from '../panels';
import { floats, type Afloat, type Weighed } from './afloat';
import { freeboard, rockerOf, type Freeboard, type Rocker } from './figures';
import { weighted, type Item } from './items';
import { WATER_DENSITY, type WeightsPart } from './schema';
import { openness, span, type HullSolid } from './under';

/** Why she is not floated. */
export type NotAfloat = 'no hull' | 'open' | 'unlike' | 'too heavy' | 'not settled';

export type WeightsValue = {
  readonly items: readonly Item[];
  /** Without anything aboard: to lift and to tow. */
  readonly bareGrams: number;
  readonly bareAt: Vec3;
  /** With what is aboard. */
  readonly allGrams: number;
  readonly allAt: Vec3;
  readonly afloat?: Afloat;
  readonly freeboard?: Freeboard;
  readonly notAfloat?: NotAfloat;
  readonly rocker?: Rocker;
  /** From the stem to her after end, her lowest and her highest: where loads are put. */
  readonly size: { readonly from: number; readonly to: number; readonly low: number; readonly high: number };
};

const GRAMS_PER_KG = 1000;
/** Area vectors that leave more than that of the area have a hole between them. */
const OPEN_SHARE = 1e-4;

export function weighAndFloat(
  items: readonly Item[],
  part: Pick<WeightsPart, 'loads' | 'water'>,
  { panels, solid }: { readonly panels: readonly Panel[]; readonly solid: HullSolid },
): WeightsValue {
  const aboard = part.loads
    .filter(({ isAboard, kg }) => isAboard && kg > 0)
    .map(({ kg, x, out, up }): Weighed => ({ grams: kg * GRAMS_PER_KG, at: [x, out, up] }));
  const sum = (all: readonly Weighed[]) => all.reduce((total, { grams }) => total + grams, 0);
  const all = [...items, ...aboard];
  const nowhere: Vec3 = [0, 0, 0];
  const [bareGrams, allGrams] = [sum(items), sum(all)];
  const allAt = weighted(all) ?? nowhere;
  const rocker = rockerOf(panels);
  const common = {
    ...{ items, bareGrams, bareAt: weighted(items) ?? nowhere, allGrams, allAt, size: sizeOf(solid) },
    ...(rocker && { rocker }),
  };
  const why = whyNot(panels, solid);
  if (why) return { ...common, notAfloat: why };
  const floating = floats(solid, { grams: allGrams, at: allAt }, WATER_DENSITY[part.water]);
  if (!floating.ok) return { ...common, notAfloat: floating.why };
  const over = freeboard(panels, floating.afloat.plane);
  return { ...common, afloat: floating.afloat, ...(over && { freeboard: over }) };
}

function whyNot(panels: readonly Panel[], { closed }: HullSolid): NotAfloat | undefined {
  if (panels.length === 0 || closed.length === 0) return 'no hull';
  if (panels.some(({ only }) => only !== undefined)) return 'unlike';
  return openness(closed) > OPEN_SHARE ? 'open' : undefined;
}

function sizeOf({ closed }: HullSolid): WeightsValue['size'] {
  if (closed.length === 0) return { from: 0, to: 0, low: 0, high: 0 };
  const lines = { closed, skins: [] };
  const [[from, to], [low, high]] = [span(lines, [1, 0, 0]), span(lines, [0, 0, 1])];
  return { from, to, low, high };
}
