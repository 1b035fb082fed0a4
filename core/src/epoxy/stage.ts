/** Epoxy and glass: what do I buy, and what do I mix now? */
import type { FramesValue, School } from '../frames';
import type { InsideValue } from '../fitout';
import type { JointedPanel } from '../joints';
import type { Hull } from '../lines';
import type { PanelsValue } from '../panels';
import { asItIs, defineStage } from '../stage';
import { scarfCounts, type TimberValue } from '../timber';
import { epoxyToBuy, type BuyingEpoxy } from './buys';
import { clothToLay, layCloth } from './cloth/cloth';
import * as constants from './constants';
import { epoxyTables } from './drawings';
import { EPOXY_FINDINGS } from './findings';
import { epoxyAtFirst, epoxySchema } from './schema';
import { epoxySheets, type EpoxySheetsWhole } from './sheets';
import { findSeams, type Seam, type SeamsOf } from './seams';
import { takeOff } from './takeoff';
import { potTasks } from './tasks';

type Before = {
  readonly project: { readonly school: School };
  readonly values: {
    readonly lines: Pick<Hull, 'lines'>;
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly fitout: InsideValue;
    readonly joints: readonly JointedPanel[];
    readonly timber: TimberValue;
  };
};

const seamsAmong = (
  panels: SeamsOf['panels'],
  transoms: SeamsOf['transoms'],
  frames: SeamsOf['frames'],
  girders: SeamsOf['girders'],
  inside: SeamsOf['inside'],
  school: School,
) => findSeams({ panels, transoms, frames, girders, inside, school });

export const epoxyStage = defineStage<{ before: Before; whole: EpoxySheetsWhole & BuyingEpoxy }>()({
  name: 'epoxy',
  title: 'Epoxy & glass',
  schema: epoxySchema,
  begin: epoxyAtFirst,
  catalogue: EPOXY_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { panels, transoms } = values.panels;
    const { frames, girders, members } = values.frames;
    const { school } = project;
    const inside = values.fitout.all;
    return takeOff({
      // a rate that is changed leaves the seams as they are
      seams: remember('seams', seamsAmong, panels, transoms, frames, girders, inside, school).map((seam) =>
        remember(`seam ${seam.id}`, asItIs<Seam>, seam),
      ),
      lines: values.lines.lines,
      panels,
      transoms,
      ...{ frames, girders, members, inside, school },
      jointed: values.joints,
      runs: values.timber.runs,
      scarfs: remember('scarfs', scarfCounts, values.timber.job),
      part: { ...part },
    });
  },
  search: (whole, rounds) => layCloth(clothToLay(whole), rounds),
  sheets: epoxySheets,
  tasks: potTasks,
  tables: epoxyTables,
  buys: epoxyToBuy,
});
