/** Panels: will plywood take this shape, and what do I mark out? */
import type { Hull } from '../lines';
import { defineStage } from '../stage';
import * as constants from './constants';
import { assembleSkin } from './develop';
import { panelsDrawings, panelsSheets, panelsTables, panelsTriangles, type PanelsWhole } from './drawings';
import { PANELS_FINDINGS } from './findings';
import { panelsAtFirst, panelsSchema } from './schema';
import { skinAsked, type SkinProject } from './skin';
import { panelsTasks } from './tasks';

type Before = { readonly project: SkinProject; readonly values: { readonly lines: Hull } };

export const panelsStage = defineStage<{ before: Before; whole: PanelsWhole }>()({
  name: 'panels',
  title: 'Panels',
  schema: panelsSchema,
  begin: panelsAtFirst,
  catalogue: PANELS_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { settings, stock } = skinAsked(part, project);
    return assembleSkin(values.lines, settings, stock, remember);
  },
  drawings: panelsDrawings,
  sheets: panelsSheets,
  tables: panelsTables,
  triangles: panelsTriangles,
  tasks: panelsTasks,
});
