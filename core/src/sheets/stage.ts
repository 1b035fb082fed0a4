/** Sheets: how many, and what goes where? */
import type { FramesValue } from '../frames';
import type { InsideValue } from '../fitout';
import type { JointedPanel } from '../joints';
import type { PanelsPart, PanelsValue } from '../panels';
import { asItIs, defineStage } from '../stage';
import { sheetsToBuy, type BuyingSheets } from './buys';
import * as constants from './constants';
import { sheetsDrawings, sheetsTables } from './drawings';
import { SHEETS_FINDINGS } from './findings';
import { judgeLayouts } from './judge';
import { layOut } from './layouts';
import type { MarksWhole } from './part-marks';
import { nestBatches } from './batches';
import { listParts, type CutPart } from './parts';
import { sheetsAtFirst, sheetsSchema } from './schema';
import { sheetsSheets, type SheetsOnPaper } from './sheets';
import { sheetsTasks } from './tasks';

type Before = {
  readonly project: {
    readonly panels: Pick<PanelsPart, 'thickness' | 'transomThickness'>;
  };
  readonly values: {
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly fitout: InsideValue;
    readonly joints: readonly JointedPanel[];
  };
};

export const sheetsStage = defineStage<{ before: Before; whole: SheetsOnPaper & MarksWhole & BuyingSheets }>()({
  name: 'sheets',
  title: 'Sheets',
  schema: sheetsSchema,
  begin: sheetsAtFirst,
  catalogue: SHEETS_FINDINGS,
  constants,
  run: ({ stock, gap, margin, kinds, scribed, spares, laid, stacked }, { project, values }, remember) => {
    const { thickness, transomThickness } = project.panels;
    const parts = listParts({
      jointed: values.joints,
      transoms: values.panels.transoms,
      frames: values.frames.frames,
      girders: values.frames.girders,
      inside: values.fitout.all,
      thickness,
      transomThickness,
      ...{ kinds, scribed, spares },
    }).map((part) => remember(`part ${part.id}`, asItIs<CutPart>, part));
    const { value: batches, findings, assumed } = nestBatches(parts, { stock, gap, margin, laid, stacked });
    return { value: { parts, batches }, findings, assumed };
  },
  search: ({ project, values }, rounds) => layOut(values.sheets.batches, project.sheets.seed, rounds),
  judgeFound: ({ project, values, found }) => judgeLayouts(values.sheets, found.sheets ?? [], project.sheets.stock),
  drawings: sheetsDrawings,
  sheets: sheetsSheets,
  tables: sheetsTables,
  buys: sheetsToBuy,
  tasks: sheetsTasks,
});
