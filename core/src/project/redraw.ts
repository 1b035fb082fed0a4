/** A boat drawn from a few dimensions, or from a card, drawn anew from others. */
import type { Edit } from '../findings';
import { FRAMES_PATH } from '../frames';
import { linesStage, startLines, type Longitudinal, type Starter, type StarterProblem } from '../lines';
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
  const before = project.lines.starter && startLines(project.lines.starter.kind, project.lines.starter.dimensions);
  if (before?.ok && isSame(framesFor(project, before.lines), project.frames.frames))
    edits.push({ path: FRAMES_PATH, value: framesFor(project, started.lines) });
  return { ok: true, edits };
}

/**
 * What puts the lines of a card in the place of those that are there. Frames go with them where they still stand as
 * they were put with a table; others stay.
 */
export function cardTaken(project: Project, longitudinals: readonly Longitudinal[]): Edit[] {
  const { starter: _starter, ...kept } = project.lines;
  const lines = { ...kept, longitudinals: [...longitudinals], stations: [], openCells: [] };
  const edits: Edit[] = [{ path: [linesStage.name], value: lines }];
  if (isSame(framesFor(project, project.lines), project.frames.frames))
    edits.push({ path: FRAMES_PATH, value: framesFor(project, lines) });
  return edits;
}

/** The frames that a new boat of these lines is given. */
const framesFor = ({ notation }: Project, lines: Project['lines']) =>
  newProject({ ...NAMELESS, notation, lines }).frames.frames;

const NAMELESS = { id: 'x', name: 'x' };
