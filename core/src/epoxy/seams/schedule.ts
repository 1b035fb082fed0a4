/** What goes on a seam: of the boat's own, of its kind, or of this one alone; the narrower goes before. Lengths mm. */
import type { EpoxyPart, SeamPlan } from '../schema';
import type { FilletRule } from './fillet';
import type { Seam } from './seam';

export type Schedule = {
  readonly fillet: FilletRule;
  readonly inside: number;
  readonly outside: number;
  readonly tapeWidth: number;
  readonly tapeStep: number;
};

type Own = Pick<SeamPlan, 'radius' | 'leg' | 'inside' | 'outside' | 'tapeWidth'>;

export function scheduleOf(seam: Pick<Seam, 'id' | 'kind'>, part: EpoxyPart): Schedule {
  const ofKind = part.seams.find(({ of }) => of === seam.kind);
  const ofOne = part.seams.find((plan) => plan.of === 'one' && plan.seam === seam.id);
  const own = <K extends keyof Own>(key: K, usual: number): number => ofOne?.[key] ?? ofKind?.[key] ?? usual;
  return {
    fillet: { radius: own('radius', part.filletRadius), leg: own('leg', part.filletLeg), by: part.filletBy },
    // a part inside lies on cleats, or in its fillets alone, unless it is told to be taped
    inside: own('inside', seam.kind === 'inside' ? 0 : part.tapeLayersInside),
    outside: own('outside', part.tapeLayersOutside),
    tapeWidth: own('tapeWidth', part.tapeWidth),
    tapeStep: part.tapeStep,
  };
}

/** Of so many layers, the widest first. */
export const tapeWidths = (layers: number, { tapeWidth, tapeStep }: Schedule): number[] =>
  Array.from({ length: layers }, (_, k) => Math.max(0, tapeWidth - k * tapeStep));
