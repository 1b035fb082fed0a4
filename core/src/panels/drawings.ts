/**
 * What is drawn and printed of the panels: flat shapes to cut from with their marks, transoms, tables to mark out from.
 */
import {
  carried,
  closedPath,
  csv,
  hole,
  openPath,
  straightPath,
  lengthCell,
  lengthHead,
  TEXT_MM,
  type Drawing,
  type DrawnPath,
  type DrawnText,
  type ExportTable,
  type PaperSheets,
  type SheetHead,
  type Triangle,
} from '../formats';
import { at, boundsOf, crossings, type Outline, type Vec2 } from '../geometry';
import type { Hull, Station } from '../lines';
import { formatThickness, toDeg, type Notation } from '../measure';
import type { Marks } from '../stage';
import { cutLineOf, type Proud } from './cut/cut-line';
import { cutOf } from './cut/layers';
import { thicknessOf } from './cut/own-sheet';
import type { RoundedStrip } from './cut/rounding';
import type { PanelsValue } from './develop';
import { faceOf, handOf, markingSheet } from './marking-sheet';
import { hullTriangles } from './mesh';
import type { Panel } from './panel';
import { flatOnto } from './reading/on-surface';
import { levelMarks, markingOf, stationMarks, type MarkingAsked } from './reading/marking';
import { stitchesOf } from './reading/seams';
import type { PanelsPart } from './schema';
import type { Transom } from './transom/transom';
import { transomSheet } from './transom/transom-sheet';

/** What is marked on a panel besides its own shape. */
export type PanelMarks = {
  readonly stations: readonly Station[];
  /** All panels of a side: holes of a seam are set from both. */
  readonly panels: readonly Panel[];
  readonly part: Pick<PanelsPart, 'stitches' | 'roundedChines' | 'waterline' | 'thickness'>;
  /** Marks of other stages: frames, joints. */
  readonly others: readonly Marks[];
  readonly notation: Notation;
};

/**
 * A panel with its stations, waterline, holes, name and what others mark. Its drawn face is the starboard one's inside.
 */
export function panelDrawing(panel: Panel, { stations, panels, part, others, notation }: PanelMarks): Drawing {
  const marks = stationMarks(panel, stations);
  const waterline = part.waterline === null ? [] : levelMarks(panel, part.waterline);
  const box = boundsOf(panel.outline);
  const middle = (box.minY + box.maxY) / 2;
  const fore = foreOn(panel.outline);
  const both = panel.spansCentreline ? 'inside face' : 'starboard inside, port outside';
  const hand = panel.only ? `${panel.only} ${faceOf(panel.only)}` : both;
  return {
    name: panel.id,
    title: panel.name,
    hand: handOf(panel),
    material: plywood(thicknessOf(panel, part.thickness), notation),
    paths: [
      closedPath('cut', cutLineOf(panel)),
      ...netLines(panel),
      ...marks.map((mark) => openPath(mark.curve)),
      ...waterline.map((run) => ({ ...openPath(run), layerName: 'WATERLINE' })),
      ...stitchesOf(panel, panels, part).map((stitch) => hole(stitch.at)),
      ...others.flatMap(({ paths }) => paths),
      ...foreArrow(fore),
    ],
    texts: [
      { at: [(box.minX + box.maxX) / 2 - 300, middle], heightMm: TEXT_MM, text: `${panel.name}, ${hand}` },
      { at: fore, heightMm: TEXT_MM, text: 'FORE' },
      ...marks.map((mark): DrawnText => ({ at: at(mark.curve, 0), heightMm: TEXT_MM * 0.7, text: mark.label })),
      ...others.flatMap(({ texts }) => texts),
    ],
  };
}

/** What is trimmed to. */
const netLines = ({ proud }: { readonly proud?: Proud }): DrawnPath[] =>
  (proud?.net ?? []).map((points) => ({ ...openPath(points), layerName: 'NET' }));

const plywood = (thickness: number, notation: Notation): string => `${formatThickness(thickness, notation)} plywood`;

const transomHand = (transom: Transom): string => `1 to cut, seen from aft; ${transomFitText(transom)}`;

function transomDrawing(transom: Transom, thickness: number, notation: Notation): Drawing {
  const box = boundsOf(transom.outline);
  return {
    name: transom.id,
    title: transom.name,
    hand: transomHand(transom),
    material: plywood(thickness, notation),
    paths: [closedPath('cut', cutLineOf(transom)), ...netLines(transom), straightPath([0, box.minY], [0, box.maxY])],
    texts: [
      { at: [10, (box.minY + box.maxY) / 2], heightMm: TEXT_MM, text: `${transom.name}, seen from aft` },
      { at: [10, (box.minY + box.maxY) / 2 - 2 * TEXT_MM], heightMm: TEXT_MM * 0.7, text: transomFitText(transom) },
    ],
  };
}

/** The word and the arrow under it take up so much. */
const FORE_MM = { width: 6 * TEXT_MM, height: 3 * TEXT_MM } as const;
const FORE_STEP_MM = 20;

/** Where the word stands: as near to the fore end as the panel is deep enough. */
function foreOn(outline: Outline): Vec2 {
  const box = boundsOf(outline);
  const ring = [...outline, at(outline, 0)];
  const depthAt = (u: number) => {
    const vs = crossings(ring, 0, u).map((p) => p[1]);
    return vs.length === 0 ? { low: 0, high: 0 } : { low: Math.min(...vs), high: Math.max(...vs) };
  };
  for (let u = box.minX + FORE_STEP_MM; u + FORE_MM.width < box.maxX; u += FORE_STEP_MM) {
    const ends = [depthAt(u), depthAt(u + FORE_MM.width)];
    const low = Math.max(...ends.map((end) => end.low));
    const high = Math.min(...ends.map((end) => end.high));
    if (high - low > FORE_MM.height) return [u, (low + high) / 2];
  }
  return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
}

/** Under the word: which way forward is. */
function foreArrow([x, word]: Vec2): DrawnPath[] {
  const head = TEXT_MM * 0.7;
  const y = word - head;
  const lines: Vec2[][] = [
    [
      [x + 5 * TEXT_MM, y],
      [x, y],
    ],
    [
      [x + head, y + head / 2],
      [x, y],
      [x + head, y - head / 2],
    ],
  ];
  return lines.map((points) => ({ layer: 'mark', only: 'paper', points, isClosed: false }));
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
  readonly sheetHead: SheetHead;
};

/** Every panel and transom, as it is cut. */
export function panelsDrawings({ project, values, marksOn }: PanelsWhole): Drawing[] {
  const { panels, transoms } = values.panels;
  const { stations } = values.lines;
  return [
    ...panels.flatMap((whole) =>
      cutOf(whole).map((panel) =>
        panelDrawing(panel, {
          // what is marked on a panel goes on its inside layer; what lies between the layers has only its joints
          ...{ stations, panels: isMarked(panel) ? panels.map((one) => (one === whole ? panel : one)) : [] },
          ...{ part: project.panels, others: othersOn(panel, whole, marksOn), notation: project.notation },
        }),
      ),
    ),
    ...transoms.map((transom) => transomDrawing(transom, project.panels.transomThickness, project.notation)),
  ];
}

const isMarked = ({ layer }: Panel): boolean => layer === undefined || layer.number === 1;

/** The marks of other stages: of a layer its own, and on the inside one what is marked on the panel. */
function othersOn(panel: Panel, whole: Panel, marksOn: PanelsWhole['marksOn']): readonly Marks[] {
  if (!panel.layer || !isMarked(panel)) return marksOn(panel);
  const over = flatOnto(whole, panel);
  const ofWhole = marksOn(whole).map(({ paths, texts }) => ({
    paths: paths.map((path) => carried(path, over)),
    texts: texts.map((text) => ({ ...text, at: over(text.at) })),
  }));
  return [...ofWhole, ...marksOn(panel)];
}

export const panelsTriangles = ({ values }: PanelsWhole): Triangle[] => hullTriangles(values.panels.panels);

/** For each panel and transom the sheet that one marks it out from. */
export const panelsSheets = ({ project, values, sheetHead: head }: PanelsWhole): PaperSheets[] => [
  ...values.panels.panels
    .flatMap(cutOf)
    .map((panel) => markingSheet(panel, { head, part: project.panels, stations: values.lines.stations })),
  ...values.panels.transoms.map((transom) =>
    transomSheet(transom, { head, thickness: project.panels.transomThickness, hand: transomHand(transom) }),
  ),
];

/** Offsets to mark each panel out from, and the pieces of each rounded chine. */
export const panelsTables = ({ project, values }: PanelsWhole): ExportTable[] => [
  ...values.panels.panels.flatMap(cutOf).map((panel) => ({
    name: `marking-${panel.id}`,
    title: `${panel.name}, offsets to mark out`,
    csv: markingCsv(panel, project.panels, project.notation),
  })),
  ...values.panels.strips.map((strip) => ({
    name: `rounded-${strip.id}`,
    title: `Rounded ${strip.id}, its pieces`,
    csv: stripCsv(strip, project.notation),
  })),
];

/** Offsets from the base line that the builder chose; negative is below it. */
export const markingCsv = (panel: Panel, part: MarkingAsked, notation: Notation): string =>
  csv(
    [...['along', 'lower_edge', 'upper_edge'].map((name) => lengthHead(name, notation)), 'corner'],
    markingOf(panel, part).rows.map((row) => [
      ...[row.u, row.lower, row.upper].map((mm) => lengthCell(mm, notation)),
      row.corner ?? '',
    ]),
  );

const PLACES_LISTED = 10;

/**
 * The pieces of a rounded chine, then how it stands along the line. Cuts off square: positive leaves the lower side
 * long.
 */
const stripCsv = (strip: RoundedStrip, notation: Notation): string => {
  const head = (name: string) => lengthHead(name, notation);
  const cell = (mm: number) => lengthCell(mm, notation);
  const degrees = (rad: number) => Number(toDeg(rad).toFixed(2));
  return [
    csv(
      ['layer', 'piece', ...['length', 'width_fore', 'width_aft'].map(head), 'cut_fore_deg', 'cut_aft_deg'],
      strip.pieces.map((p) => [
        p.layer,
        p.number,
        ...[p.length, p.widthFore, p.widthAft].map(cell),
        degrees(p.cutForeRad),
        degrees(p.cutAftRad),
      ]),
    ),
    csv(
      [head('x'), 'turn_deg', ...['radius', 'panels_stand_back', 'outside_width'].map(head)],
      strip.places
        .filter((_, i) => i % PLACES_LISTED === 0)
        .map((p) => [cell(p.x), degrees(p.turnRad), ...[p.radius, p.setback, p.outsideWidth].map(cell)]),
    ),
  ].join('\n');
};
