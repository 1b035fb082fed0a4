/** A project from a file: one that was saved, or a table or drawing of lines with all else at its usual value. */
import { basename } from 'node:path';
import { framesStage, plainFrame, SCHOOLS } from '@kalotrope/core/frames';
import { plainText } from '@kalotrope/core/measure';
import { newProject, type Project } from '@kalotrope/core/project';
import { numberOption, numbersOption, readLinesFile, readProjectOption, Refusal, type Io, type Options } from './io';

/** The options that a project made from lines takes. */
export const PROJECT_OPTIONS = ['thickness', 'school', framesStage.name];
export const PROJECT_USAGE = '[--thickness T] [--school filleted|framed] [--frames X1,X2,...]';

/** A table or a drawing by its name's ending; anything else is read as a project. */
const LINES_FILE = /\.(csv|txt|tsv|dxf)$/i;

export function projectOf(file: string, options: Options, io: Io): Project {
  if (LINES_FILE.test(file)) return projectOfLines(file, options, io);
  const given = PROJECT_OPTIONS.find((key) => options[key] !== undefined);
  if (given !== undefined)
    throw new Refusal(
      `--${given} goes with a table or a drawing of lines; ${file} is read as a project, which says it`,
    );
  return readProjectOption(file);
}

/** @param file a table of offsets or a drawing */
export function projectOfLines(file: string, options: Options, io: Io): Project {
  const name = plainText(basename(file).replace(LINES_FILE, '')).slice(0, 60) || 'Boat';
  const lines = readLinesFile(file, io);
  const base = newProject({ id: `from.${name}`, name, notation: 'mm', lines });
  const thickness = numberOption(options, 'thickness', { min: 0.5, max: 40, otherwise: base.panels.thickness });
  const school = SCHOOLS.find((one) => one === (options['school'] ?? base.school));
  if (!school) throw new Refusal(`--school is "${options['school'] ?? ''}"; expected one of ${SCHOOLS.join(', ')}`);
  const xs =
    options[framesStage.name] === undefined ? undefined : numbersOption(options, framesStage.name, 'such as 600,1200');
  const frames = xs?.map((x, i) => plainFrame({ id: `frame.${i + 1}`, name: `Frame ${i + 1}`, x }));
  return {
    ...base,
    school,
    panels: { ...base.panels, thickness },
    frames: { ...base.frames, frames: frames ?? base.frames.frames },
    // the skin is cut from sheets of its own thickness
    sheets: { ...base.sheets, stock: base.sheets.stock.map((sheet) => withThickness(sheet, base, thickness)) },
  };
}

type Sheet = Project['sheets']['stock'][number];

const withThickness = (sheet: Sheet, base: Project, thickness: number): Sheet =>
  sheet.thickness === base.panels.thickness && thickness !== sheet.thickness
    ? { ...sheet, thickness, name: `${thickness} mm, ${sheet.width} × ${sheet.height}` }
    : sheet;
