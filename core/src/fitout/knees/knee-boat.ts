/** What a hanging knee is cut from and meets. */
import type { MemberRun } from '../../frames';
import type { Panel, RoundedStrip } from '../../panels';
import type { Fitted } from '../value';

export type KneeBoat = {
  readonly panels: readonly Panel[];
  readonly strips: readonly RoundedStrip[];
  readonly parts: readonly Fitted[];
  readonly members: readonly MemberRun[];
  /** From the lines' surface to the inside of the skin. */
  readonly inside: number;
};
