/** What the panels stage finds: codes, the data of each, and their sentences. Limits come from what judges by them. */
import { entry, figure, word, type FindingsOf, type StageResult } from '../findings';
import { formatShare } from '../measure';
import { STRAIN_LIMITS } from './constants';

export const PANELS_FINDINGS = {
  'panel-not-made': entry(
    { panel: word, reason: word },
    ({ panel, reason }) => `The panel ${panel} could not be laid flat: ${reason}. Put its two lines right first.`,
    { panel: 'Bottom', reason: 'its lines share no length' },
  ),
  'panel-twist-high': entry(
    { panel: word, twistDeg: figure, limitDeg: figure, xMm: figure, line: word },
    ({ panel, twistDeg, limitDeg, xMm, line }, { length }) =>
      `${panel} twists ${twistDeg.toFixed(1)}° at ${length(xMm)} from the stem; ` +
      'a panel that plywood takes stays under ' +
      `${limitDeg.toFixed(0)}°. The ${line.toLowerCase()} turns more there than the other line. ` +
      'Find the smallest change, on Panels, says what would cure it; or cut the panel in two.',
    { panel: 'Bottom', twistDeg: 4.2, limitDeg: 1, xMm: 640, line: 'Keel' },
  ),
  'panel-strain': entry(
    { panel: word, strain: figure, xMm: figure },
    ({ panel, strain, xMm }, { length }) => {
      const { force } = STRAIN_LIMITS.value;
      const judgement =
        strain > force
          ? 'plywood will not: change a line, move the chine, or cut the panel in two'
          : `clamps and patience take up to ${formatShare(force, 2)}`;
      const stretch = formatShare(strain, 2);
      const where = `near ${length(xMm)} from the stem`;
      return `${panel} would have to stretch ${stretch} ${where}; ${judgement} (rule of thumb).`;
    },
    { panel: 'Bottom', strain: 0.0041, xMm: 640 },
  ),
  'panel-bend-tight': entry(
    { panel: word, radiusMm: figure, leastMm: figure, thicknessMm: figure, xMm: figure },
    ({ panel, radiusMm, leastMm, thicknessMm, xMm }, { length, sheet }) =>
      `${panel} bends to a radius of ${length(radiusMm)} at ${length(xMm)} from the stem; ` +
      `${sheet(thicknessMm)} sheet takes ` +
      `${length(leastMm)} dry. Two thinner layers, hot wet cloths or kerfs, or ease the curve.`,
    { panel: 'Bottom', radiusMm: 480, leastMm: 600, thicknessMm: 6, xMm: 300 },
  ),
  'rounding-without-corner': entry(
    { line: word },
    ({ line }) => `No two panels meet at the ${line}, so there is no corner to round. Take the rounding off.`,
    { line: 'sheer' },
  ),
  'rounding-hollow': entry(
    { line: word },
    ({ line }) => `The panels meet at the ${line} in a hollow all along; only a corner that stands out is rounded.`,
    { line: 'chine' },
  ),
  'rounding-wide': entry(
    { line: word, panel: word, xMm: figure, takesMm: figure, hasMm: figure },
    ({ line, panel, xMm, takesMm, hasMm }, { length }) =>
      `Rounding the ${line} takes ${length(takesMm)} of the ${length(hasMm)} that ${panel} has ` +
      `${length(xMm)} from the stem. ` +
      'A smaller radius there, or one that tapers.',
    { line: 'chine', panel: 'Bottom', xMm: 900, takesMm: 140, hasMm: 260 },
  ),
  'rounding-tight': entry(
    { line: word, radiusMm: figure, leastMm: figure, layerMm: figure, layers: figure },
    ({ line, radiusMm, leastMm, layerMm }, { length, sheet }) =>
      `The ${line}’s mould has a radius of ${length(radiusMm)}; a layer of ${sheet(layerMm)} bends dry to ` +
      `${length(leastMm)}. More and thinner layers, hot wet cloths, or a larger radius.`,
    { line: 'chine', radiusMm: 90, leastMm: 200, layerMm: 2, layers: 3 },
  ),
  'transom-not-flat': entry(
    { transom: word, offMm: figure },
    ({ transom, offMm }, { length }) =>
      `${transom}: the ends of the lines lie up to ${length(offMm)} off one plane. ` +
      'A flat transom needs them in line when seen from the side.',
    { transom: 'Transom', offMm: 6 },
  ),
  'transom-too-round': entry(
    { radiusMm: figure, breadthMm: figure },
    ({ radiusMm, breadthMm }, { length }) =>
      `A transom bent to a radius of ${length(radiusMm)} does not reach a half-breadth of ${length(breadthMm)}: ` +
      'it is drawn flat. A larger radius.',
    { radiusMm: 400, breadthMm: 560 },
  ),
  'transom-off-bend': entry(
    { offMm: figure, radiusMm: figure },
    ({ offMm, radiusMm }, { length }) =>
      `The ends of the lines lie up to ${length(offMm)} off a transom bent to ${length(radiusMm)}. ` +
      'End each line on it.',
    { offMm: 24, radiusMm: 2000 },
  ),
  'transom-bend-tight': entry(
    { radiusMm: figure, leastMm: figure, thicknessMm: figure, acrossMm: figure },
    ({ radiusMm, leastMm, thicknessMm, acrossMm }, { length, sheet }) =>
      `The transom bends to a radius of ${length(radiusMm)}; ${sheet(thicknessMm)} sheet with its grain athwart ` +
      `takes ${length(leastMm)} dry, with its grain upright ${length(acrossMm)}. Layers, or a larger radius.`,
    { radiusMm: 900, leastMm: 2400, thicknessMm: 9, acrossMm: 900 },
  ),
} as const;

export type PanelsFinding = FindingsOf<typeof PANELS_FINDINGS>;
export type PanelsResult<T> = StageResult<T, PanelsFinding>;
