/** What is wrong with a panel: too much twist, too much stretch, too tight a bend for its sheet. */
import { at } from '../geometry';
import { MM_PER_INCH } from '../measure';
import { battenAt, type HullLine } from '../lines';
import { twistOf } from '../surface';
import { leastRadius } from './bending';
import { STRAIN_LIMITS, THINNEST_LAYER, TWIST_LIMIT_DEG } from './constants';
import { layersOf, withLayers } from './cut/layers';
import { thicknessOf } from './cut/own-sheet';
import type { PanelsFinding } from './findings';
import { panelIdOf, placeOnRow, type PanelInput } from './inputs';
import type { Extreme, Panel } from './panel';
import { MOST_LAYERS, type PanelsPart } from './schema';

type Sheets = Pick<PanelsPart, 'thickness' | 'layered'>;

/** What is wrong with one panel for the sheet, or the layers, that it is made of. */
export function judgePanel(panel: Panel, input: PanelInput, sheets: Sheets): PanelsFinding[] {
  const findings: PanelsFinding[] = [];
  const where = (extreme: Extreme) => ({ stage: 'panels', panel: panel.id, x: extreme.x }) as const;
  if (panel.maxTwist.value > TWIST_LIMIT_DEG.value) {
    findings.push({
      severity: panel.maxStrain.value > STRAIN_LIMITS.value.force ? 'stop' : 'check',
      code: 'panel-twist-high',
      where: where(panel.maxTwist),
      data: {
        panel: panel.name,
        twistDeg: panel.maxTwist.value,
        limitDeg: TWIST_LIMIT_DEG.value,
        xMm: panel.maxTwist.x,
        line: lineToMove(panel, input).name,
      },
    });
  }
  if (panel.maxStrain.value > STRAIN_LIMITS.value.joints) {
    findings.push({
      severity: panel.maxStrain.value > STRAIN_LIMITS.value.force ? 'stop' : 'check',
      code: 'panel-strain',
      where: where(panel.maxStrain),
      data: { panel: panel.name, strain: panel.maxStrain.value, xMm: panel.maxStrain.x },
    });
  }
  return [...findings, ...judgeBend(panel, sheets)];
}

/** The line whose tangent turns more out of the plane through the ruling and the mean of both tangents. */
function lineToMove(panel: Panel, input: PanelInput): HullLine {
  const { s, t, p, q } = at(panel.rulings, panel.maxTwist.rulingIndex);
  const turn = ({ line, t: u }: { line: HullLine; t: number }) => {
    const before = battenAt(line.batten, Math.max(0, u - 0.03));
    const after = battenAt(line.batten, Math.min(1, u + 0.03));
    return Math.abs(twistOf(p, before.first, q, after.first));
  };
  const [lower, upper] = [placeOnRow(input.rows[0], s), placeOnRow(input.rows[1], t)];
  return (turn(lower) >= turn(upper) ? lower : upper).line;
}

function judgeBend(panel: Panel, { thickness: usual, layered }: Sheets): PanelsFinding[] {
  const thickness = thicknessOf(panel, usual);
  const bend = panel.minBendRadius;
  if (!bend) return [];
  const ruling = at(panel.rulings, bend.rulingIndex);
  // the grain runs along u; bending happens square to the ruling
  const alongRuling = Math.atan2(ruling.flatQ[1] - ruling.flatP[1], ruling.flatQ[0] - ruling.flatP[0]);
  const leastOf = (count: number) => leastRadius(thickness / count, alongRuling - Math.PI / 2);
  const now = layersOf(panel.id, layered);
  const [least, thicknessMm] = [leastOf(now), thickness / now];
  if (bend.value >= least) return [];
  const data = { panel: panel.name, radiusMm: bend.value, leastMm: least, thicknessMm, xMm: bend.x };
  return [
    {
      severity: 'check',
      code: 'panel-bend-tight',
      where: { stage: 'panels', panel: panel.id, x: bend.x },
      data,
      ...inLayers(panel, { thickness, layered }, { now, isEnough: (count) => bend.value >= leastOf(count) }),
    },
  ];
}

type Laying = { readonly now: number; readonly isEnough: (count: number) => boolean };

/** Plywood is sold in whole millimetres, and by the sixteenth of an inch. */
const isSold = (mm: number): boolean =>
  [mm, (mm / MM_PER_INCH) * SIXTEENTHS].some((count) => Math.abs(count - Math.round(count)) < SOLD_WITHIN);
const SIXTEENTHS = 16;
const SOLD_WITHIN = 1e-6;

/** The fewest layers that take the bend: of a thickness that is sold, if there is one. */
function inLayers(
  panel: Panel,
  { thickness, layered }: Sheets,
  { now, isEnough }: Laying,
): Pick<PanelsFinding, 'remedies'> {
  const counts = Array.from({ length: MOST_LAYERS }, (_, k) => k + 1).filter(
    (count) => count > now && thickness / count >= THINNEST_LAYER.value && isEnough(count),
  );
  const count = counts.find((some) => isSold(thickness / some)) ?? counts[0];
  if (count === undefined) return {};
  const edits = [{ path: ['panels', 'layered'], value: withLayers(layered, panel.id, count) }];
  return { remedies: [{ label: `Lay it in ${count} layers`, edits }] };
}

/** For one that could not be made at all. */
export const notMade = (input: PanelInput, reason: string): PanelsFinding => ({
  severity: 'stop',
  code: 'panel-not-made',
  where: { stage: 'panels', panel: panelIdOf(input) },
  data: { panel: input.name, reason },
});
