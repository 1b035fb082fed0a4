/**
 * What is drawn and printed of the frames: each one's blank, its edges as a table, and both its faces on the panels.
 */
import {
  closedPath,
  csv,
  openPath,
  roomInside,
  straightPath,
  lengthCell,
  lengthHead,
  TEXT_MM,
  type Drawing,
  type DrawnText,
  type ExportTable,
  type SheetHead,
} from '../formats';
import {
  at,
  boundsOf,
  distance2,
  footOn,
  lerp2,
  pointAtLength,
  polylineLength,
  simplify,
  type Region,
  type Vec2,
} from '../geometry';
import { formatThickness, formatWithUnit, type Notation } from '../measure';
import { planeMark, type Panel } from '../panels';
import type { Marks } from '../stage';
import { asSeen, cutAsSeen, isSolid, netAsSeen, reaches, type Frame } from './frame';
import type { FramesValue } from './judge';
import type { MemberRun } from './member';
import { frameMaterial } from './material';
import { plotOf } from './plotting';
import { mitreDeg, type RollingBevel } from './rolling-bevel';
import { bevelStick } from './bevel-stick';
import { girderDrawings } from './girder/drawings';
import { planeOf } from './section';
import { FASTENING_NAMES } from './fastenings/names';
import type { ScrewRow } from './fastenings/screws';
import { pinPath, pinsOf, pinsOnFrame } from './pins';
import { plyPartsOfFrame, rimsOfGirder, type PlyPart } from './ply-parts';
import type { FramesPart } from './schema';
import type { Taken } from './taken/shape';
import { handWords } from './timber/words';

/** A frame's blank, seen from its station face, with the edge of the station face where that differs. */
function frameDrawing(frame: Frame, { notation, frames: { pins } }: FramesWhole['project']): Drawing {
  const low = Math.min(...frame.outline.map((p) => p[1]));
  const high = Math.max(...frame.outline.map((p) => p[1]));
  const face = faceWord(frame);
  const cut = cutAsSeen(frame);
  const { outline, holes } = cut;
  return {
    name: frame.id,
    title: frame.name,
    hand: `${toCut(frame)}, ${face}`,
    material: frameMaterial(frame, notation),
    paths: [
      closedPath('cut', outline),
      ...holes.map((hole) => closedPath('cut', hole)),
      ...netAsSeen(frame).map((points) => ({ ...openPath(points), layerName: 'NET' })),
      ...faceCurves(frame).map((curve) => openPath(curve)),
      ...fittedLines(frame).map((line) => openPath(line)),
      ...bevelLines(frame).map((line) => ({ ...openPath(line), widthMm: THIN_MM })),
      ...pinsOnFrame(frame, pins).map((pin) => pinPath(pin, pins)),
      ...(frame.hand === 'across' ? [straightPath([0, low], [0, high])] : []),
    ],
    texts: wordsOf(frame, cut, notation),
  };
}

/** Thinner than what is marked to work to. */
const THIN_MM = 0.18;
/** Of a broken line: what is drawn, and what is left out. */
const DASH_MM = [12, 6] as const;
/** Between the strokes across what is taken off; where less is, none is drawn. */
const HATCH_MM = 20;
const LEAST_TAKEN_MM = 0.5;

/** The other face's edge as a broken line, and strokes across what is taken off between the two. */
export function bevelLines(frame: Faced & Pick<Frame, 'otherFace'>): Vec2[][] {
  const { otherFace } = frame;
  if (!otherFace) return [];
  return faceCurves(frame, otherFace).flatMap((curve, i) => {
    const station = faceCurves(frame)[i] ?? [];
    const long = polylineLength(curve);
    const strokes = Array.from({ length: Math.floor(long / HATCH_MM) }, (_, k) => {
      const p = pointAtLength(curve, (k + 0.5) * HATCH_MM);
      return [p, footOn(station, p)];
    });
    return [...dashesOf(curve), ...strokes.filter(([a, b]) => a && b && distance2(a, b) > LEAST_TAKEN_MM)];
  });
}

type Fitted = Pick<Frame, 'face' | 'timbered' | 'hand' | 'cleats' | 'rims'>;

/**
 * Of a frame of timber where two pieces meet, and what plates and doublers cover; and cleats, those of the other face
 * as broken lines: as it is seen.
 */
export function fittedLines(frame: Fitted): Vec2[][] {
  const { joints = [], plates = [] } = frame.timbered ?? {};
  const doublers = frame.rims.flatMap(({ region, isPair }) =>
    region.holes.length > 0 ? [{ outline: region.outline, isPair }] : [],
  );
  const rims = [...plates, ...doublers].flatMap(({ outline, isPair }) => onBothSides(frame, { outline, isPair }));
  const cleats = frame.cleats.flatMap(({ face, pieces }) =>
    pieces
      .flatMap((piece) => onBothSides(frame, piece))
      .flatMap((rim) => (face === frame.face ? [rim] : dashesOf(rim))),
  );
  return [...joints.map(([a, b]) => [a, b]), ...rims, ...cleats].map((line) => line.map((p) => asSeen(frame, p)));
}

type OnOneSide = { readonly outline: readonly Vec2[]; readonly isPair: boolean };

/** As closed lines; mirrored on the other side too, where the part has one. */
function onBothSides({ hand }: Pick<Frame, 'hand'>, { outline, isPair }: OnOneSide): Vec2[][] {
  const rim = [...outline, ...outline.slice(0, 1)];
  return isPair && hand === 'across' ? [rim, rim.map(([y, z]): Vec2 => [-y, z])] : [rim];
}

function dashesOf(line: readonly Vec2[]): Vec2[][] {
  const long = polylineLength(line);
  return Array.from({ length: Math.ceil(long / (DASH_MM[0] + DASH_MM[1])) }, (_, k): Vec2[] => {
    const from = k * (DASH_MM[0] + DASH_MM[1]);
    return [pointAtLength(line, from), pointAtLength(line, Math.min(long, from + DASH_MM[0]))];
  });
}

/** A part that goes on another, once: a gusset is as good on the one face as on the other. */
function plyPartDrawing(
  part: PlyPart,
  under: readonly Region[],
  { notation, frames: { pins } }: FramesWhole['project'],
): Drawing {
  const { id, name, faces, isPair, region, thicknessMm } = part;
  const heightMm = TEXT_MM * 0.55;
  const [x, y] = roomInside(region, { wide: 6 * heightMm, high: heightMm }, at(region.outline, 0));
  return {
    name: id,
    title: name,
    hand: handWords({ isPair }, Math.max(1, faces.length)),
    material: `${formatThickness(thicknessMm, notation)} plywood`,
    paths: [
      ...[region.outline, ...region.holes].map((ring) => closedPath('cut', ring)),
      ...pinsOf(part, under, pins).map((pin) => pinPath(pin, pins)),
    ],
    texts: [{ at: [x, y], heightMm, text: name }],
  };
}

/** Its name, its face and its place: under one another, or where the middle is cut out smaller, two of them. */
function wordsOf(frame: Frame, cut: Region, notation: Notation): DrawnText[] {
  const words = [frame.name, faceWord(frame), `at ${formatWithUnit(frame.x, notation)}`];
  const heights = isSolid(frame) ? [1, 0.7, 0.7] : [0.7, 0.55, 0.55];
  const feet = isSolid(frame) ? [0, 2, 3.4] : [0, 0.85, 1.6];
  const under = (feet[2] ?? 0) * TEXT_MM;
  const wide = (isSolid(frame) ? 12 : 8) * TEXT_MM;
  const [x, low] = roomInside(cut, { wide, high: under + (heights[0] ?? 1) * TEXT_MM }, wantedPlace(frame, cut, under));
  return words.map((text, i) => ({
    at: [x, low + under - (feet[i] ?? 0) * TEXT_MM],
    heightMm: (heights[i] ?? 1) * TEXT_MM,
    text,
  }));
}

const faceWord = ({ face }: Pick<Frame, 'face'>): string => (face === 'fore' ? 'FORE face' : 'AFT face');

/** How many, and of which hand: a pair is drawn as its starboard part, and cut stacked where no edge is bevelled. */
export function toCut({ hand, otherFace }: Pick<Frame, 'hand' | 'otherFace'>): string {
  const stacked = otherFace ? '' : ', cut stacked';
  const words = {
    ...{ across: '1 to cut', pair: `1 starboard, 1 port (mirrored)${stacked}` },
    ...{ starboard: '1 starboard', port: '1 port' },
  };
  return words[hand];
}

/** Beside the centreline, which would cross the words, or in the middle of a part to one side of it. */
function wantedPlace(frame: Frame, cut: Region, under: number): Vec2 {
  const box = boundsOf(cut.outline);
  const low = (box.minY + box.maxY) / 2 - under;
  return frame.hand === 'across' ? [10, low] : [box.minX + (box.maxX - box.minX) * 0.2, low];
}

/**
 * Of a frame the edge of the station face at the skin, or another curve of its starboard half, as it is seen from that
 * face: on both sides, or on the part's own.
 */
export function faceCurves(frame: Faced, whole = frame.outline): Vec2[][] {
  const half = upTo(whole, boundsOf(frame.cut.outline).maxY + OVER_TOP_MM);
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

type Faced = Pick<Frame, 'face' | 'outline' | 'hand' | 'cut'>;

/** Over a part's top the hull's own edge goes on for no longer. */
export const OVER_TOP_MM = 20;

/** What of a line, from the centreline up, comes before it first passes a height. */
function upTo(half: readonly Vec2[], height: number): readonly Vec2[] {
  const k = half.findIndex(([, z]) => z > height);
  if (k < 1) return half;
  const [a, b] = [at(half, k - 1), at(half, k)];
  return [...half.slice(0, k), lerp2(a, b, (height - a[1]) / (b[1] - a[1]))];
}

export type FrameMark = { readonly label: string; readonly curve: readonly Vec2[] };

/**
 * What is done between a frame's two marks on a panel: timber is glued there, a filleted edge stays bare, its fillets
 * lie on either side; a mould must come out again.
 */
export function touchWords({ kind, edges }: Pick<Frame, 'kind' | 'edges'>, panel: string): string {
  if (kind === 'mould') return 'no glue';
  const school = edges.find((edge) => edge.panel === panel)?.school ?? 'framed';
  return school === 'framed' ? 'glue' : 'bare, fillets beside';
}

/** Where a frame's two faces touch a panel, on the flat; its name goes with the station face. */
export function marksOfFrame(panel: Panel, frame: Frame): FrameMark[] {
  const { normal, level } = planeOf(frame);
  const otherFace = frame.face === 'fore' ? frame.width : -frame.width;
  return [
    { label: frame.name, level },
    { label: '', level: level + otherFace },
  ]
    .map(({ label, level: at1 }) => ({
      label,
      curve: planeMark(panel, { normal, level: at1 }, (place) => reaches(frame.reach, place)),
    }))
    .filter(({ curve }) => curve.length > 1);
}

/** Where members lie on a panel's inside face, between two lines; the name stands along the upper one. */
export function membersOnPanel(panel: Panel, members: readonly MemberRun[]): Marks {
  const marks = members.flatMap(({ name, marks: own }) =>
    own.filter((mark) => mark.panel === panel.id).map((mark) => ({ name, ...mark })),
  );
  return {
    paths: marks.flatMap(({ near, far }) =>
      [near, far].map((curve) => ({ ...openPath(simplify(curve, MARK_OFF_MM)), layerName: 'MEMBERS' })),
    ),
    texts: marks.map(({ name, near, far }): DrawnText => {
      const k = Math.floor(near.length * NAME_AT);
      const [x, y] = lerp2(at(near, k), at(far, k), 0.5);
      const heightMm = TEXT_MM * 0.55;
      return { at: [x, y - heightMm / 2], heightMm, text: `${name}: glue`, layerName: 'MEMBERS' };
    }),
  };
}

/** What may be left out of a mark's curve: a tenth of a pencil line. */
const MARK_OFF_MM = 0.05;
/** So far along, as a share, the name stands. */
const NAME_AT = 0.3;

/** Where frames touch a panel. */
export function framesOnPanel(panel: Panel, frames: readonly Frame[]): Marks {
  const marks = frames.flatMap((frame) =>
    marksOfFrame(panel, frame).map((mark) => ({ ...mark, touch: touchWords(frame, panel.id) })),
  );
  return {
    paths: marks.map((mark) => ({ ...openPath(mark.curve), layerName: 'FRAMES' })),
    texts: marks
      .filter(({ label }) => label !== '')
      .map(({ curve, label, touch }): DrawnText => ({
        at: at(curve, -1),
        heightMm: TEXT_MM * 0.55,
        text: `${label}: ${touch}`,
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
  readonly project: {
    readonly notation: Notation;
    readonly panels: { readonly thickness: number };
    readonly frames: Pick<FramesPart, 'pins'>;
  };
  readonly values: { readonly frames: FramesValue };
  readonly sheetHead: SheetHead;
};

export const framesDrawings = ({ project, values }: FramesWhole): Drawing[] =>
  values.frames.frames
    .flatMap((frame) => [
      frameDrawing(frame, project),
      ...plyPartsOfFrame(frame).map((part) => plyPartDrawing(part, [frame.cut], project)),
    ])
    .concat(
      values.frames.bevels.map((bevel) => bevelStick(bevel, project.notation)),
      values.frames.girders.flatMap((girder) => [
        ...girderDrawings(girder, project),
        ...rimsOfGirder(girder).map((part) => plyPartDrawing(part, girder.pieces, project)),
      ]),
    );

const bevelCsv = ({ rows }: RollingBevel, notation: Notation): string =>
  csv(
    [
      'station',
      ...['along', 'x', 'half_breadth', 'height'].map((name) => lengthHead(name, notation)),
      'between_deg',
      'bevel_deg',
      'sheet_edges_mitred_deg',
    ],
    rows.map(({ station, s, at: place, dihedralDeg, bevelDeg }) => [
      station ?? '',
      ...[s, ...place].map((mm) => lengthCell(mm, notation)),
      ...[dihedralDeg, bevelDeg, mitreDeg(dihedralDeg)].map((deg) => Number(deg.toFixed(2))),
    ]),
  );

/** To plot a part by hand. */
function plotCsv(frame: Frame, notation: Notation): string {
  const lengths = ['out', 'up', 'other_face_out', 'other_face_up'].map((name) => lengthHead(name, notation));
  return csv(
    ['point', ...lengths],
    plotOf(frame).points.map(({ number, out, up, other }) => [
      ...[number, lengthCell(out, notation), lengthCell(up, notation)],
      ...(other ? [lengthCell(other.out, notation), lengthCell(other.up, notation)] : ['', '']),
    ]),
  );
}

/** Rows of screws; none where there are none. */
function screwTables(rows: readonly ScrewRow[], notation: Notation): ExportTable[] {
  if (rows.length === 0) return [];
  const lengths = ['spacing', 'length_at_most'].map((name) => lengthHead(name, notation));
  const cells = rows.map(({ panelName, into, use, count, hasWashers, spacingMm, lengthMm }) => [
    ...[panelName, into, FASTENING_NAMES[use], count, hasWashers ? count : 0],
    ...[spacingMm, lengthMm].map((mm) => lengthCell(mm, notation)),
  ]);
  const heads = ['through', 'into', 'use', 'count', 'washers', ...lengths];
  return [{ name: 'fastenings', title: 'Screws and staples', csv: csv(heads, cells) }];
}

/** All pieces of sawn timber, as they are cut; none where there are none. */
function timberTables(frames: readonly Frame[], notation: Notation): ExportTable[] {
  const rows = frames.flatMap((frame) =>
    (frame.timbered?.timbers ?? []).map((timber) => [
      frame.name,
      timber.name,
      timber.isPair ? 2 : 1,
      ...[timber.lengthMm, timber.breadthMm, timber.thicknessMm].map((mm) => lengthCell(mm, notation)),
      ...timber.ends.flatMap((end) => [
        end.kind,
        Number(end.faceDeg.toFixed(2)),
        end.longOn ?? '',
        Number(end.tiltDeg.toFixed(2)),
        end.longFace === 'other' ? OTHER_FACE[frame.face] : end.longFace ? frame.face : '',
      ]),
      ...[timber.bevel?.fromDeg, timber.bevel?.toDeg, timber.bevel?.ripDeg].map((deg) =>
        deg === undefined ? '' : Number(deg.toFixed(2)),
      ),
      lengthCell(timber.hollowMm, notation),
    ]),
  );
  const end = (which: string) =>
    ['ends', 'mitre_deg', 'long_edge', 'blade_deg', 'long_face'].map((w) => `${which}_${w}`);
  const head = [
    ...['frame', 'timber', 'qty'],
    ...['length', 'breadth', 'thickness'].map((name) => lengthHead(name, notation)),
    ...[...end('lower'), ...end('upper'), 'bevel_from_deg', 'bevel_to_deg', 'rip_deg'],
    lengthHead('dressed_off', notation),
  ];
  return rows.length === 0 ? [] : [{ name: 'timbers', title: 'Timbers of the frames', csv: csv(head, rows) }];
}

const OTHER_FACE = { fore: 'aft', aft: 'fore' } as const;

/** All cleats, a row for each piece; none where there are none. */
function cleatTables(frames: readonly Frame[], notation: Notation): ExportTable[] {
  const rows = frames.flatMap((frame) =>
    frame.cleats.flatMap(({ along, face, pieces, breadthMm, depthMm, bevel }) =>
      pieces.map(({ lengthMm, isPair }) => [
        ...[frame.name, along, face, isPair ? 2 : 1],
        ...[lengthMm, breadthMm, depthMm].map((mm) => lengthCell(mm, notation)),
        ...[bevel?.fromDeg, bevel?.toDeg].map((deg) => (deg === undefined ? '' : Number(deg.toFixed(2)))),
      ]),
    ),
  );
  const lengths = ['length', 'breadth', 'depth'].map((name) => lengthHead(name, notation));
  const head = ['frame', 'along', 'face', 'qty', ...lengths, 'bevel_from_deg', 'bevel_to_deg'];
  return rows.length === 0 ? [] : [{ name: 'cleats', title: 'Cleats on the frames', csv: csv(head, rows) }];
}

/** Of shapes taken off a boat each point as it was measured and as it was faired; none where there are none. */
function takenTables(taken: readonly Taken[], notation: Notation): ExportTable[] {
  const rows = taken.flatMap(({ name, points }) =>
    points.map(({ measured, faired }, i) => [
      ...[name, i + 1],
      ...[...measured, ...faired].map((mm) => lengthCell(mm, notation)),
    ]),
  );
  const lengths = ['measured_out', 'measured_up', 'faired_out', 'faired_up'].map((name) => lengthHead(name, notation));
  const head = ['shape', 'point', ...lengths];
  return rows.length === 0 ? [] : [{ name: 'shapes-taken', title: 'Shapes taken off a boat', csv: csv(head, rows) }];
}

export const framesTables = ({ project, values }: FramesWhole): ExportTable[] => [
  ...values.frames.frames.map((frame) => ({
    name: frame.id,
    title: `${frame.name}, its edges and bevels`,
    csv: frameCsv(frame, project.notation),
  })),
  ...values.frames.frames.map((frame) => ({
    name: `${frame.id}-points`,
    title: `${frame.name}, points to plot by hand`,
    csv: plotCsv(frame, project.notation),
  })),
  ...values.frames.bevels.map((bevel) => ({
    name: `bevels-${bevel.line}`,
    title: `${bevel.name}, its bevels`,
    csv: bevelCsv(bevel, project.notation),
  })),
  ...timberTables(values.frames.frames, project.notation),
  ...cleatTables(values.frames.frames, project.notation),
  ...takenTables(values.frames.taken, project.notation),
  ...screwTables(values.frames.screws, project.notation),
];
