/** Weights: will she float as drawn? */
import type { Takeoff } from '../epoxy';
import type { InsidePart, InsideValue } from '../fitout';
import type { FramesValue } from '../frames';
import { depthOfInside, type Panel, type PanelsPart, type PanelsValue } from '../panels';
import { asItIs, defineStage } from '../stage';
import type { JointedPanel } from '../joints';
import type { CutPart } from '../sheets';
import type { TimberValue } from '../timber';
import * as constants from './constants';
import { WEIGHTS_FINDINGS } from './findings';
import { hullSolid } from './hull-solid';
import { itemsOf } from './items';
import { judgeWeights } from './judge';
import { weightsAtFirst, weightsSchema } from './schema';
import { floatMarks, weightsSheets, weightsTables, type WeightsWhole } from './tables';
import { weighAndFloat } from './value';

type Before = {
  readonly project: {
    readonly panels: Pick<PanelsPart, 'thickness' | 'transomThickness' | 'linesTo'>;
    readonly fitout: Pick<InsidePart, 'people'>;
  };
  readonly values: {
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly fitout: Pick<InsideValue, 'parts' | 'walls' | 'blocks' | 'knees' | 'stems'>;
    readonly timber: Pick<TimberValue, 'runs'>;
    readonly joints: readonly JointedPanel[];
    readonly sheets: { readonly parts: readonly CutPart[] };
    readonly epoxy: Pick<Takeoff, 'lines' | 'seams' | 'coats' | 'weight'>;
  };
};

export const weightsStage = defineStage<{ before: Before; whole: WeightsWhole; panel: Panel }>()({
  name: 'weights',
  title: 'Weights',
  schema: weightsSchema,
  begin: weightsAtFirst,
  catalogue: WEIGHTS_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { thickness, transomThickness, linesTo } = project.panels;
    const { panels, transoms } = values.panels;
    const outMm = thickness - depthOfInside({ thickness, linesTo });
    const solid = remember('solid', hullSolid, panels, outMm);
    const items = remember(
      'items',
      asItIs,
      itemsOf(
        {
          ...{ panels: { panels, transoms }, frames: values.frames, inside: values.fitout, timber: values.timber },
          ...{ cut: values.sheets.parts, jointed: values.joints },
          takeoff: values.epoxy,
          skin: { thickness, transomThickness, outMm },
        },
        { ...part },
      ),
    );
    const own = remember('loads', asItIs, { loads: [...part.loads], water: part.water });
    const value = remember('afloat', weighAndFloat, items, own, remember('hull', asItIs, { panels, solid }));
    return { value, findings: judgeWeights(value, own), assumed: [] };
  },
  tables: weightsTables,
  sheets: weightsSheets,
  marksOn: floatMarks,
});
