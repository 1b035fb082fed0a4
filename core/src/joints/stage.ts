/** Joints: where do the sheets join? */
import type { FramesValue } from '../frames';
import { thicknessOf, type Panel, type PanelsPart, type PanelsValue } from '../panels';
import { panelsToCut, type SetupValue } from '../setup';
import { defineStage } from '../stage';
import { jointsToBuy, strapScrewsOf, type BuyingJoints } from './buys';
import * as constants from './constants';
import { jointsOnPanel } from './drawings';
import { JOINTS_FINDINGS } from './findings';
import { planJoints, sheetForSkin, type StockForJoints } from './joint';
import type { JointedPanel } from './jointed-panel';
import { planingStack } from './planing';
import { jointsAtFirst, jointsSchema } from './schema';
import { jointsTasks } from './tasks';
import { jointsSheets, type JointsWhole } from './sheets';

type Before = {
  readonly project: { readonly panels: Pick<PanelsPart, 'thickness'>; readonly sheets: StockForJoints };
  readonly values: {
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly setup: Pick<SetupValue, 'built'>;
  };
};

export const jointsStage = defineStage<{ before: Before; whole: JointsWhole & BuyingJoints; panel: Panel }>()({
  name: 'joints',
  title: 'Joints',
  schema: jointsSchema,
  begin: (_others, notation) => jointsAtFirst(notation),
  catalogue: JOINTS_FINDINGS,
  constants,
  run: (part, { project, values }) => {
    const { thickness } = project.panels;
    const { stock, margin, kinds } = project.sheets;
    const sheet = sheetForSkin({ stock, margin, kinds }, thickness);
    const { frames, planked } = values.frames;
    return planJoints(panelsToCut(values), {
      ...{ frames, thickness, sheet, part: { ...part, own: [...part.own] } },
      sheetOf: (mm) => sheetForSkin({ stock, margin, kinds }, mm),
      ...(planked && { planked }),
    });
  },
  drawings: ({ project, values }) => {
    const { notation } = project;
    const mmOf = (jointed: JointedPanel) => thicknessOf(jointed, project.panels.thickness);
    // sheets of one thickness are planed together
    const thicknesses = [...new Set(values.joints.map(mmOf))];
    return thicknesses.flatMap((thickness) => {
      const alike = values.joints.filter((one) => mmOf(one) === thickness);
      const stack = planingStack(alike, { thickness, notation });
      if (!stack) return [];
      const isUsual = thickness === project.panels.thickness || thicknesses.length === 1;
      return isUsual ? [stack] : [{ ...stack, name: `${stack.name}-${thickness}mm` }];
    });
  },
  sheets: jointsSheets,
  tasks: jointsTasks,
  marksOn: (panel, whole) => jointsOnPanel(panel, whole.values.joints, strapScrewsOf(whole)),
  buys: jointsToBuy,
});
