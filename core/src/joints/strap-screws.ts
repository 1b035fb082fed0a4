/**
 * Screws through the panel into the straps behind its joints: a row in the middle of either half of a strap, evenly
 * across the panel, as those into timber are spaced.
 */
import { screwRow, type FramesPart, type ScrewRow } from '../frames';
import { boundsOf, type Vec2 } from '../geometry';
import { thicknessOf } from '../panels';
import type { JointedPanel } from './jointed-panel';
import type { Joint } from './pieces';
import type { JointsPart } from './schema';

export type StrapScrewsAsked = {
  /** Of the usual sheet; a strap is taken to be as thick as its panel. */
  readonly thickness: number;
  readonly part: Pick<JointsPart, 'strapUse' | 'strapShort'>;
  readonly screws: FramesPart['screws'];
};

export function strapScrews(
  jointed: readonly JointedPanel[],
  { thickness: usual, part, screws }: StrapScrewsAsked,
): ScrewRow[] {
  return jointed.flatMap((panel) =>
    panel.joints.flatMap((joint, k): ScrewRow[] => {
      const thickness = thicknessOf(panel, usual);
      if (joint.kind !== 'strap') return [];
      const { low, high } = acrossStrap(panel, joint, k, part.strapShort);
      const id = strapId(panel.panel, k);
      return [-1, 1].flatMap((side) =>
        screwRow(
          {
            ...{ panel: panel.panel, panelName: panel.name, into: `${panel.name}, strap`, intoId: id },
            ...{ run: high - low, hands: panel.isPair ? 2 : 1, held: thickness, timber: thickness },
            landingMm: joint.width / 2,
            placeAt: (s: number): Vec2 => [joint.u + (side * joint.width) / 4, low + s],
          },
          { ...screws, use: part.strapUse },
        ),
      );
    }),
  );
}

export const strapId = (panel: string, k: number): string => `${panel}.strap.${k + 1}`;

/** Of plywood as it is cut; of timber from edge to edge, as far short of them. */
function acrossStrap({ panel, straps }: JointedPanel, { low, high }: Joint, k: number, short: number) {
  const cut = straps.find(({ id }) => id === strapId(panel, k));
  if (!cut) return { low: low + short, high: high - short };
  const { minY, maxY } = boundsOf(cut.outline);
  return { low: minY, high: maxY };
}
