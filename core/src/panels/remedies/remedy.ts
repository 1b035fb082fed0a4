/**
 * What would cure a panel that does not develop: the smallest smooth change of one of its lines (remedy-move.ts), or
 * a split in two by a new line (remedy-split.ts). Every remedy is what the panel really does with the rounded figures
 * in the table. Cost: some ten developments a candidate, four to six candidates a panel: a second or two, so on
 * demand.
 */
import { bendLines, type LinesTable } from '../../lines';
import { panelIdOf, panelInputs } from '../inputs';
import { developPanel } from '../panel';
import { sizeOf, smallestMove } from './remedy-move';
import { splitByLine } from './remedy-split';
import { needsRemedy, standingOf } from './standing';
import type { PanelRemedy } from './panel-remedy';

/** The remedies of one panel, smallest move first, a split last; none when it needs none or nothing helps. */
export function findRemedies(table: LinesTable, panelId: string): PanelRemedy[] {
  const hull = bendLines(table).value;
  const input = panelInputs(hull).find((other) => panelIdOf(other) === panelId);
  const panel = input && developPanel(input);
  if (!input || !panel || 'reason' in panel || !needsRemedy(standingOf(panel))) return [];
  const moves = [...new Set(panel.stretches.flatMap((row) => row.map(({ line }) => line)))].flatMap(
    (id) => smallestMove(table, hull, id, panelId) ?? [],
  );
  const split = input.spansCentreline ? undefined : splitByLine(table, panel);
  const bySize = moves.sort((a, b) => Math.abs(sizeOf(a)) - Math.abs(sizeOf(b)));
  return [...bySize, ...(split ? [split] : [])];
}
