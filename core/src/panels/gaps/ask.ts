/** Foretelling the gaps of a boat as she is worked out. */
import type { Hull } from '../../lines';
import type { Plane } from '../../surface';
import type { PanelsValue } from '../develop';
import type { PanelsPart } from '../schema';
import { skinAsked, type SkinProject } from '../skin';
import { gapsOf, type Gaps } from './gaps';
import type { BuildAsk } from './simulate';

export type BoatGaps = {
  readonly project: SkinProject & { readonly panels: PanelsPart };
  readonly hull: Hull;
  readonly value: PanelsValue;
  readonly frames: readonly { readonly id: string; readonly plane: Plane }[];
};

export const gapsOfBoat = ({ project, hull, value, frames }: BoatGaps, ask: BuildAsk): Gaps =>
  gapsOf({
    ...{ panels: value.panels, part: project.panels, ...ask },
    held: { hull, frames, ...skinAsked(project.panels, project) },
  });
