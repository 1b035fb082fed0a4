/** What laying parts out comes to, and how far it may go. Lengths mm. */
export type Placement = {
  readonly part: string;
  readonly copy: number;
  readonly x: number;
  readonly y: number;
  readonly rotationDeg: number;
  readonly mirrored: boolean;
};

export type UsedSheet = {
  readonly id: string;
  readonly index: number;
  readonly placements: readonly Placement[];
};

export type NestResult = {
  readonly sheets: readonly UsedSheet[];
  readonly unplaced: readonly { readonly part: string; readonly copy: number }[];
  readonly sheetsUsed: number;
  readonly density: number;
  /** The time ended within the first layout: what is unplaced was not tried. */
  readonly isCut?: boolean;
};

export type NestBudget = {
  readonly seed: number;
  /** Rounds at most; with no clock this alone ends the search, and the result is exactly repeatable. */
  readonly rounds: number;
  /**
   * True ends the search with the best layout so far. Asked every few milliseconds, within the first layout too: that
   * is then returned as far as it has come, the rest unplaced.
   */
  readonly isOver?: () => boolean;
  readonly onProgress?: (best: NestResult, round: number) => void;
};

/** Fewer left over, then fewer sheets, then denser. */
export const isBetter = (one: NestResult, than: NestResult): boolean =>
  (one.unplaced.length - than.unplaced.length || one.sheetsUsed - than.sheetsUsed || than.density - one.density) < 0;
