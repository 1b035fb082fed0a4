/** The book of a boat: everything that one takes to the shop, as one file to print and one to open on a phone. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bookOf, writeBook } from '@kalotrope/core/exchange';
import { createDerive, searchAll } from '@kalotrope/core/project';
import { Refusal, type Answer, type Io, type Options } from '../io';
import { projectOf } from '../project-of';
import { LAYOUT_ROUNDS } from './takeoff';

export function bookCommand(file: string, options: Options, io: Io): Answer {
  const project = projectOf(file, options, io);
  const dir = options['out'];
  if (dir === undefined) throw new Refusal('--out is missing; expected a folder');
  const derived = createDerive()(project);
  const found = searchAll(project, derived, LAYOUT_ROUNDS);
  const date = new Date().toISOString().slice(0, 10);
  const book = bookOf({ project, derived, found, printing: { date } });
  const name = `${book.file}.pdf`;
  try {
    mkdirSync(dir, { recursive: true });
    writeFileSync(join(dir, name), writeBook(book));
  } catch (error) {
    throw new Refusal(`cannot write to ${dir}: ${(error as NodeJS.ErrnoException).code ?? String(error)}`);
  }
  return {
    json: { files: [name], pages: book.pages.length },
    text: `${join(dir, name)}\t${book.pages.length} pages`,
  };
}
