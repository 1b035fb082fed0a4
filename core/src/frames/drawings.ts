/**
 * What is drawn and printed of the frames: each one's blank, its edges as a table, and both its faces on the panels.
 */
import {
  closedPath,
  csv,
  openPath,
  straightPath,
  lengthCell,
  lengthHead,
  TEXT_MM,
  type Drawing,
  type DrawnText,
  type ExportTable,
  type SheetHead,
} from '../formats';
import { at, type Vec2 } from '../geometry';
import { formatWithUnit, type Notation } from '../measure';
import { stationMarks, type Panel } from '../panels';
import type { Marks } from '../stage';
import { cutOutline, type Frame } from './frame';
import { frameMaterial } from './material';
import type { FramesPart, School } from './schema';

type FrameDrawnIn = { readonly school: School; readonly gap: number; readonly notation: Notation };

/** A frame's blank, seen from its station face, with the edge of the station face where that differs. */
function frameDrawing(frame: Frame, { school, gap, notation }: FrameDrawnIn): Drawing {
  const mirror = [...frame.outline].reverse().map(([y, z]): Vec2 => [-y, z]);
  const low = Math.min(...frame.outline.map((p) => p[1]));
  const high = Math.max(...frame.outline.map((p) => p[1]));
  const face = frame.face === 'fore' ? 'FORE face' : 'AFT face';
  const middle = (low + high) / 2;
  return {
    name: frame.id,
    title: frame.name,
    hand: `1 to cut, ${face}`,
    material: frameMaterial(frame, school, notation),
    paths: [
      closedPath('cut', cutOutline(frame, school, gap)),
      openPath([...mirror, ...frame.outline]),
      straightPath([0, low], [0, high]),
    ],
    // to the right of the centreline, which it would be crossed by
    texts: [
      { at: [10, middle], heightMm: TEXT_MM, text: frame.name },
      { at: [10, middle - 2 * TEXT_MM], heightMm: TEXT_MM * 0.7, text: face },
      { at: [10, middle - 3.4 * TEXT_MM], heightMm: TEXT_MM * 0.7, text: `at ${formatWithUnit(frame.x, notation)}` },
    ],
  };
}

/** Where a frame's two faces stand; its name goes with the station face. */
export function framesOnPanel(panel: Panel, frames: readonly Frame[]): Marks {
  const faces = frames.flatMap(({ name, x, width, face }) => [
    { label: name, x },
    { label: '', x: x + (face === 'fore' ? width : -width) },
  ]);
  const marks = stationMarks(panel, faces);
  return {
    paths: marks.map((mark) => ({ ...openPath(mark.curve), layerName: 'FRAMES' })),
    texts: marks
      .filter(({ label }) => label !== '')
      .map(({ curve, label }): DrawnText => ({
        at: at(curve, -1),
        heightMm: TEXT_MM * 0.55,
        text: label,
        layerName: 'FRAMES',
      })),
  };
}

const frameCsv = (frame: Frame, notation: Notation): string =>
  csv(
    [
      'edge',
      ...['half_breadth', 'height'].map((name) => lengthHead(name, notation)),
      'bevel_deg',
      lengthHead('other_face_offset', notation),
    ],
    frame.edges.flatMap((edge) =>
      edge.points.map((p) => [
        edge.panelName,
        lengthCell(p.y, notation),
        lengthCell(p.z, notation),
        Number(p.bevelDeg.toFixed(2)),
        lengthCell(p.otherFaceOffset, notation),
      ]),
    ),
  );

/** What the frames are drawn from. */
export type FramesWhole = {
  readonly project: { readonly school: School; readonly frames: FramesPart; readonly notation: Notation };
  readonly values: { readonly frames: readonly Frame[] };
  readonly sheetHead: SheetHead;
};

export const framesDrawings = ({ project, values }: FramesWhole): Drawing[] =>
  values.frames.map((frame) =>
    frameDrawing(frame, { school: project.school, gap: project.frames.filletGap, notation: project.notation }),
  );

export const framesTables = ({ project, values }: FramesWhole): ExportTable[] =>
  values.frames.map((frame) => ({
    name: frame.id,
    title: `${frame.name}, its edges and bevels`,
    csv: frameCsv(frame, project.notation),
  }));
