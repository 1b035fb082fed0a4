/** A job: what is done in one piece of work, what has to be before it, and how long that must have had to cure. */

/** In working order, as they are told apart on the calendar. */
export const WORK_GROUPS = ['plywood', 'framework', 'setting up', 'hull', 'outside', 'inside', 'finish'] as const;
export type WorkGroup = (typeof WORK_GROUPS)[number];

/** Hours after another job's end. */
export type Need = {
  readonly job: string;
  readonly leastH: number;
  /** It bonds by itself until then; later it is sanded first, and that from an hour on. */
  readonly bonds?: { readonly mostH: number; readonly sandFromH: number; readonly sandMin: number };
};

export type WorkJob = {
  readonly id: string;
  readonly name: string;
  readonly group: WorkGroup;
  /** By name: what has to be there. */
  readonly parts: readonly string[];
  readonly minutes: number;
  /** Begun, it is finished in the same stretch: what is mixed or wet does not wait. */
  readonly isOneGo: boolean;
  readonly hands: number;
  readonly needs: readonly Need[];
  /** Wet work: epoxy, glue or paint. */
  readonly isWet: boolean;
  readonly isPaint: boolean;
};
