/** Plan: what next? */
import type { EpoxyPart, Takeoff } from '../epoxy';
import type { InsidePart, InsideValue } from '../fitout';
import type { FramesValue, School } from '../frames';
import type { JointedPanel } from '../joints';
import type { PanelsValue } from '../panels';
import type { SetupPart, SetupValue } from '../setup';
import type { CutPart } from '../sheets';
import { asItIs, defineStage } from '../stage';
import type { TimberValue } from '../timber';
import { epoxyConstants, paceOfFinish } from '../epoxy';
import * as constants from './constants';
import { PLAN_FINDINGS } from './findings';
import { judgePlan } from './judge';
import { planAtFirst, planSchema } from './schema';
import { planSheets, planTables, type PlanOnPaper } from './tables';
import { paced, planOfPaced, type Planned, type PlanValue } from './value';
import type { BoatToBuild } from './work/boat';
import { workOf } from './work/boat-work';
import { hoursAt } from './work/epoxy-work';
import { wantsOf, type Wants } from './work/wants';
import { planKeeps, planTasks } from './tasks';

type Before = {
  readonly project: {
    readonly school: School;
    readonly setup: Pick<SetupPart, 'way'>;
    readonly fitout: Pick<InsidePart, 'walls' | 'knees'>;
    readonly epoxy: Pick<EpoxyPart, 'resin' | 'shop'>;
  };
  readonly values: {
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly setup: Pick<SetupValue, 'frames' | 'jig'>;
    readonly fitout: Pick<InsideValue, 'all'>;
    readonly joints: readonly JointedPanel[];
    readonly sheets: { readonly parts: readonly CutPart[] };
    readonly timber: Pick<TimberValue, 'runs'>;
    readonly epoxy: Pick<Takeoff, 'jobs' | 'seams' | 'coats' | 'lines' | 'plan'>;
  };
};

const withWants = (planned: Planned, wants: Readonly<Record<string, Wants>>): PlanValue => ({ ...planned, wants });

export const planStage = defineStage<{ before: Before; whole: PlanOnPaper }>()({
  name: 'plan',
  title: 'Plan',
  schema: planSchema,
  begin: planAtFirst,
  catalogue: PLAN_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { resin, shop } = project.epoxy;
    const boat: BoatToBuild = {
      ...{ school: project.school, panels: values.panels, frames: values.frames, way: project.setup.way },
      setup: values.setup,
      ...{ inside: values.fitout.all, plans: project.fitout, jointed: values.joints, cut: values.sheets.parts },
      ...{ runs: values.timber.runs, takeoff: values.epoxy },
      ...{ hours: hoursAt(resin, shop.tempC), paintPace: paceOfFinish(shop.tempC) },
      warmth: { leastC: resin.leastC, dampest: resin.dampest, paintLeastC: epoxyConstants.FINISH_LEAST_C.value },
    };
    const work = workOf(boat);
    // what moves a shape and no job's quarter of an hour leaves the plan as it is
    const ownJobs = remember('jobs', asItIs, paced(work, part));
    const planned = remember('plan', planOfPaced, ownJobs, remember('own', asItIs, { ...part }));
    const wants = Object.fromEntries(work.map((job) => [job.id, wantsOf(job, boat)]));
    const value = remember('wanted', withWants, planned, remember('wants', asItIs, wants));
    return { value, findings: judgePlan(value, { shop: shop.tempC, least: resin.leastC }), assumed: [] };
  },
  tables: planTables,
  sheets: planSheets,
  tasks: planTasks,
  keeps: planKeeps,
});
