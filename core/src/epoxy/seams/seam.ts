/** A seam as it is filled and taped: what meets in it, its kind, and the angle along it. Lengths mm. */
import type { Vec2, Vec3 } from '../../geometry';
import type { SEAM_KINDS } from '../schema';

export type SeamKind = (typeof SEAM_KINDS)[number];

/** A stretch along which the angle is one. */
export type Stretch = { readonly length: number; readonly angleRad: number };

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
  /** Along an edge of each panel that meets in it, in the flat; none where it runs over the face of a panel. */
  readonly edges: readonly { readonly panel: string; readonly line: readonly Vec2[] }[];
};
