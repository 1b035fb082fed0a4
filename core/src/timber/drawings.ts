/** What to buy and what to cut from each stick, as tables. */
import { csv, type ExportTable } from '../formats';
import { formatFine, isImperial } from '../measure';
import { planOf } from './judge';
import { sectionOfStick } from './runs';
import { FACE_DOWN } from './rips';
import type { TimberWhole } from './value';

export function timberTables({ project, values, found }: TimberWhole): ExportTable[] {
  const { runs } = values.timber;
  if (runs.length === 0) return [];
  const plan = planOf(values.timber, found.timber);
  const shown = (mm: number) => formatFine(mm, project.notation);
  const unit = isImperial(project.notation) ? 'in' : 'mm';
  const list: ExportTable = {
    name: 'timber-runs',
    title: 'Timber, all long pieces',
    csv: csv(
      ['piece', 'how_many', `width_${unit}`, `depth_${unit}`, `length_${unit}`],
      runs.map(({ name, qty, width, depth, length }) => [name, qty, shown(width), shown(depth), shown(length)]),
    ),
  };
  const rips: ExportTable = {
    name: 'timber-rips',
    title: 'Timber, tilts of the saw',
    csv: csv(
      ['piece', 'how_many', `width_before_${unit}`, `depth_${unit}`, 'tilt_deg', 'face_down', `left_to_plane_${unit}`],
      values.timber.rips.map(({ name, qty, blankWidth, depth, tiltDeg, wider, leftMm }) => [
        ...[name, qty, shown(blankWidth), shown(depth), Number(tiltDeg.toFixed(2))],
        ...[FACE_DOWN[wider], shown(leftMm)],
      ]),
    ),
  };
  if (!plan) return [list, rips];
  const nameOf = (id: string) => runs.find((run) => run.id === id)?.name ?? id;
  const { job } = values.timber;
  const lengthOf = (stock: string) => job.stock.find(({ id }) => id === stock)?.length ?? 0;
  const cuts: ExportTable = {
    name: 'timber-cut-list',
    title: 'Timber, stick by stick',
    csv: csv(
      ['stick', 'section', `stick_length_${unit}`, 'piece', 'copy', 'part', `length_${unit}`, `left_${unit}`],
      plan.sticks.flatMap(({ stock, cuts: own, left }, k) =>
        own.map(({ run, copy, part, length }) => [
          ...[k + 1, sectionOfStick(runs, job, stock, project.notation), shown(lengthOf(stock))],
          ...[nameOf(run), copy + 1, part + 1, shown(length), shown(left)],
        ]),
      ),
    ),
  };
  return [list, cuts, rips];
}
