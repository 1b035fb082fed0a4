/** Panels: will plywood take this shape, and what do I mark out? */
import type { Hull } from '../lines';
import { defineStage } from '../stage';
import * as constants from './constants';
import type { OutsideLog } from './cut/cut';
import { assembleSkin, type StockForStrips } from './develop';
import { panelsDrawings, panelsSheets, panelsTables, panelsTriangles, type PanelsWhole } from './drawings';
import { PANELS_FINDINGS } from './findings';
import { panelsAtFirst, panelsSchema } from './schema';

type Before = {
  readonly project: {
    readonly sheets: StockForStrips;
    /** A transom that stands between the panels has its edges made as frames have. */
    readonly school: string;
    /** Timbers along the hull: one in a corner on the outside has the panel below it run on under it. */
    readonly frames: { readonly filletGap: number; readonly members: readonly LongTimber[] };
  };
  readonly values: { readonly lines: Hull };
};

type LongTimber = {
  readonly line: string;
  readonly on: 'above' | 'below' | 'centre';
  readonly side: 'inside' | 'outside';
  readonly away: number;
  readonly depth: number;
  readonly from: number | null;
  readonly to: number | null;
};

/** Those that lie in a corner on the outside, from end to end. */
const outsideLogs = (members: readonly LongTimber[]): OutsideLog[] =>
  members.flatMap(({ line, on, side, away, depth, from, to }) =>
    side === 'outside' && on !== 'centre' && away === 0 && from === null && to === null
      ? [{ line, on, depthMm: depth }]
      : [],
  );

export const panelsStage = defineStage<{ before: Before; whole: PanelsWhole }>()({
  name: 'panels',
  title: 'Panels',
  schema: panelsSchema,
  begin: panelsAtFirst,
  catalogue: PANELS_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { thickness, transomThickness, linesTo, meeting, roundedChines, splits, transomRadius } = part;
    const { transomFit, transomEnds, proud, ownProud, transomProud } = part;
    const settings = {
      ...{ thickness, transomThickness, linesTo, meeting, roundedChines, splits, transomRadius },
      ...{ transomFit, transomEnds, proud, ownProud, transomProud, outsideLogs: outsideLogs(project.frames.members) },
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
