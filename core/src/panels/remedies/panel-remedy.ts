/** What a remedy of a panel is: a change of its lines that would let it develop. */
import type { Edit } from '../../findings';
import type { Longitudinal } from '../../lines';
import type { Standing } from './standing';

export type RemedyMove = {
  readonly index: number;
  readonly station: string;
  readonly quantity: 'halfBreadth' | 'height';
  readonly fromMm: number;
  readonly toMm: number;
};

export type PanelRemedy = {
  readonly kind: 'move' | 'split';
  readonly panel: string;
  /** The line that moves, or the new one that splits the panel. */
  readonly line: string;
  readonly lineName: string;
  readonly moves: readonly RemedyMove[];
  /** The largest of the moves, with its sign: out and up are positive. Null for a split. */
  readonly most: RemedyMove | null;
  readonly before: Standing;
  readonly after: Standing;
  /** The lines with the change made, for a preview. */
  readonly lines: readonly Longitudinal[];
  readonly edits: readonly Edit[];
};
