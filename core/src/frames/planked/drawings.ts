/** Where the seams of a planked bottom fall on the flat panel. */
import { straightPath } from '../../formats';
import type { Panel } from '../../panels';
import type { Marks } from '../../stage';
import type { Planked } from './boards';

const LAYER = 'SEAMS';

export const seamsOnPanel = (panel: Pick<Panel, 'id'>, planked: Planked | undefined): Marks => ({
  paths:
    planked?.panel === panel.id
      ? planked.seams.map(({ ends: [a, b] }) => ({ ...straightPath(a, b), layerName: LAYER }))
      : [],
  texts: [],
});
