/** Epoxy and glass: what do I buy, and what do I mix now? */
import type { FramesValue, School } from '../frames';
import type { JointedPanel } from '../joints';
import type { Hull } from '../lines';
import type { PanelsValue } from '../panels';
import { defineStage } from '../stage';
import type { TimberValue } from '../timber';
import { epoxyToBuy } from './buys';
import * as constants from './constants';
import { epoxyTables, type EpoxyWhole } from './drawings';
import { EPOXY_FINDINGS } from './findings';
import { epoxyAtFirst, epoxySchema } from './schema';
import { epoxySheets, type EpoxySheetsWhole } from './sheets';
import { takeOff } from './takeoff';

type Before = {
  readonly project: { readonly school: School };
  readonly values: {
    readonly lines: Pick<Hull, 'lines'>;
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly joints: readonly JointedPanel[];
    readonly timber: TimberValue;
  };
};

export const epoxyStage = defineStage<{ before: Before; whole: EpoxyWhole & EpoxySheetsWhole }>()({
  name: 'epoxy',
  title: 'Epoxy & glass',
  schema: epoxySchema,
  begin: epoxyAtFirst,
  catalogue: EPOXY_FINDINGS,
  constants,
  run: (part, { project, values }) => {
    const { panels, transoms } = values.panels;
    return takeOff({
      lines: values.lines.lines,
      panels,
      transoms,
      frames: values.frames.frames,
      girders: values.frames.girders,
      members: values.frames.members,
      jointed: values.joints,
      runs: values.timber.runs,
      school: project.school,
      part: { ...part },
    });
  },
  sheets: epoxySheets,
  tables: epoxyTables,
  buys: epoxyToBuy,
});
