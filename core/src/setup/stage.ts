/** Set-up: is it true? */
import type { Frame } from '../frames';
import type { Hull } from '../lines';
import { defineStage } from '../stage';
import * as constants from './constants';
import { SETUP_FINDINGS } from './findings';
import { setupAtFirst, setupSchema } from './schema';
import { setupSheets, setupTables, type SetupOnPaper } from './sheets';
import { judgeSetup, stoodUp } from './value';

type Before = {
  readonly values: {
    readonly lines: Pick<Hull, 'fromX' | 'toX'>;
    readonly frames: { readonly frames: readonly Frame[] };
  };
};

export const setupStage = defineStage<{ before: Before; whole: SetupOnPaper }>()({
  name: 'setup',
  title: 'Set-up',
  schema: setupSchema,
  begin: setupAtFirst,
  catalogue: SETUP_FINDINGS,
  constants,
  run: (part, { values }) => {
    const { fromX, toX } = values.lines;
    const value = stoodUp({ frames: values.frames.frames, fromX, toX, part: { ...part } });
    return { value, findings: judgeSetup(value), assumed: [] };
  },
  tables: setupTables,
  sheets: setupSheets,
});
