/** The epoxy and glass part of a project: the rates that builders set for themselves. */
import { z } from 'zod';
import { usualIn, type Notation } from '../measure';
import { countField, figureField, lengthField, shareField } from '../stage';
import * as usual from './constants';

const weight = (title: string) => figureField(title, { min: 0, max: 5000, unit: 'g/m²' });

export const epoxySchema = z.object({
  /** Radius of the fillets, mm. */
  filletRadius: lengthField('Fillet radius', 0, 100),
  /** Width of the tapes, mm, and their layers inside and outside a seam. */
  tapeWidth: lengthField('Tape width', 0, 500),
  tapeLayersInside: countField('Tapes inside', 0, 5),
  tapeLayersOutside: countField('Tapes outside', 0, 5),
  /** Cloth weights, g/m². */
  tapeWeight: weight('Tape'),
  sheathingWeight: weight('Cloth'),
  sheathe: z.enum(['none', 'bottom', 'all']),
  /** Id of the chine up to which the bottom is sheathed; null is the uppermost. */
  sheatheTo: z.string().max(60).nullable(),
  /** Coats of sealing on every face of the skin. */
  sealingCoats: countField('Sealing coats', 0, 6),
  /** Lost in pots and brushes, as a fraction of what is mixed. */
  waste: shareField('Waste', 0, 0.8),
  /** Share of a thickened mix that is filler, by weight. */
  fillerShare: shareField('Filler in the mix', 0, 0.8),
});

export type EpoxyPart = z.infer<typeof epoxySchema>;

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
});
