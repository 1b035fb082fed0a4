/** The part of a project that floats it: what its materials weigh, its water, and the loads put into it. */
import { z } from 'zod';
import { figureField, lengthField } from '../stage';
import * as usual from './constants';

const density = (title: string) => figureField(title, { min: 50, max: 3000, unit: 'kg/m³' });

const loadSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  kg: figureField('It weighs, kg', { min: 0, max: 20_000, unit: 'kg' }),
  /** Of its own middle. */
  x: lengthField('From the stem to it', -100_000, 100_000),
  out: lengthField('It, to starboard', -5000, 5000),
  up: lengthField('Height of it', -10_000, 10_000),
  isAboard: z.boolean(),
});

const WATERS = ['fresh', 'salt'] as const;

export const weightsSchema = z.object({
  ply: density('Plywood, kg/m³'),
  timber: density('Timber, kg/m³'),
  /** Screws, rowlocks, plates: nobody draws them; their weight lies where the skin's does. */
  fittings: figureField('Fittings, kg', { min: 0, max: 5000, unit: 'kg' }),
  water: z.enum(WATERS),
  loads: z.array(loadSchema).max(60),
  /** The float line is drawn on the panels, to be marked out. */
  onPanels: z.boolean(),
});

export type WeightsPart = z.infer<typeof weightsSchema>;
export type Load = WeightsPart['loads'][number];

export const LOADS_PATH = ['weights', 'loads'] as const;

export const weightsAtFirst = (): WeightsPart => ({
  ply: usual.PLY_DENSITY.value,
  timber: usual.TIMBER_DENSITY.value,
  ...{ fittings: 0, water: 'fresh', loads: [], onPanels: false },
});

/** kg/m³, as tables of water have them at 15 °C. */
export const WATER_DENSITY: Readonly<Record<WeightsPart['water'], number>> = { fresh: 999, salt: 1025 };
