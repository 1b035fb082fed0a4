/** What is bought to make the joints: the screws of their straps. */
import { fasteningsToBuy, type FramesPart } from '../frames';
import type { Notation } from '../measure';
import type { BuyLine } from '../stage';
import type { JointedPanel } from './jointed-panel';
import type { JointsPart } from './schema';
import { strapScrews } from './strap-screws';

export type BuyingJoints = {
  readonly project: {
    readonly notation: Notation;
    readonly panels: { readonly thickness: number };
    readonly frames: { readonly screws: FramesPart['screws'] };
    readonly joints: JointsPart;
  };
  readonly values: { readonly joints: readonly JointedPanel[] };
};

export const strapScrewsOf = ({ project: { panels, frames, joints }, values }: BuyingJoints) =>
  strapScrews(values.joints, { thickness: panels.thickness, part: joints, screws: frames.screws });

export const jointsToBuy = (whole: BuyingJoints): BuyLine[] =>
  fasteningsToBuy(strapScrewsOf(whole), whole.project.frames.screws.diameter, whole.project.notation, 'strap ');
