/** Set-up: is it true? */
import type { FramesValue } from '../frames';
import type { Hull } from '../lines';
import type { Panel, PanelsPart, SkinProject } from '../panels';
import { defineStage } from '../stage';
import { framesFitted, judgeBuilt, panelsAsBuilt } from './as-built';
import { builtDrawings } from './built-drawings';
import * as constants from './constants';
import { SETUP_FINDINGS } from './findings';
import { setupAtFirst, setupSchema } from './schema';
import { setupSheets, setupTables, type SetupOnPaper } from './sheets';
import { alongFrom } from './standing';
import { judgeSetup, stoodUp } from './value';
import { setupKeeps, setupTasks } from './tasks';

type Before = {
  readonly project: SkinProject & { readonly panels: PanelsPart };
  readonly values: {
    readonly lines: Hull;
    readonly panels: { readonly panels: readonly Panel[] };
    readonly frames: Pick<FramesValue, 'frames' | 'members' | 'girders'>;
  };
};

export const setupStage = defineStage<{ before: Before; whole: SetupOnPaper }>()({
  name: 'setup',
  title: 'Set-up',
  schema: setupSchema,
  begin: setupAtFirst,
  catalogue: SETUP_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { fromX, toX } = values.lines;
    const { frames, members, girders } = values.frames;
    const { panels } = values.panels;
    const { thickness, linesTo } = project.panels;
    const skin = { thickness, linesTo };
    const hull = { ...values.lines };
    const boat = { frames, members, girders, panels, hull, skin, fromX, toX };
    const stood = stoodUp({ ...boat, part: { ...part } }, remember);
    const from = {
      ...{ hull, frames, drawn: panels, project, stood: stood.frames, heights: stood.heights, sides: part.sides },
      along: alongFrom({ fromX, toX, part: { ...part } }),
    };
    const built = part.asBuilt ? panelsAsBuilt(from, remember) : [];
    const fitted = part.asBuilt ? framesFitted(from, built) : [];
    const value = { ...stood, built, fitted };
    const ofBuilt = part.asBuilt ? judgeBuilt(built, panels) : [];
    return { value, findings: [...judgeSetup(value), ...ofBuilt], assumed: [] };
  },
  drawings: builtDrawings,
  tables: setupTables,
  sheets: setupSheets,
  tasks: setupTasks,
  keeps: setupKeeps,
});
