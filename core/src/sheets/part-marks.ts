/**
 * What is on a part besides its outline, where it lies on a sheet: stations, frames, holes and waterline of its panel,
 * the tapers of its scarfs, its name, its hand, the face that is up, and the boat.
 *
 * A panel's pieces lie as the panel is drawn, so its marks are the panel's, cut off at the piece's edge. The face that
 * is up is the inside, on which a builder marks: of the port hand, which is the mirror image, too. Of two pieces that
 * are joined the forward one is planed on its inside face, the after one on its outside, so that outside the forward
 * one laps over the after one.
 */
import {
  carried,
  openPath,
  roomInside,
  straightPath,
  TEXT_MM,
  type Drawing,
  type DrawnPath,
  type DrawnText,
} from '../formats';
import { framesDrawings, type FramesWhole } from '../frames';
import { boundsOf, contains, crossings, runsInside, type Outline, type Vec2 } from '../geometry';
import { formatWithUnit, type Notation } from '../measure';
import { insideDrawings, type InsideWhole } from '../fitout';
import type { JointedPanel } from '../joints';
import { panelsDrawings, type PanelsWhole } from '../panels';
import { markedAsBuilt, type BuiltWhole } from '../setup';
import type { CutPart, Piece } from './parts';

export type MarkedPart = { readonly paths: readonly DrawnPath[]; readonly texts: readonly DrawnText[] };

/** What the marks on parts are taken from. */
export type MarksWhole = Omit<PanelsWhole, 'values'> &
  Pick<FramesWhole, 'project'> & {
    readonly project: { readonly name: string; readonly revision: number };
    readonly values: PanelsWhole['values'] &
      FramesWhole['values'] &
      InsideWhole['values'] &
      BuiltWhole['values'] & { readonly joints: readonly JointedPanel[] };
  };

/** The marks of a part, or of one hand of a pair, by its piece; in the part's own coordinates. */
export function marksOfParts(whole: MarksWhole, parts: readonly CutPart[]): (piece: Piece) => MarkedPart {
  const { project, values } = whole;
  const panels = panelsDrawings(whole);
  const frames = framesDrawings(whole);
  const inside = insideDrawings(whole);
  const drawings = new Map([...panels, ...frames, ...inside].map((drawing) => [drawing.name, drawing]));
  // on a panel that is cut as built lies what is marked on that
  const built = markedAsBuilt(whole);
  return (piece) => {
    const part = parts.find(({ id }) => id === piece.part);
    if (!part) return { paths: [], texts: [] };
    const joined = values.joints.find(({ pieces }) => pieces.some(({ id }) => id === part.id));
    const drawing = (joined && built.get(joined.panel)) ?? drawings.get(joined?.joinedAs ?? part.id);
    const faceUp = joined
      ? 'inside face up'
      : frames.some(({ name }) => name === part.id)
        ? 'drawn face up'
        : inside.some(({ name }) => name === part.id)
          ? 'upper face up'
          : 'aft face up';
    const marks = part.net
      ? netMark(part.net)
      : drawing
        ? marksWithin(drawing, part.outline, joined?.isBlank)
        : { paths: [], texts: [] };
    const tapers = joined ? tapersOf(joined, part, project.notation) : { paths: [], texts: [] };
    const own = {
      paths: [...marks.paths, ...tapers.paths],
      texts: [
        ...marks.texts,
        ...tapers.texts,
        ...(joined ? foreOn(part.outline) : []),
        ...namesOf(piece, part, `${project.name}, rev ${project.revision}; ${faceUp}`),
      ],
    };
    return piece.isMirrored ? mirroredMarks(own) : own;
  };
}

/** Of a part that is scribed in place what was drawn of it. */
const netMark = (net: Outline): MarkedPart => ({
  paths: [{ ...openPath([...net, ...net.slice(0, 1)]), layerName: 'NET' }],
  texts: [],
});

/** Of a drawing what is marked, as far as it lies on the part; its words at marks, not those that name the whole. */
function marksWithin({ paths, texts }: Drawing, outline: Outline, isBlank = false): MarkedPart {
  const isOn = (p: Vec2) => contains(outline, p);
  const marks = paths.flatMap((path): DrawnPath[] => {
    // from a blank the panel is cut when that is joined: its edge is a mark on it
    if (path.layer === 'cut' && isBlank)
      return runsInside([...path.points, ...path.points.slice(0, 1)], outline, isOn).map((points) => ({
        ...{ ...openPath(points), layerName: 'NET' },
      }));
    if (path.layer === 'cut') return [];
    if (path.isClosed) return path.points.every(isOn) ? [path] : [];
    return runsInside(path.points, outline, isOn).map((points) => ({ ...path, points }));
  });
  const words = texts.filter(({ heightMm, at }) => heightMm < TEXT_MM && isOn(inward(at, outline)));
  return { paths: marks, texts: words };
}

/** A word stands at the end of its mark, on the part's very edge: looked at from a hair within. */
function inward([x, y]: Vec2, outline: Outline): Vec2 {
  const box = boundsOf(outline);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const hair = 1e-4;
  return [x + (cx - x) * hair, y + (cy - y) * hair];
}

/**
 * What is to be done at a piece's joints: where the tapers of its scarfs begin, and on which face they are planed;
 * where a strap reaches to, which goes inside.
 */
function tapersOf({ joints, pieces }: JointedPanel, part: CutPart, notation: Notation): MarkedPart {
  const k = pieces.findIndex(({ id }) => id === part.id);
  const ends = [
    { joint: joints[k - 1], side: 1, words: 'taper underneath' },
    { joint: joints[k], side: -1, words: 'taper on this face' },
  ];
  const made = ends.flatMap(({ joint, side, words }) => {
    if (!joint || (joint.kind !== 'scarf' && joint.kind !== 'strap')) return [];
    const { u, width, low, high } = joint;
    const from = u + (side * width) / 2;
    const length = formatWithUnit(width, notation);
    const text = joint.kind === 'scarf' ? `scarf ${length}, ${words}` : `strap ${length} wide to here, on this face`;
    const at: Vec2 = [side > 0 ? from + 8 : from - 12 * TEXT_MM, (low + high) / 2];
    return [{ path: straightPath([from, low], [from, high]), text: { at, heightMm: TEXT_MM * 0.7, text } }];
  });
  return {
    paths: made.flatMap(({ path }) =>
      runsInside(path.points, part.outline, (p) => contains(part.outline, p)).map((points) => ({ ...path, points })),
    ),
    texts: made.map(({ text }) => text),
  };
}

/** So far along a piece from its fore end, as a share of its length, the word stands. */
const FORE_AT = 0.12;

/** Panels are drawn from the bow aft. */
function foreOn(outline: Outline): DrawnText[] {
  const box = boundsOf(outline);
  const x = box.minX + FORE_AT * (box.maxX - box.minX);
  const ys = crossings([...outline, ...outline.slice(0, 1)], 0, x).map((p) => p[1]);
  if (ys.length === 0) return [];
  return [{ at: [x, (Math.min(...ys) + Math.max(...ys)) / 2], heightMm: TEXT_MM, text: 'FORE' }];
}

/** What a part's name and boat take up. */
const NAMES_MM = { wide: 300, high: 2.6 * TEXT_MM };

function namesOf(piece: Piece, part: CutPart, boat: string): DrawnText[] {
  const box = boundsOf(part.outline);
  const middle: Vec2 = [(box.minX + box.maxX) / 2 - 150, (box.minY + box.maxY) / 2 - 1.6 * TEXT_MM];
  const [x, low] = roomInside({ outline: part.outline, holes: part.holes ?? [] }, NAMES_MM, middle);
  const y = low + 1.6 * TEXT_MM;
  return [
    { at: [x, y], heightMm: TEXT_MM, text: piece.name },
    { at: [x, y - 1.6 * TEXT_MM], heightMm: TEXT_MM * 0.7, text: boat },
  ];
}

const mirroredMarks = ({ paths, texts }: MarkedPart): MarkedPart => {
  const over = ([x, y]: Vec2): Vec2 => [-x, y];
  return {
    paths: paths.map((path) => carried(path, over)),
    texts: texts.map((text) => ({ ...text, at: over(text.at) })),
  };
};
