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
import { at, boundsOf, type Outline, type Vec2 } from '../geometry';
import { formatWithUnit, type Notation } from '../measure';
import { planeMark, type Panel } from '../panels';
import type { Marks } from '../stage';
import { asSeen, cutAsSeen, type Frame } from './frame';
import type { FramesValue } from './judge';
import { frameMaterial } from './material';
import { planeOf } from './section';

/** A frame's blank, seen from its station face, with the edge of the station face where that differs. */
function frameDrawing(frame: Frame, notation: Notation): Drawing {
  const low = Math.min(...frame.outline.map((p) => p[1]));
  const high = Math.max(...frame.outline.map((p) => p[1]));
  const face = faceWord(frame);
  const { outline, holes } = cutAsSeen(frame);
  const at = wordsAt(frame, outline);
  return {
    name: frame.id,
    title: frame.name,
    hand: `${toCut(frame)}, ${face}`,
    material: frameMaterial(frame, notation),
    paths: [
      closedPath('cut', outline),
      ...holes.map((hole) => closedPath('cut', hole)),
      ...faceCurves(frame).map((curve) => openPath(curve)),
      ...(frame.hand === 'across' ? [straightPath([0, low], [0, high])] : []),
    ],
    texts: [
      { at, heightMm: TEXT_MM, text: frame.name },
      { at: below(at, 2), heightMm: TEXT_MM * 0.7, text: face },
      { at: below(at, 3.4), heightMm: TEXT_MM * 0.7, text: `at ${formatWithUnit(frame.x, notation)}` },
    ],
  };
}

const below = ([x, y]: Vec2, lines: number): Vec2 => [x, y - lines * TEXT_MM];

const faceWord = ({ face }: Pick<Frame, 'face'>): string => (face === 'fore' ? 'FORE face' : 'AFT face');

/** How many, and of which hand: a pair is drawn as its starboard part. */
export const toCut = ({ hand }: Pick<Frame, 'hand'>): string =>
  ({ across: '1 to cut', pair: '1 starboard, 1 port (mirrored)', starboard: '1 starboard', port: '1 port' })[hand];

/** Beside the centreline, which would cross the words, or in the middle of a part to one side of it. */
function wordsAt(frame: Frame, outline: Outline): Vec2 {
  const box = boundsOf(outline);
  const middle = (box.minY + box.maxY) / 2;
  return frame.hand === 'across' ? [10, middle] : [box.minX + (box.maxX - box.minX) * 0.2, middle];
}

/**
 * Of a frame the edge of the station face at the skin, or another curve of its starboard half, as it is seen from that
 * face: on both sides, or on the part's own.
 */
export function faceCurves(frame: Pick<Frame, 'face' | 'outline' | 'hand'>, half = frame.outline): Vec2[][] {
  const starboard = half.map((p) => asSeen(frame, p));
  const port = half.map(([y, z]) => asSeen(frame, [-y, z]));
  switch (frame.hand) {
    case 'across':
      return [[...[...port].reverse(), ...starboard]];
    case 'port':
      return [port];
    default:
      return [starboard];
  }
}

/** Where a frame's two faces stand; its name goes with the station face. */
export function framesOnPanel(panel: Panel, frames: readonly Frame[]): Marks {
  const marks = frames.flatMap((frame) => {
    const { normal, level } = planeOf(frame);
    const otherFace = frame.face === 'fore' ? frame.width : -frame.width;
    return [
      { label: frame.name, curve: planeMark(panel, { normal, level }) },
      { label: '', curve: planeMark(panel, { normal, level: level + otherFace }) },
    ].filter(({ curve }) => curve.length > 1);
  });
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
  readonly project: { readonly notation: Notation };
  readonly values: { readonly frames: FramesValue };
  readonly sheetHead: SheetHead;
};

export const framesDrawings = ({ project, values }: FramesWhole): Drawing[] =>
  values.frames.frames.map((frame) => frameDrawing(frame, project.notation));

export const framesTables = ({ project, values }: FramesWhole): ExportTable[] =>
  values.frames.frames.map((frame) => ({
    name: frame.id,
    title: `${frame.name}, its edges and bevels`,
    csv: frameCsv(frame, project.notation),
  }));
