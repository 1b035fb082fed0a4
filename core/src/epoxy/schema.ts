/** The epoxy and glass part of a project: the rates that builders set for themselves. */
import { z } from 'zod';
import * as usual from './constants';

const rate = z.number().min(0).max(5000);

export const epoxySchema = z.object({
  /** Radius of the fillets, mm. */
  filletRadius: z.number().min(0).max(100),
  /** Width of the tapes, mm, and their layers inside and outside a seam. */
  tapeWidth: z.number().min(0).max(500),
  tapeLayersInside: z.number().int().min(0).max(5),
  tapeLayersOutside: z.number().int().min(0).max(5),
  /** Cloth weights, g/m². */
  tapeWeight: rate,
  sheathingWeight: rate,
  sheathe: z.enum(['none', 'bottom', 'all']),
  /** Id of the chine up to which the bottom is sheathed; null is the uppermost. */
  sheatheTo: z.string().max(60).nullable(),
  /** Coats of sealing on every face of the skin. */
  sealingCoats: z.number().int().min(0).max(6),
  /** Lost in pots and brushes, as a fraction of what is mixed. */
  waste: z.number().min(0).max(0.8),
  /** Share of a thickened mix that is filler, by weight. */
  fillerShare: z.number().min(0).max(0.8),
});

export type EpoxyPart = z.infer<typeof epoxySchema>;

/** The epoxy part of a new project. */
export const epoxyAtFirst = (): EpoxyPart => ({
  filletRadius: usual.FILLET_RADIUS.value,
  tapeWidth: usual.TAPE_WIDTH.value,
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
