/**
 * The most worth that can be cut from a stick: pieces of given lengths and worths, each so often at most, within a
 * length.
 *
 * Method: the list of fillings that no other filling beats (shorter and worth as much), built piece by piece: Nemhauser
 * and Ullmann, "Discrete dynamic programming and capital allocation" (Management Science 15, 1969). Exact for any
 * lengths, whole or not. One list serves every stick up to the longest. A filling's length counts a kerf to each piece;
 * a stick's room has one kerf over, as none is lost after the last piece of a stick that is used up.
 */
export type FillPiece = { readonly length: number; readonly worth: number; readonly most: number };

/** Lengths that differ by less are one, mm. */
const SAME_MM = 1e-7;
/** A gain below this is the solver's rounding. */
const SAME_WORTH = 1e-9;

export type Fillings = {
  /**
   * The best filling within a room, mm, with what is left of the room at so much a mm; pieces by place and how many.
   */
  readonly bestWithRest: (
    room: number,
    perMm: number,
  ) => { readonly worth: number; readonly counts: Map<number, number> };
};

/** `pieces` by their place in the list; those of no worth are not used. */
export function fillings(pieces: readonly FillPiece[], kerf: number, longest: number): Fillings {
  // a filling: its length, its worth, the piece put in last, and the filling before that
  const ends = { length: [0], worth: [0], piece: [-1], before: [-1] };
  let kept: number[] = [0];
  const put = (filling: number, piece: number, by: FillPiece): number => {
    ends.length.push((ends.length[filling] ?? 0) + by.length + kerf);
    ends.worth.push((ends.worth[filling] ?? 0) + by.worth);
    ends.piece.push(piece);
    ends.before.push(filling);
    return ends.length.length - 1;
  };
  const lengthOf = (k: number) => ends.length[k] ?? 0;
  const worthOf = (k: number) => ends.worth[k] ?? 0;
  const room = longest + kerf;
  pieces.forEach((piece, index) => {
    if (piece.worth <= SAME_WORTH) return;
    const most = Math.min(piece.most, Math.floor((room + SAME_MM) / (piece.length + kerf)));
    let grown = kept;
    for (let n = 0; n < most && grown.length > 0; n++) {
      grown = grown.filter((k) => lengthOf(k) + piece.length + kerf <= room + SAME_MM).map((k) => put(k, index, piece));
      kept = unbeaten(kept, grown, lengthOf, worthOf);
    }
  });
  const counts = (from: number) => {
    const found = new Map<number, number>();
    for (let k = from; k > 0; k = ends.before[k] ?? 0) {
      const piece = ends.piece[k] ?? 0;
      found.set(piece, (found.get(piece) ?? 0) + 1);
    }
    return found;
  };
  const bestWithRest = (inside: number, perMm: number) => {
    let best = { worth: -1, k: 0 };
    for (const k of kept) {
      const left = inside + kerf - lengthOf(k);
      if (left < -SAME_MM) break;
      const worth = worthOf(k) + perMm * Math.max(0, left);
      if (worth > best.worth) best = { worth, k };
    }
    return { worth: best.worth, counts: counts(best.k) };
  };
  return { bestWithRest };
}

/** Two lists by length merged, without those that a shorter one of as much worth beats. */
function unbeaten(
  one: readonly number[],
  other: readonly number[],
  lengthOf: (k: number) => number,
  worthOf: (k: number) => number,
): number[] {
  const merged: number[] = [];
  let [i, j, worth] = [0, 0, -1];
  while (i < one.length || j < other.length) {
    const [a, b] = [one[i], other[j]];
    const takesFirst =
      b === undefined ||
      (a !== undefined &&
        (lengthOf(a) < lengthOf(b) - SAME_MM || (lengthOf(a) <= lengthOf(b) + SAME_MM && worthOf(a) >= worthOf(b))));
    const next = (takesFirst ? a : b) ?? 0;
    if (takesFirst) i++;
    else j++;
    if (worthOf(next) > worth + SAME_WORTH) {
      merged.push(next);
      worth = worthOf(next);
    }
  }
  return merged;
}
