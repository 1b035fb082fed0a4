/** The epoxy and glass part of a project: what goes on which seam, the resin, and the rates that builders set. */
import { z } from 'zod';
import { gramsPerShown, isImperial, usualIn, type Notation } from '../measure';
import { countField, figureField, lengthField, lengthOrNone, shareField } from '../stage';
import * as usual from './constants';

const weight = (title: string) => figureField(title, { min: 0, max: 5000, unit: 'g/m²' });
const id = z.string().min(1).max(60);
const name = z.string().max(120);
const hours = (title: string) => figureField(title, { min: 0.05, max: 2000, unit: 'h' });
const rate = (title: string) => figureField(title, { min: 0.1, max: 10_000, unit: 'g/min' });
const volume = (title: string) => figureField(title, { min: 0, max: 1_000_000, unit: 'ml' });
const density = (title: string) => figureField(title, { min: 0.3, max: 3, unit: 'g/ml' });
const warmth = (title: string) => figureField(title, { min: -40, max: 60, unit: '°C' });

const FILLET_RULES = ['larger', 'radius', 'leg'] as const;
/** What seams are told apart by: where a panel meets its mirror, another panel, an end, a transom, a bulkhead. */
export const SEAM_KINDS = ['keel', 'chine', 'end', 'transom', 'bulkhead', 'inside'] as const;
export const FLAT_KINDS = ['frame', 'girder', 'transom', 'inside'] as const;
export const GLASS_KINDS = ['woven', 'biaxial', 'biaxial on mat'] as const;

/** What a kind of seam, or one seam, has instead of what all have; null: as all. */
const seamPlanSchema = z.object({
  id,
  of: z.enum([...SEAM_KINDS, 'one']),
  /** Of one: its id. */
  seam: z.string().max(120),
  radius: lengthField('Its fillet radius', 0, 100).nullable(),
  leg: lengthField('Its least leg', 0, 200).nullable(),
  inside: countField('Its tapes inside', 0, 5).nullable(),
  outside: countField('Its tapes outside', 0, 5).nullable(),
  tapeWidth: lengthField('Its tape width', 0, 500).nullable(),
});

/** A part that is glassed on the bench: on one face or both. */
const flatSchema = z.object({
  id,
  of: z.enum(FLAT_KINDS),
  part: z.string().min(1).max(60),
  faces: z.enum(['one', 'both']),
});

/** As it is sold: millilitres of each part in it. */
const packSchema = z.object({
  id,
  name,
  aMl: volume('Resin, ml'),
  bMl: volume('Hardener, ml'),
  price: figureField('Pack’s price', { min: 0, max: 1_000_000 }),
  onHand: countField('Packs there', 0, 1000),
});

const resinSchema = z.object({
  /** By volume. */
  ratioA: figureField('Parts of resin', { min: 0.01, max: 100 }),
  ratioB: figureField('To parts of hardener', { min: 0.01, max: 100 }),
  densityA: density('Resin, g/ml'),
  densityB: density('Hardener, g/ml'),
  /** Pot life: so many minutes of so many grams at so many degrees. */
  potMinutes: figureField('Pot lasts, minutes', { min: 0.5, max: 2000, unit: 'min' }),
  potC: warmth('Tried at, °C'),
  potGrams: figureField('Tried with, g', { min: 1, max: 100_000, unit: 'g' }),
  greatestPot: figureField('Heaviest pot, g', { min: 10, max: 100_000, unit: 'g' }),
  /** By pump: what a stroke weighs, as some strokes weighed together say; 0: there is none. */
  strokeA: figureField('Stroke of resin, g', { min: 0, max: 1000, unit: 'g' }),
  strokeB: figureField('Stroke of hardener, g', { min: 0, max: 1000, unit: 'g' }),
  scale: figureField('Scale shows, g', { min: 0.01, max: 100, unit: 'g' }),
  leastC: warmth('Coldest, °C'),
  dampest: figureField('Dampest, %', { min: 1, max: 100, unit: '%' }),
  /** Hours after mixing, at `potC`. */
  tackyHours: hours('Next coat from, h'),
  bondsHours: hours('Next coat until, h'),
  sandHours: hours('Sand from, h'),
  curedHours: hours('Cured after, h'),
});

const glassSchema = z.object({
  tapeKind: z.enum(GLASS_KINDS),
  clothKind: z.enum(GLASS_KINDS),
  /** Tape off a roll of its own, or cut from cloth aslant. */
  tapeFrom: z.enum(['roll', 'cloth']),
  clothWidth: lengthField('Width of the cloth', 50, 5000),
  lap: lengthField('Lap of the cloth', 0, 500),
  /** Cut so much larger than what it covers, to be trimmed when it is set. */
  trim: lengthField('Cloth left to trim', 0, 200),
  peelPly: z.boolean(),
  /** With holes, over the peel ply. */
  film: z.boolean(),
});

/** Sold in tins, cartridges and bottles beside epoxy. */
const sold = {
  id,
  name,
  packMl: figureField('In a pack, ml', { min: 1, max: 100_000, unit: 'ml' }),
  price: figureField('Price of a pack', { min: 0, max: 1_000_000 }),
  onHand: countField('Packs of it there', 0, 1000),
};

/** Swells into a gap; stays soft; at once; or out of a cartridge like putty. */
export const GLUE_KINDS = ['expanding', 'sealing', 'instant', 'cartridge'] as const;

const glueSchema = z.object({
  ...sold,
  kind: z.enum(GLUE_KINDS),
  /** On one face. */
  spread: figureField('Spread, ml/m²', { min: 1, max: 5000, unit: 'ml/m²' }),
  openMinutes: figureField('Open for, minutes', { min: 0.1, max: 2000, unit: 'min' }),
  clampHours: hours('Clamped for, h'),
  cleanMinutes: figureField('Wiped off within, min', { min: 0.1, max: 2000, unit: 'min' }),
});

export const FINISH_KINDS = ['filler', 'primer', 'paint', 'varnish'] as const;
export const FINISH_PLACES = ['outside', 'inside', 'all'] as const;

/** In the order in which they go on. */
const finishSchema = z.object({
  ...sold,
  kind: z.enum(FINISH_KINDS),
  where: z.enum(FINISH_PLACES),
  coats: countField('Its coats', 0, 20),
  /** Of one coat, with what stays in the brush. */
  covers: figureField('Covers, m²/l', { min: 0.1, max: 100, unit: 'm²/l' }),
  /** At 20 °C. */
  fromHours: hours('Next coat of it from, h'),
  untilHours: hours('Next coat of it until, h'),
});

const fillerSchema = z.object({
  name,
  /** As it lies in its bag. */
  density: figureField('Loose, g/ml', { min: 0.01, max: 3, unit: 'g/ml' }),
  bagMl: figureField('In a bag, ml', { min: 1, max: 100_000, unit: 'ml' }),
  price: figureField('Price of a bag', { min: 0, max: 1_000_000 }),
  onHand: countField('Bags there', 0, 1000),
});

const gluedWith = z.string().max(60);

export const epoxySchema = z.object({
  /** Radius of the fillets, mm; or what they cover on each side at least; or whichever makes the larger one. */
  filletRadius: lengthField('Fillet radius', 0, 100),
  filletLeg: lengthField('Least leg', 0, 200),
  filletBy: z.enum(FILLET_RULES),
  /** Width of the tapes, mm, their layers inside and outside a seam, and by how much each further one is narrower. */
  tapeWidth: lengthField('Tape width', 0, 500),
  tapeLayersInside: countField('Tapes inside', 0, 5),
  tapeLayersOutside: countField('Tapes outside', 0, 5),
  tapeStep: lengthField('Next one narrower by', 0, 200),
  /** Cloth weights, g/m². */
  tapeWeight: weight('Tape'),
  sheathingWeight: weight('Cloth'),
  sheathe: z.enum(['none', 'bottom', 'all']),
  /** Id of the chine up to which the bottom is sheathed; null is the uppermost. */
  sheatheTo: z.string().max(60).nullable(),
  /** Panels sealed flat before they are put together, or the hull after: then not under the sheathing. */
  coating: z.enum(['flat', 'hull']),
  /** Coats of sealing on every face of the skin. */
  sealingCoats: countField('Sealing coats', 0, 6),
  /** Lost in pots and brushes, as a fraction of what is mixed. */
  waste: shareField('Waste', 0, 0.8),
  /** Share of a thickened mix that is filler, by weight: of what stands, and of what glues. */
  fillerShare: shareField('Filler in the mix', 0, 0.8),
  glueFillerShare: shareField('Filler in glue', 0, 0.8),
  seams: z.array(seamPlanSchema).max(200),
  /** Short tapes that hold a bulkhead until it is filleted: how long each, 0: none; and about how far apart. */
  tabs: z.object({ length: lengthOrNone('Length of a tab', 10, 500), apart: lengthField('A tab every', 50, 2000) }),
  flat: z.array(flatSchema).max(100),
  glass: glassSchema,
  resin: resinSchema,
  packs: z.array(packSchema).max(20),
  /** Other glues, and the id of the one that each kind of joint is glued with; empty: epoxy. */
  glues: z.array(glueSchema).max(20),
  gluedWith: z.object({
    blanks: gluedWith,
    skin: gluedWith,
    layers: gluedWith,
    cleats: gluedWith,
    doublers: gluedWith,
    edges: gluedWith,
  }),
  finishes: z.array(finishSchema).max(20),
  fillers: z.object({ fillets: fillerSchema, glue: fillerSchema }),
  shop: z.object({ tempC: warmth('Shop, °C'), humidity: figureField('Humidity, %', { min: 0, max: 100, unit: '%' }) }),
  /** Of work, g a minute. */
  rates: z.object({
    seal: rate('Sealing, g/min'),
    glue: rate('Gluing, g/min'),
    tack: rate('Tacking, g/min'),
    fillet: rate('Filleting, g/min'),
    tape: rate('Taping, g/min'),
    sheathe: rate('Sheathing, g/min'),
  }),
});

export type EpoxyPart = z.infer<typeof epoxySchema>;
export type SeamPlan = EpoxyPart['seams'][number];
export type Pack = EpoxyPart['packs'][number];
export type Glue = EpoxyPart['glues'][number];
export type Finish = EpoxyPart['finishes'][number];

const LITRE_ML = 1000;
const QUART_ML = 946.352946;

/** Kits of an invented chandler: a litre and a half, and four times that; quarts for a boat in inches. */
const packsIn = (notation: Notation): Pack[] => {
  const unit = isImperial(notation) ? QUART_ML : LITRE_ML;
  const kit = (number: number, name: string, size: number, price: number): Pack => ({
    ...{ id: `pack-${number}`, name, price, onHand: 0 },
    ...{ aMl: Math.round(size * unit), bMl: Math.round((size * unit) / 2) },
  });
  return [kit(1, 'Small kit', 1, 38), kit(2, 'Large kit', 4, 128)];
};

/** What scales in ounces show at a time. */
const TENTH = 0.1;

/** A usual mass: in whole ounces for a boat in inches, g. */
const weighedIn = (grams: number, notation: Notation): number =>
  isImperial(notation) ? tidy(Math.round(grams / gramsPerShown(notation)) * gramsPerShown(notation)) : grams;

const tidy = (grams: number): number => Number(grams.toFixed(10));

const bag = { bagMl: LITRE_ML, price: 0, onHand: 0 };

/** The epoxy part of a new project. */
export const epoxyAtFirst = (_others: object, notation: Notation): EpoxyPart => ({
  filletRadius: usualIn(usual.FILLET_RADIUS.value, notation),
  tapeWidth: usualIn(usual.TAPE_WIDTH.value, notation),
  tapeLayersInside: usual.TAPE_LAYERS.value,
  tapeLayersOutside: usual.TAPE_LAYERS.value,
  tapeWeight: usual.TAPE_WEIGHT.value,
  sheathingWeight: usual.SHEATHING_WEIGHT.value,
  sheathe: 'bottom',
  sheatheTo: null,
  sealingCoats: usual.SEALING_COATS.value,
  waste: usual.WASTE.value,
  fillerShare: usual.FILLER_SHARE.value,
  filletLeg: usualIn(usual.FILLET_LEG.value, notation),
  filletBy: 'larger',
  tapeStep: usualIn(usual.TAPE_STEP.value, notation),
  coating: 'flat',
  glueFillerShare: usual.GLUE_FILLER_SHARE.value,
  seams: [],
  tabs: { length: 0, apart: usualIn(usual.TABS_APART.value, notation) },
  flat: [],
  glass: {
    ...{ tapeKind: 'biaxial', clothKind: 'woven', tapeFrom: 'roll', peelPly: false, film: false },
    clothWidth: usualIn(usual.CLOTH_WIDTH.value, notation),
    lap: usualIn(usual.CLOTH_LAP.value, notation),
    trim: usualIn(usual.CLOTH_TRIM.value, notation),
  },
  resin: {
    ...{ ratioA: usual.RATIO_BY_VOLUME.value, ratioB: 1 },
    ...{ densityA: usual.DENSITY_A.value, densityB: usual.DENSITY_B.value },
    ...{
      potMinutes: usual.POT_MINUTES.value,
      potC: usual.POT_AT_C.value,
      potGrams: weighedIn(usual.POT_GRAMS.value, notation),
    },
    greatestPot: weighedIn(usual.GREATEST_POT.value, notation),
    ...{ strokeA: 0, strokeB: 0 },
    scale: isImperial(notation) ? tidy(TENTH * gramsPerShown(notation)) : usual.SCALE_STEP.value,
    ...{ leastC: usual.LEAST_C.value, dampest: usual.DAMPEST.value },
    ...{ tackyHours: usual.TACKY_HOURS.value, bondsHours: usual.BONDS_HOURS.value },
    ...{ sandHours: usual.SAND_HOURS.value, curedHours: usual.CURED_HOURS.value },
  },
  packs: packsIn(notation),
  glues: [],
  gluedWith: { blanks: '', skin: '', layers: '', cleats: '', doublers: '', edges: '' },
  finishes: [],
  fillers: {
    fillets: { name: 'Fine wood flour', density: usual.FLOUR_DENSITY.value, ...bag },
    glue: { name: 'Fluffed fibres', density: usual.FIBRE_DENSITY.value, ...bag },
  },
  shop: { tempC: usual.SHOP_C.value, humidity: usual.SHOP_HUMIDITY.value },
  rates: {
    ...{ seal: usual.RATE_SEAL.value, glue: usual.RATE_GLUE.value, tack: usual.RATE_TACK.value },
    ...{ fillet: usual.RATE_FILLET.value, tape: usual.RATE_TAPE.value, sheathe: usual.RATE_SHEATHE.value },
  },
});
