/** What joining makes of a panel: its joints, the pieces between them, and what goes behind. */
import type { Outline } from '../geometry';
import type { Layer, OwnSheet } from '../panels';
import type { Joint, Piece } from './pieces';

/** A strap that is cut from plywood. */
export type Strap = { readonly id: string; readonly name: string; readonly outline: Outline };

export type JointedPanel = {
  readonly panel: string;
  readonly name: string;
  /** The panel under whose id the builder's own joints are kept: of a hand that is unlike the other, the same one. */
  readonly joinedAs: string;
  /** It is cut twice: the second is the mirror image. */
  readonly isPair: boolean;
  /** It is drawn as the other hand is, and cut as its mirror image. */
  readonly isPort?: true;
  /** Where it is one of the layers of a panel. */
  readonly layer?: Layer;
  /** Where its sheet is not the skin's usual one. */
  readonly own?: OwnSheet;
  readonly joints: readonly Joint[];
  readonly pieces: readonly Piece[];
  /** Behind the joints, inside, where they are cut from plywood. */
  readonly straps: readonly Strap[];
  /** Of what is cut, and where that begins along the panel: forward of its fore end where it is cut proud. */
  readonly length: number;
  readonly from: number;
  /** Its pieces make a blank, from which the panel is cut when they are joined. */
  readonly isBlank?: true;
};
