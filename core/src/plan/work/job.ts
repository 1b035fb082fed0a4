/** A job: what is done in one piece of work, what has to be before it, and how long that must have had to cure. */

/** In working order, as they are told apart on the calendar. */
export const WORK_GROUPS = ['plywood', 'framework', 'setting up', 'hull', 'outside', 'inside', 'finish'] as const;
export type WorkGroup = (typeof WORK_GROUPS)[number];

/** What is done in it: what tools and what room it takes follow from that. */
export type WorkKind =
  | ('cut' | 'sawn frame' | 'sheet joints' | 'saw' | 'strongback' | 'stand' | 'members' | 'hang' | 'turn' | 'round')
  | ('fair' | 'fit' | 'paint' | 'join' | 'seal' | 'glue' | 'fillet' | 'tape' | 'sheathe' | 'tack');

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
  readonly does: WorkKind;
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
  /** Of paint and varnish: what, and how many hours until the next coat of it at its maker's warmth. */
  readonly coat?: { readonly finish: string; readonly ml: number; readonly fromHours: number };
};
