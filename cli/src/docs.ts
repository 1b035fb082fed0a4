/**
 * The parts of docs/ that are made from the program's own data: its constants, the project's schema, a sample
 * project.
 */
import { z } from 'zod';
import { writeProjectFile } from '@kalotrope/core/exchange';
import { CHAIN, demoProject, projectSchema } from '@kalotrope/core/project';
import type { Constants } from '@kalotrope/core/stage';
import { glossaryPages } from '@kalotrope/core/words';

/** By the stage that owns them. */
export const CONSTANTS: Readonly<Record<string, Constants>> = Object.fromEntries(
  CHAIN.map(({ title, constants }) => [title, constants]),
);

/** Paths below docs/, and what belongs there. */
export function madeDocs(): Readonly<Record<string, string>> {
  return {
    'constants.md': constantsTable(),
    'project.schema.json': `${JSON.stringify(z.toJSONSchema(projectSchema), null, 2)}\n`,
    ...Object.fromEntries(Object.entries(glossaryPages()).map(([name, text]) => [`guide/${name}`, text])),
    'samples/tamsel.kalotrope.json': writeProjectFile(demoProject('tamsel', 'sample-tamsel')),
  };
}

function constantsTable(): string {
  const sections = Object.entries(CONSTANTS).map(([stage, constants]) =>
    [
      `## ${stage}`,
      '| constant | value | unit | source | note |',
      '| --- | --- | --- | --- | --- |',
      // a module's own order is not the same in every runner
      ...Object.entries(constants)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(
          ([name, { value, unit, source, note }]) =>
            `| ${name.toLowerCase().replaceAll('_', ' ')} | ${valueText(value)} | ${unit} | ${source} | ${note} |`,
        ),
    ].join('\n'),
  );
  const head = ['# Constants from outside', 'Written by `npm run docs` from the data of the stages that own them.'];
  return `${[...head, ...sections].join('\n\n')}\n`;
}

/** A list of records a row each, a record by its keys. */
function valueText(value: unknown): string {
  if (Array.isArray(value)) return value.map(valueText).join('<br>');
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .map(([key, item]) => `${key} ${String(item)}`)
      .join(', ');
  return String(value);
}
