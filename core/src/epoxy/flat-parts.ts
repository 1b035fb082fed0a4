/**
 * Parts that are glassed on the bench before they go in: plywood frames, girders, transoms, and what lies inside.
 *
 * Method: cloth over one face or both, wetted out and its weave filled as sheathing is; a face under cloth is not
 * sealed. Areas are of one side of what is cut, both of a pair together.
 */
import type { Frame, Girder } from '../frames';
import type { Outline } from '../geometry';
import type { CutInside } from '../fitout';
import type { Transom } from '../panels';
import type { EpoxyPart } from './schema';

export type FlatPart = {
  readonly of: EpoxyPart['flat'][number]['of'];
  readonly id: string;
  readonly name: string;
  /** Of one face. */
  readonly areaM2: number;
  /** What is cut, each once. */
  readonly outlines: readonly Outline[];
  readonly isPair: boolean;
};

type Parts = {
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly transoms: readonly Transom[];
  readonly inside: readonly CutInside[];
};

/** All that can be glassed flat, in the order in which it stands. */
export const flatParts = ({ frames, girders, transoms, inside }: Parts): FlatPart[] => [
  ...frames
    .filter(({ material }) => material === 'plywood')
    .map(({ id, name, areaM2, cut, hand }): FlatPart => ({
      ...{ of: 'frame', id, name, areaM2, outlines: [cut.outline], isPair: hand === 'pair' },
    })),
  ...girders.map(({ id, name, areaM2, pieces, hand }): FlatPart => ({
    ...{ of: 'girder', id, name, areaM2, isPair: hand === 'pair' },
    outlines: pieces.map(({ outline }) => outline),
  })),
  ...transoms.map(({ id, name, areaM2, outline }): FlatPart => ({
    ...{ of: 'transom', id, name, areaM2, outlines: [outline], isPair: false },
  })),
  // a block has no flat face that is left to be seen, a stem none that is glassed
  ...inside
    .filter(({ fit }) => fit !== 'block' && fit !== 'stem' && fit !== 'knee')
    .map(({ id, name, hand, pieces }): FlatPart => ({
      ...{ of: 'inside', id, name, isPair: hand === 'pair' },
      areaM2: pieces.reduce((sum, piece) => sum + piece.areaM2, 0) * (hand === 'pair' ? 2 : 1),
      outlines: pieces.map(({ region }) => region.outline),
    })),
];

/** How many of its faces are glassed flat: none of what is not on the list. */
export function facesGlassed({ of, id }: Pick<FlatPart, 'of' | 'id'>, { flat }: Pick<EpoxyPart, 'flat'>): 0 | 1 | 2 {
  const plan = flat.find((one) => one.of === of && one.part === id);
  if (!plan) return 0;
  return plan.faces === 'one' ? 1 : 2;
}
