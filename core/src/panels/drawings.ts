/**
 * What is drawn and printed of the panels: flat shapes to cut from with their marks, transoms, tables to mark out from.
 */
import {
  closedPath,
  csv,
  hole,
  openPath,
  straightPath,
  tenth,
  TEXT_MM,
  type Drawing,
  type DrawnText,
  type ExportTable,
  type PaperSheets,
  type Triangle,
} from '../formats';
import { at, boundsOf } from '../geometry';
import type { Hull, Station } from '../lines';
import { toDeg, type Notation } from '../measure';
import type { Marks } from '../stage';
import type { RoundedStrip } from './cut/rounding';
import type { PanelsValue } from './develop';
import { markingSheet } from './marking-sheet';
import { hullTriangles } from './mesh';
import type { Panel } from './panel';
import { levelMarks, markOut, stationMarks } from './reading/marking';
import { stitchesOf } from './reading/seams';
import type { PanelsPart } from './schema';
import type { Transom } from './transom/transom';

/** What is marked on a panel besides its own shape. */
export type PanelMarks = {
  readonly stations: readonly Station[];
  /** All panels of a side: holes of a seam are set from both. */
  readonly panels: readonly Panel[];
  readonly part: Pick<PanelsPart, 'stitches' | 'roundedChines' | 'waterline'>;
  /** Marks of other stages: frames, joints. */
  readonly others: readonly Marks[];
};

/**
 * A panel with its stations, waterline, holes, name and what others mark. Its drawn face is the starboard one's inside.
 */
export function panelDrawing(panel: Panel, { stations, panels, part, others }: PanelMarks): Drawing {
  const marks = stationMarks(panel, stations);
  const waterline = part.waterline === null ? [] : levelMarks(panel, part.waterline);
  const box = boundsOf(panel.outline);
  const middle = (box.minY + box.maxY) / 2;
  const hand = panel.spansCentreline ? 'inside face' : 'starboard inside, port outside';
  return {
    name: panel.id,
    title: panel.name,
    paths: [
      closedPath('cut', panel.outline),
      ...marks.map((mark) => openPath(mark.curve)),
      ...waterline.map((run) => ({ ...openPath(run), layerName: 'WATERLINE' })),
      ...stitchesOf(panel, panels, part).map((stitch) => hole(stitch.at)),
      ...others.flatMap(({ paths }) => paths),
    ],
    texts: [
      { at: [(box.minX + box.maxX) / 2 - 300, middle], heightMm: TEXT_MM, text: `${panel.name}, ${hand}` },
      { at: [box.minX + 40, middle], heightMm: TEXT_MM, text: 'FORE' },
      ...marks.map((mark): DrawnText => ({ at: at(mark.curve, 0), heightMm: TEXT_MM * 0.7, text: mark.label })),
      ...others.flatMap(({ texts }) => texts),
    ],
  };
}

function transomDrawing(transom: Transom): Drawing {
  const box = boundsOf(transom.outline);
  return {
    name: transom.id,
    title: transom.name,
    paths: [closedPath('cut', transom.outline), straightPath([0, box.minY], [0, box.maxY])],
    texts: [
      { at: [10, (box.minY + box.maxY) / 2], heightMm: TEXT_MM, text: `${transom.name}, seen from aft` },
      { at: [10, (box.minY + box.maxY) / 2 - 2 * TEXT_MM], heightMm: TEXT_MM * 0.7, text: transomFitText(transom) },
    ],
  };
}

/** Which way it is made, in words. */
const transomFitText = ({ fit, face }: Transom): string =>
  fit === 'caps'
    ? `caps the panels: they end on its ${face.toUpperCase()} face`
    : `stands between the panels: its ${face.toUpperCase()} face is flush with their ends`;

/** What the panels are drawn from. */
export type PanelsWhole = {
  readonly project: {
    readonly name: string;
    readonly revision: number;
    readonly notation: Notation;
    readonly panels: PanelsPart;
  };
  readonly values: { readonly lines: Hull; readonly panels: PanelsValue };
  /** What other stages mark on a panel. */
  readonly marksOn: (panel: Panel) => readonly Marks[];
};

/** Every panel and transom, as it is cut. */
export function panelsDrawings({ project, values, marksOn }: PanelsWhole): Drawing[] {
  const { panels, transoms } = values.panels;
  const { stations } = values.lines;
  return [
    ...panels.map((panel) => panelDrawing(panel, { stations, panels, part: project.panels, others: marksOn(panel) })),
    ...transoms.map(transomDrawing),
  ];
}

export const panelsTriangles = ({ values }: PanelsWhole): Triangle[] => hullTriangles(values.panels.panels);

/** For each panel the sheet that one marks it out from. */
export const panelsSheets = ({ project, values }: PanelsWhole): PaperSheets[] =>
  values.panels.panels.map((panel) =>
    markingSheet(panel, {
      ...{ boat: project.name, revision: project.revision, notation: project.notation, part: project.panels },
      stations: values.lines.stations,
    }),
  );

/** Offsets to mark each panel out from, and the pieces of each rounded chine. */
export const panelsTables = ({ project, values }: PanelsWhole): ExportTable[] => [
  ...values.panels.panels.map((panel) => ({
    name: `marking-${panel.id}`,
    title: `${panel.name}, offsets to mark out`,
    csv: markingCsv(panel, project.panels),
  })),
  ...values.panels.strips.map((strip) => ({
    name: `rounded-${strip.id}`,
    title: `Rounded ${strip.id}, its pieces`,
    csv: stripCsv(strip),
  })),
];

/** Offsets from the base line that the builder chose; negative is below it. */
export const markingCsv = (
  panel: Panel,
  { markingStep, markingBase }: Pick<PanelsPart, 'markingStep' | 'markingBase'>,
): string =>
  csv(
    ['along', 'lower_edge', 'upper_edge', 'corner'],
    markOut(panel, markingStep, markingBase).rows.map((row) => [
      ...[row.u, row.lower, row.upper].map(tenth),
      row.corner ?? '',
    ]),
  );

const PLACES_LISTED = 10;

/**
 * The pieces of a rounded chine, then how it stands along the line. Cuts off square: positive leaves the lower side
 * long.
 */
const stripCsv = (strip: RoundedStrip): string => {
  const degrees = (rad: number) => Number(toDeg(rad).toFixed(2));
  return [
    csv(
      ['layer', 'piece', 'length', 'width_fore', 'width_aft', 'cut_fore_deg', 'cut_aft_deg'],
      strip.pieces.map((p) => [
        p.layer,
        p.number,
        ...[p.length, p.widthFore, p.widthAft].map(tenth),
        degrees(p.cutForeRad),
        degrees(p.cutAftRad),
      ]),
    ),
    csv(
      ['x', 'turn_deg', 'radius', 'panels_stand_back', 'outside_width'],
      strip.places
        .filter((_, i) => i % PLACES_LISTED === 0)
        .map((p) => [tenth(p.x), degrees(p.turnRad), ...[p.radius, p.setback, p.outsideWidth].map(tenth)]),
    ),
  ].join('\n');
};
