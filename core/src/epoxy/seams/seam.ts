/** A seam as it is filled and taped: what meets in it, its kind, and the angle along it. Lengths mm. */
import type { Vec3 } from '../../geometry';
import type { SEAM_KINDS } from '../schema';

export type SeamKind = (typeof SEAM_KINDS)[number];

/** Of a seam against the skin's inside, that no panel's edge lies in. */
export const isWithin = ({ kind }: { readonly kind: SeamKind }): boolean => kind === 'bulkhead' || kind === 'inside';

/** A stretch along which the angle is one. */
export type Stretch = { readonly length: number; readonly angleRad: number };

/** A panel’s edge along a line, from one parameter of the line to another; or the ruling that it ends on. */
export type SeamEdge = { readonly panel: string } & (
  | { readonly end: 'P' | 'Q'; readonly line: string; readonly from: number; readonly to: number }
  | { readonly end: 'fore' | 'aft' }
);

export type Seam = {
  readonly id: string;
  readonly kind: SeamKind;
  readonly name: string;
  /** Both sides of the boat together. */
  readonly length: number;
  /** Averaged along it. */
  readonly angleDeg: number;
  /** Of every fillet in it: of a bulkhead one list for both its faces together. */
  readonly stretches: readonly Stretch[];
  /** A bulkhead has two, one on each face; a tape lies in each. */
  readonly corners: 1 | 2;
  readonly isFilleted: boolean;
  /** Where it runs, in the boat: on the starboard hand, or across the centreline. */
  readonly paths: readonly (readonly Vec3[])[];
  /** Where it runs along panels’ own edges; none where it runs over the face of one. */
  readonly edges: readonly SeamEdge[];
};
