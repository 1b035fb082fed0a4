/** The book of a boat: everything that one takes to the shop, as one file to print and one to open on a phone. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bookOf, htmlBook, writeBook } from '@kalotrope/core/exchange';
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
  const work = { project, derived, found, printing: { date } };
  const [book, html] = [bookOf(work), htmlBook(work)];
  const files = [
    { name: `${book.file}.pdf`, content: writeBook(book) },
    { name: html.file, content: html.text },
  ];
  try {
    mkdirSync(dir, { recursive: true });
    for (const { name, content } of files) writeFileSync(join(dir, name), content);
  } catch (error) {
    throw new Refusal(`cannot write to ${dir}: ${(error as NodeJS.ErrnoException).code ?? String(error)}`);
  }
  return {
    json: { files: files.map(({ name }) => name), pages: book.pages.length },
    text: [...files.map(({ name }) => join(dir, name)), `${book.pages.length} pages`].join('\n'),
  };
}
