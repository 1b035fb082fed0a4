/**
 * The end of a timber against a plane: how a saw is set for it.
 *
 * Method: a timber has its length along `along`, lies on the saw with the face square to `through` down or up, and is
 * as broad as goes `across`. The plane in which it ends has the unit normal n, pointing off the timber. Its trace on
 * the face has the direction square to (n·along, n·across), so it leaves square by atan(n·across / n·along); on the
 * edge, likewise, by atan(n·through / n·along). With the mitre set, the blade's own plane holds the trace; the angle
 * between n and the face is what it tilts: atan(n·through / √((n·along)² + (n·across)²)).
 */
import { toDeg } from '../../measure';

/** Of a unit normal that points off the timber: its parts along the timber, across its face, and through it. */
export type EndNormal = { readonly along: number; readonly across: number; readonly through: number };

export type CompoundMitre = {
  /** From square on the face that lies on the saw; positive: the edge that `across` points to is the shorter. */
  readonly faceDeg: number;
  /** From square on the edge. */
  readonly edgeDeg: number;
  /** The blade from upright once the mitre is set; positive: the face that `through` points to is the shorter. */
  readonly tiltDeg: number;
};

/** `along` has to be over nought: a plane that does not end the timber is no cut of it. */
export const compoundMitre = ({ along, across, through }: EndNormal): CompoundMitre => ({
  faceDeg: toDeg(Math.atan2(across, along)),
  edgeDeg: toDeg(Math.atan2(through, along)),
  tiltDeg: toDeg(Math.atan2(through, Math.hypot(along, across))),
});
