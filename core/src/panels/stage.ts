/** Panels: will plywood take this shape, and what do I mark out? */
import type { Hull } from '../lines';
import { defineStage } from '../stage';
import * as constants from './constants';
import { assembleSkin, type StockForStrips } from './develop';
import { panelsDrawings, panelsSheets, panelsTables, panelsTriangles, type PanelsWhole } from './drawings';
import { PANELS_FINDINGS } from './findings';
import { panelsAtFirst, panelsSchema } from './schema';

type Before = {
  readonly project: {
    readonly sheets: StockForStrips;
    /** A transom that stands between the panels has its edges made as frames have. */
    readonly school: string;
    readonly frames: { readonly filletGap: number };
  };
  readonly values: { readonly lines: Hull };
};

export const panelsStage = defineStage<{ before: Before; whole: PanelsWhole }>()({
  name: 'panels',
  title: 'Panels',
  schema: panelsSchema,
  begin: panelsAtFirst,
  catalogue: PANELS_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { thickness, transomThickness, linesTo, meeting, roundedChines, splits, transomRadius } = part;
    const { transomFit, transomEnds } = part;
    const settings = {
      ...{ thickness, transomThickness, linesTo, meeting, roundedChines, splits, transomRadius },
      ...{ transomFit, transomEnds },
      transomGap: transomFit === 'between' && project.school === 'filleted' ? project.frames.filletGap : null,
    };
    // only the strips of rounded chines are cut from what is in stock
    const { stock, gap } = roundedChines.length > 0 ? project.sheets : { stock: [], gap: 0 };
    return assembleSkin(values.lines, settings, { stock, gap }, remember);
  },
  drawings: panelsDrawings,
  sheets: panelsSheets,
  tables: panelsTables,
  triangles: panelsTriangles,
});
