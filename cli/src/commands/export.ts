import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { EXPORT_KINDS, exportFiles, type ExportKind } from '@kalotrope/core/exchange';
import { allFindings, createDerive, searchAll, sentence } from '@kalotrope/core/project';
import { findingJson, Refusal, type Answer, type Io, type Options } from '../io';
import { projectOf } from '../project-of';
import { LAYOUT_ROUNDS } from './takeoff';

/** Writes the files; on standard error it says what stops the work, parts that are on no sheet among it. */
export function exportCommand(file: string, options: Options, io: Io): Answer {
  const project = projectOf(file, options, io);
  const dir = options['out'];
  if (dir === undefined) throw new Refusal('--out is missing; expected a folder');
  const kinds = readKinds(options['only']);
  const derived = createDerive()(project);
  const found = searchAll(project, derived, LAYOUT_ROUNDS);
  const stops = allFindings(derived, { project, found }).filter(({ severity }) => severity === 'stop');
  const files = exportFiles(
    { project, derived, found, printing: { date: new Date().toISOString().slice(0, 10) } },
    kinds,
  );
  try {
    mkdirSync(dir, { recursive: true });
    for (const { name, content } of files) writeFileSync(join(dir, name), content);
  } catch (error) {
    throw new Refusal(`cannot write to ${dir}: ${(error as NodeJS.ErrnoException).code ?? String(error)}`);
  }
  for (const stop of stops) io.err(`kalo: STOP: ${sentence(stop, 'mm')}\n`);
  return {
    json: { files: files.map(({ name }) => name), findings: stops.map(findingJson) },
    text: files.map(({ name }) => join(dir, name)).join('\n'),
  };
}

function readKinds(text: string | undefined): ExportKind[] {
  if (text === undefined) return [...EXPORT_KINDS];
  return text.split(',').map((part) => {
    const kind = EXPORT_KINDS.find((other) => other === part.trim());
    if (!kind) throw new Refusal(`--only has "${part}"; what is written: ${EXPORT_KINDS.join(', ')}`);
    return kind;
  });
}
