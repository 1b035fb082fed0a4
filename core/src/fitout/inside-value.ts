/** Everything inside and on top: what is cut, who is there, what goes through it, how long and how large it is. */
import type { FittedBlock } from './blocks/block';
import type { LandingRow } from './landing-screws';
import type { FittedKnee } from './knees/knee';
import type { StretchAlong } from './lengths-along';
import type { OverAll } from './limits';
import type { Lying } from './lying';
import type { Seated } from './people/in-boat';
import type { FittedStem } from './stems/stem';
import type { Fitted } from './value';
import type { FittedWall } from './walls/fitted-wall';

/** What the stages after need of anything inside or on top: a part cut from the hull, a wall, a block of timber. */
export type CutInside = Pick<
  Fitted,
  'id' | 'plan' | 'name' | 'hand' | 'thickness' | 'isSquare' | 'isBent' | 'pieces' | 'supports'
> & {
  readonly isTimber?: boolean;
  readonly fit: Fitted['fit'] | FittedWall['fit'] | FittedBlock['fit'] | FittedStem['fit'] | FittedKnee['fit'];
};

export type InsideValue = Lying & {
  readonly stems: readonly FittedStem[];
  /** Screws down into what parts lie on. */
  readonly screws: readonly LandingRow[];
  readonly people: readonly Seated[];
  /** Along the boat's middle, at a height. */
  readonly lengths: { readonly height: number; readonly stretches: readonly StretchAlong[] };
  readonly overAll: OverAll;
  /** All that is cut, in the order in which it is decided. */
  readonly all: readonly CutInside[];
};
