/** Frames set up one by one: where each goes, then every check of it, with what was read. */
import { formatFine, formatWithUnit } from '../measure';
import type { KeepsTasks, Task, TaskStep } from '../stage';
import { checkWords, heldWords } from './check-words';
import { readingEdit } from './readings';
import { CHECKS, type SetupPart } from './schema';
import { shouldWords, type SetupOnPaper } from './sheets';

export const setupTasks = ({ project: { setup: part, notation }, values }: SetupOnPaper): Task[] =>
  values.setup.frames.map(({ id, name, alongMm, checks }) => ({
    ...{ id, name, kind: 'Set it true' },
    steps: [
      {
        ...{ id: 'stand', say: 'Stand it, its marks on the string', hint: 'Clamp it; do not fasten it yet.' },
        figures: [{ label: 'from the tape’s mark', value: formatFine(alongMm, notation), isLength: true }],
      },
      ...checks.map(({ what, should, isFromOther }): TaskStep => {
        const held = heldWords({ what, isFromOther });
        const isPlumb = what === 'plumb';
        const value = shouldWords(what, should, notation);
        return {
          ...{
            id: what,
            say: checkWords(what, part.way),
            figures: [{ label: 'should be', value, ...(!isPlumb && { isLength: true }) }],
          },
          ...(held !== '' && { hint: `The tape ${held}.` }),
          reading: {
            kind: isPlumb ? 'degrees' : 'length',
            should,
            expects: isPlumb ? `${value}°` : formatWithUnit(should, notation),
          },
        };
      }),
    ],
  }));

export const setupKeeps: KeepsTasks<SetupPart> = {
  read: ({ readings }, { task, step, value }) => {
    const what = CHECKS.find((check) => check === step);
    if (!what) return [];
    const of = { frame: task, what };
    return [readingEdit(readings, value === 'true' ? { ...of, isTrue: true } : { ...of, isTrue: false, value })];
  },
};
