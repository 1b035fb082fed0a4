/** What lies under cloth, each piece as it lies flat, and how often it is cut. */
import type { Outline } from '../geometry';
import type { Hull } from '../lines';
import type { Panel, Transom } from '../panels';
import type { Frame, Girder } from '../frames';
import type { CutInside } from '../fitout';
import { facesGlassed, flatParts } from './flat-parts';
import type { EpoxyPart } from './schema';
import { sheathedPanels } from './sheathing';

export type Covered = {
  readonly id: string;
  readonly name: string;
  readonly outline: Outline;
  /** Each is cut once; turned over: its mirror image. */
  readonly copies: readonly { readonly called: string; readonly isTurned: boolean }[];
};

export type CoveredFrom = {
  readonly lines: Hull['lines'];
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly inside: readonly CutInside[];
  readonly part: EpoxyPart;
};

const ONE = [{ called: '', isTurned: false }] as const;
const HANDS = [
  { called: ', starboard', isTurned: false },
  { called: ', port', isTurned: true },
] as const;
const FACES = [
  { called: ', one face', isTurned: false },
  { called: ', other face', isTurned: true },
] as const;

/** Panels that are sheathed, then parts that are glassed flat. */
export function coveredIn(from: CoveredFrom): Covered[] {
  const panels = sheathedPanels(from).sheathed.map(({ id, name, outline, spansCentreline }) => ({
    ...{ id, name, outline, copies: spansCentreline ? ONE : HANDS },
  }));
  const flat = flatParts(from).flatMap((one): Covered[] => {
    const glassed = facesGlassed(one, from.part);
    if (glassed === 0) return [];
    const faces = glassed === 2 ? FACES : ONE;
    const copies = (one.isPair ? HANDS : ONE).flatMap((hand) =>
      faces.map((face) => ({
        ...{ called: `${hand.called}${face.called}`, isTurned: hand.isTurned !== face.isTurned },
      })),
    );
    return one.outlines.map((outline, k) => ({
      id: `${one.of} ${one.id}${k > 0 ? ` ${k + 1}` : ''}`,
      name: one.outlines.length > 1 ? `${one.name}, piece ${k + 1}` : one.name,
      ...{ outline, copies },
    }));
  });
  return [...panels, ...flat];
}
