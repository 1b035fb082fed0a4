/**
 * Drawings for cutting, before they become a file: outlines to cut, lines to mark, words, all in true millimetres.
 *
 * Curves are polylines that keep within CURVE_MM of the computed edge. x to the right, y up.
 */
import { at, boundsOf, simplify, type Outline, type Vec2 } from '../geometry';
import type { Frame } from '../frames';
import { cutOutline } from '../frames';
import type { JointedPanel } from '../joints';
import type { Station } from '../lines';
import { levelMarks, stationMarks, stitchesOf, type Panel, type PanelsPart, type Transom } from '../panels';
import { jobPartName, placedOutline, type CutPart, type NestBatch, type UsedSheet } from '../sheets';

/** What a line is for; also the name of its layer in a file. */
export type Layer = 'cut' | 'mark' | 'text';
export type DrawnPath = {
  readonly layer: 'cut' | 'mark';
  /** A layer of its own in files that have layers. */
  readonly layerName?: string;
  readonly points: readonly Vec2[];
  readonly isClosed: boolean;
};
export type DrawnText = {
  readonly at: Vec2;
  readonly heightMm: number;
  readonly text: string;
  readonly layerName?: string;
};
export type Drawing = {
  readonly name: string;
  readonly paths: readonly DrawnPath[];
  readonly texts: readonly DrawnText[];
};

/** Half of the accuracy promised for a cut edge, 0.05 mm. */
const CURVE_MM = 0.025;
const TEXT_MM = 22;

const closed = (layer: 'cut' | 'mark', outline: Outline): DrawnPath => ({
  layer,
  points: thinned(outline),
  isClosed: true,
});
const open = (points: readonly Vec2[]): DrawnPath => ({
  layer: 'mark',
  points: simplify(points, CURVE_MM),
  isClosed: false,
});

/** A closed outline with fewer points, its start kept. */
function thinned(outline: Outline): Vec2[] {
  const middle = Math.floor(outline.length / 2);
  const first = simplify(outline.slice(0, middle + 1), CURVE_MM);
  const second = simplify([...outline.slice(middle), at(outline, 0)], CURVE_MM);
  return [...first.slice(0, -1), ...second.slice(0, -1)];
}

/** What is marked on a panel besides its own shape. */
export type PanelMarks = {
  readonly stations: readonly Station[];
  readonly frames: readonly Frame[];
  /** All panels of a side: holes of a seam are set from both. */
  readonly panels: readonly Panel[];
  readonly part: Pick<PanelsPart, 'stitches' | 'roundedChines' | 'waterline'>;
  readonly jointed?: JointedPanel | undefined;
};

const HOLE_MM = 1.5;
/** A hole, as files without circles have it. */
const hole = ([u, v]: Vec2): DrawnPath => ({
  layer: 'mark',
  layerName: 'holes',
  isClosed: true,
  points: Array.from({ length: 8 }, (_, i): Vec2 => [
    u + HOLE_MM * Math.cos((i * Math.PI) / 4),
    v + HOLE_MM * Math.sin((i * Math.PI) / 4),
  ]),
});

/**
 * A panel with its stations, both faces of its frames, joints, holes, waterline and name. Its drawn face is the
 * inside of the starboard one.
 */
export function panelDrawing(panel: Panel, { stations, frames, panels, part, jointed }: PanelMarks): Drawing {
  const marks = stationMarks(panel, stations);
  const faces = frames.flatMap(({ name, x, width, face }) => [
    { label: name, x },
    { label: '', x: x + (face === 'fore' ? width : -width) },
  ]);
  const frameMarks = stationMarks(panel, faces);
  const waterline = part.waterline === null ? [] : levelMarks(panel, part.waterline);
  const box = boundsOf(panel.outline);
  const joints = (jointed?.joints ?? []).flatMap(({ u, scarf, low, high }) =>
    [-scarf / 2, scarf / 2].map((d): DrawnPath => ({
      layer: 'mark',
      isClosed: false,
      points: [
        [u + d, low],
        [u + d, high],
      ],
    })),
  );
  const hand = panel.spansCentreline ? 'inside face' : 'starboard inside, port outside';
  return {
    name: panel.id,
    paths: [
      closed('cut', panel.outline),
      ...marks.map((mark) => open(mark.curve)),
      ...frameMarks.map((mark) => ({ ...open(mark.curve), layerName: 'frames' })),
      ...waterline.map((run) => ({ ...open(run), layerName: 'waterline' })),
      ...joints,
      ...stitchesOf(panel, panels, part).map((stitch) => hole(stitch.at)),
    ],
    texts: [
      {
        at: [(box.minX + box.maxX) / 2 - 300, (box.minY + box.maxY) / 2],
        heightMm: TEXT_MM,
        text: `${panel.name}, ${hand}`,
      },
      { at: [box.minX + 40, (box.minY + box.maxY) / 2], heightMm: TEXT_MM, text: 'FORE' },
      ...marks.map((mark): DrawnText => ({
        at: at(mark.curve, 0),
        heightMm: TEXT_MM * 0.7,
        text: mark.label,
      })),
      ...frameMarks
        .filter(({ label }) => label !== '')
        .map((mark): DrawnText => ({
          at: at(mark.curve, -1),
          heightMm: TEXT_MM * 0.5,
          text: mark.label,
          layerName: 'frames',
        })),
    ],
  };
}

/** A frame's blank, seen from its station face, with the edge of the station face where that differs. */
export function frameDrawing(frame: Frame, school: 'filleted' | 'framed', gap: number): Drawing {
  const mirror = [...frame.outline].reverse().map(([y, z]): Vec2 => [-y, z]);
  const low = Math.min(...frame.outline.map((p) => p[1]));
  const high = Math.max(...frame.outline.map((p) => p[1]));
  const face = frame.face === 'fore' ? 'FORE face' : 'AFT face';
  return {
    name: frame.id,
    paths: [
      closed('cut', cutOutline(frame, school, gap)),
      open([...mirror, ...frame.outline]),
      {
        layer: 'mark',
        isClosed: false,
        points: [
          [0, low],
          [0, high],
        ],
      },
    ],
    texts: [
      {
        at: [10, (low + high) / 2],
        heightMm: TEXT_MM,
        text: `${frame.name}, ${face} at ${Math.round(frame.x)}`,
      },
    ],
  };
}

export function transomDrawing(transom: Transom): Drawing {
  const box = boundsOf(transom.outline);
  return {
    name: transom.id,
    paths: [
      closed('cut', transom.outline),
      {
        layer: 'mark',
        isClosed: false,
        points: [
          [0, box.minY],
          [0, box.maxY],
        ],
      },
    ],
    texts: [{ at: [10, (box.minY + box.maxY) / 2], heightMm: TEXT_MM, text: `${transom.name}, aft face` }],
  };
}

/** A laid-out sheet: its edge as a mark, the parts to cut. */
export function sheetDrawing(sheet: UsedSheet, batch: NestBatch, parts: readonly CutPart[]): Drawing {
  const stock = batch.job.sheets.find((other) => other.id === sheet.id);
  if (!stock) throw new Error(`Sheet ${sheet.id} is not in its own job`);
  const placed = sheet.placements.flatMap((placement) => {
    const part = batch.job.parts.find((other) => other.id === placement.part);
    return part ? [{ placement, outline: placedOutline(part.outline, placement) }] : [];
  });
  const edge: Vec2[] = [
    [0, 0],
    [stock.width, 0],
    [stock.width, stock.height],
    [0, stock.height],
  ];
  return {
    name: `sheet-${batch.thickness}mm-${sheet.id}-${sheet.index + 1}`,
    paths: [{ layer: 'mark', points: edge, isClosed: true }, ...placed.map(({ outline }) => closed('cut', outline))],
    texts: placed.map(({ placement, outline }): DrawnText => {
      const box = boundsOf(outline);
      return {
        at: [(box.minX + box.maxX) / 2 - 150, (box.minY + box.maxY) / 2],
        heightMm: TEXT_MM,
        text: jobPartName(placement.part, parts),
      };
    }),
  };
}

export function drawingBounds(drawing: Drawing) {
  return boundsOf(drawing.paths.flatMap((path) => path.points));
}

/** The drawing with the revision on it: after its name, or after every part's on a sheet that is cut from. */
export const stamped = (drawing: Drawing, revision: number, which: 'name' | 'every part' = 'name'): Drawing => ({
  ...drawing,
  texts: drawing.texts.map((text, i) =>
    i === 0 || which === 'every part' ? { ...text, text: `${text.text}, rev ${revision}` } : text,
  ),
});
