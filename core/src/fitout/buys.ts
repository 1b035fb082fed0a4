/** What is bought to put the parts in: the screws down into what they lie on. */
import { fasteningsToBuy, type FramesPart } from '../frames';
import type { Notation } from '../measure';
import type { BuyLine } from '../stage';
import type { InsideValue } from './inside-value';

export type BuyingInside = {
  readonly project: { readonly notation: Notation; readonly frames: { readonly screws: FramesPart['screws'] } };
  readonly values: { readonly fitout: Pick<InsideValue, 'screws'> };
};

export const insideToBuy = ({ project: { notation, frames }, values }: BuyingInside): BuyLine[] =>
  fasteningsToBuy(values.fitout.screws, frames.screws.diameter, notation, 'inside ');
