/** A boat drawn from a few dimensions, drawn anew from others. */
import type { Edit } from '../findings';
import { FRAMES_PATH } from '../frames';
import { linesStage, startLines, type Starter, type StarterProblem } from '../lines';
import { isSame } from '../stage';
import { newProject } from './defaults';
import type { Project } from './document';

type Redrawn =
  | { readonly ok: true; readonly edits: readonly Edit[] }
  | { readonly ok: false; readonly problems: readonly StarterProblem[] };

/** Whether the table is still the one that its dimensions give; false of a boat that was drawn otherwise. */
export function isAsDrawn({ lines }: Project): boolean {
  const started = lines.starter && startLines(lines.starter.kind, lines.starter.dimensions);
  if (!started?.ok) return false;
  return isSame(started.lines.longitudinals, lines.longitudinals) && (lines.openCells ?? []).length === 0;
}

/**
 * What draws the table anew; whatever was changed in it by hand goes. Frames that still stand where they were put with
 * the table are put anew; others stay.
 */
export function redrawn(project: Project, starter: Starter): Redrawn {
  const started = startLines(starter.kind, starter.dimensions);
  if (!started.ok) return started;
  const edits: Edit[] = [
    { path: [linesStage.name, 'longitudinals'], value: started.lines.longitudinals },
    { path: [linesStage.name, 'starter'], value: starter },
  ];
  const { stations = [], openCells = [] } = project.lines;
  if (stations.length > 0) edits.push({ path: [linesStage.name, 'stations'], value: [] });
  if (openCells.length > 0) edits.push({ path: [linesStage.name, 'openCells'], value: [] });
  const framesOf = (lines: Project['lines']) => newProject({ ...NAMELESS, notation: project.notation, lines }).frames;
  const before = project.lines.starter && startLines(project.lines.starter.kind, project.lines.starter.dimensions);
  if (before?.ok && isSame(framesOf(before.lines).frames, project.frames.frames))
    edits.push({ path: FRAMES_PATH, value: framesOf(started.lines).frames });
  return { ok: true, edits };
}

const NAMELESS = { id: 'x', name: 'x' };
