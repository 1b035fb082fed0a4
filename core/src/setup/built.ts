/** What is made for the boat as it stands: panels of each hand, and frames fitted to it. */
import type { Vec2 } from '../geometry';
import type { Panel } from '../panels';
import type { EdgeChange } from './edge-changes';

export type BuiltHand = 'pair' | 'starboard' | 'port' | 'across';
export type BuiltPanel = {
  readonly panel: Panel;
  readonly hand: BuiltHand;
  readonly changes: readonly EdgeChange[];
};

export const HANDS = { pair: 'both sides', starboard: 'starboard', port: 'port', across: 'across' } as const;

/** A frame fitted to the sides as they stand: its section inside the skin, to starboard and to port. */
export type FittedFrame = {
  readonly id: string;
  readonly name: string;
  readonly starboard: readonly Vec2[];
  readonly port: readonly Vec2[];
};
