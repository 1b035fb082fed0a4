import { writeFileSync } from 'node:fs';
import { writeProjectFile } from '@kalotrope/core/exchange';
import { Refusal, type Answer, type Io, type Options } from '../io';
import { projectOfLines } from '../project-of';

/** Writes the project that a table or a drawing of lines becomes. */
export function projectCommand(file: string, options: Options, io: Io): Answer {
  const out = options['out'];
  if (out === undefined) throw new Refusal('--out is missing; expected a file to write, such as boat.kalotrope.json');
  const project = projectOfLines(file, options, io);
  try {
    writeFileSync(out, writeProjectFile(project));
  } catch (error) {
    throw new Refusal(`cannot write ${out}: ${(error as NodeJS.ErrnoException).code ?? String(error)}`);
  }
  return { json: { file: out, project }, text: out };
}
