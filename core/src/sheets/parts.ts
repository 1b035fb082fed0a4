/**
 * The parts that are cut from sheets: panel pieces (port and starboard as a mirrored pair), transoms, frames, and what
 * lies inside and on top.
 *
 * Each has a stable id made from what it is, its thickness, and its outline with the face grain along x.
 */
import { counterClockwise, mirrored, type Outline } from '../geometry';
import {
  cutAsSeen,
  girderPieces,
  plyPartsOfFrame,
  rimsOfGirder,
  type Frame,
  type Girder,
  type PlyPart,
} from '../frames';
import type { CutInside } from '../fitout';
import type { JointedPanel } from '../joints';
import { cutLineOf, thicknessOf, type Transom } from '../panels';
import { roughBlank } from './rough-blank';
import type { SheetsPart } from './schema';

export type CutPart = {
  readonly id: string;
  /** Id of what is drawn that it is, or is a piece of, or goes on: panel, transom, frame, girder, part inside. */
  readonly of: string;
  readonly name: string;
  readonly thickness: number;
  /** Two of a pair: the second is the mirror of the first. */
  readonly isPair: boolean;
  /** There is the port one alone, and this is its mirror image. */
  readonly isPort?: true;
  readonly outline: Outline;
  readonly holes?: readonly Outline[];
  /** Face grain along x, so half turns only; otherwise the part may lie as it likes. */
  readonly grain: 'along' | 'free';
  /** What it is made of: sheets of that kind. */
  readonly kind: string;
  /** How many more of its pieces are cut, by the piece. */
  readonly spares?: SheetsPart['spares'];
  /** Scribed in place: the outline is a rectangle, and this is what is drawn on it. */
  readonly net?: Outline;
};

export type PartInput = {
  readonly jointed: readonly JointedPanel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly inside: readonly CutInside[];
  readonly thickness: number;
  readonly transomThickness: number;
  readonly kinds: SheetsPart['kinds'];
  readonly scribed: SheetsPart['scribed'];
  readonly spares: SheetsPart['spares'];
};

const handsOf = ({ isPair, isPort }: JointedPanel): Pick<CutPart, 'isPair' | 'isPort'> => ({
  isPair,
  ...(isPort && { isPort }),
});

/** Everything to be cut from plywood; frames of sawn timber are not. */
export function listParts(input: PartInput): CutPart[] {
  const { skin, transoms: ofTransoms, inside } = input.kinds;
  const pieces = input.jointed.flatMap((panel) =>
    panel.pieces.map((piece): CutPart => ({
      id: piece.id,
      of: panel.joinedAs,
      name: piece.name,
      thickness: thicknessOf(panel, input.thickness),
      ...handsOf(panel),
      outline: counterClockwise(piece.outline),
      grain: 'along',
      kind: skin,
    })),
  );
  const straps = input.jointed.flatMap((panel) =>
    panel.straps.map((strap): CutPart => ({
      ...{ id: strap.id, of: panel.joinedAs, name: strap.name, ...handsOf(panel) },
      thickness: thicknessOf(panel, input.thickness),
      // its grain runs as the panel's, across the joint
      ...{ outline: counterClockwise(strap.outline), grain: 'along', kind: skin },
    })),
  );
  const transoms = input.transoms.map((transom): CutPart => ({
    id: transom.id,
    of: transom.id,
    name: transom.name,
    thickness: input.transomThickness,
    isPair: false,
    outline: counterClockwise(cutLineOf(transom)),
    grain: 'along',
    kind: ofTransoms,
  }));
  const bulkheads = input.frames
    .filter(({ material }) => material === 'plywood')
    .map((frame): CutPart => {
      const { outline, holes } = cutAsSeen(frame);
      return {
        id: frame.id,
        of: frame.id,
        name: frame.name,
        thickness: frame.width,
        isPair: frame.hand === 'pair',
        outline: counterClockwise(outline),
        ...(holes.length > 0 && { holes }),
        ...{ grain: 'free', kind: inside },
      };
    });
  const girders = input.girders.flatMap((girder) =>
    girderPieces(girder).map(({ id, name, isPair, region: { outline, holes } }): CutPart => ({
      ...{ id, of: girder.id, name, isPair, thickness: girder.width, outline: counterClockwise(outline) },
      ...{ grain: 'along', kind: inside },
      ...(holes.length > 0 && { holes }),
    })),
  );
  // of solid timber no sheet is cut
  const ofSheet = input.inside.filter(({ isTimber }) => !isTimber);
  const laid = ofSheet.flatMap((part) =>
    part.pieces.map(({ id, name, region: { outline, holes } }): CutPart => ({
      ...{ id, of: part.id, name, isPair: part.hand === 'pair', thickness: part.thickness },
      outline: counterClockwise(outline),
      // bent to a camber it bends across its grain; flat it may lie as it comes
      ...{ grain: part.isBent ? 'along' : 'free', kind: inside },
      ...(holes.length > 0 && { holes }),
    })),
  );
  const small = [
    ...input.frames.flatMap((frame) => plyPartsOfFrame(frame).flatMap((part) => cutOf(part, frame.id, inside))),
    ...input.girders.flatMap((girder) => rimsOfGirder(girder).flatMap((part) => cutOf(part, girder.id, inside))),
  ];
  return [...pieces, ...straps, ...transoms, ...bulkheads, ...girders, ...laid, ...small]
    .filter((part) => part.outline.length > 2)
    .map((part) => asScribed(part, input.scribed))
    .map((part) => withSpares(part, input.spares));
}

function withSpares(part: CutPart, spares: SheetsPart['spares']): CutPart {
  const ids = bothHands(part).map(({ id }) => id);
  const own = spares.filter(({ id, qty }) => qty > 0 && ids.includes(id));
  return own.length > 0 ? { ...part, spares: own } : part;
}

/** A part that is scribed in place: its openings are cut when it fits. */
function asScribed({ holes, ...part }: CutPart, scribed: SheetsPart['scribed']): CutPart {
  const own = scribed.find(({ id }) => id === part.id);
  if (!own) return holes ? { ...part, holes } : part;
  return { ...part, ...roughBlank(part.outline, { extra: own.extra, isFree: part.grain === 'free' }) };
}

/** The plywood that goes on another part: one for each face that has it. */
const cutOf = (
  { id, name, faces, region: { outline, holes }, thicknessMm, isPair }: PlyPart,
  of: string,
  kind: string,
): CutPart[] =>
  (faces.length > 0 ? faces : [null]).map((face) => ({
    id: face ? `${id}.${face}` : id,
    of,
    name: faces.length > 1 ? `${name}, ${face}` : name,
    thickness: thicknessMm,
    isPair,
    outline: counterClockwise(outline),
    ...(holes.length > 0 && { holes }),
    ...{ grain: 'free', kind },
  }));

/** A piece to cut: a part, or one hand of a pair. `id` is its name in a nesting job. */
export type Piece = {
  readonly part: string;
  readonly id: string;
  readonly name: string;
  /** It is the mirror image of the part as it is listed. */
  readonly isMirrored: boolean;
  /** Of one more than the boat has: the piece that it is cut again of. */
  readonly spareOf?: string;
};

/** Of a pair each hand is a piece by itself, any other part is one piece; then what is cut of them once more. */
export function piecesOf(part: CutPart): readonly Piece[] {
  const own = bothHands(part);
  const again = (part.spares ?? []).flatMap(({ id, qty }) => {
    const of = own.find((piece) => piece.id === id);
    return of ? Array.from({ length: qty }, (_, k) => spareOf(of, k + 1, qty)) : [];
  });
  return again.length > 0 ? [...own, ...again] : own;
}

const spareOf = (piece: Piece, number: number, of: number): Piece => ({
  ...piece,
  id: `${piece.id}.spare.${number}`,
  name: `${piece.name}, spare${of > 1 ? ` ${number}` : ''}`,
  spareOf: piece.id,
});

function bothHands({ id, name, isPair, isPort }: CutPart): readonly Piece[] {
  if (!isPair) return [{ part: id, id, name, isMirrored: isPort === true }];
  return (['starboard', 'port'] as const).map((hand) => ({
    part: id,
    id: `${id}.${hand}`,
    name: `${name}, ${hand}`,
    isMirrored: hand === 'port',
  }));
}

/** How many are cut of a part: of each hand, and spares. */
export function howManyWords({ isPair, spares = [] }: Pick<CutPart, 'isPair' | 'spares'>): string {
  const more = spares.reduce((sum, { qty }) => sum + qty, 0);
  return `${isPair ? '1 port, 1 starboard' : '1'}${more > 0 ? `, ${more} spare` : ''}`;
}

/** What is drawn on a piece that is scribed in place, as the piece lies in its job; none on others. */
export function netOfPiece(id: string, parts: readonly CutPart[]): Outline | undefined {
  const piece = parts.flatMap(piecesOf).find((one) => one.id === id);
  const net = parts.find((part) => part.id === piece?.part)?.net;
  return net && (piece?.isMirrored ? mirrored(net) : net);
}

/** Shown name of a part of a job: the pair's hand after the name. */
export const jobPartName = (id: string, parts: readonly CutPart[]): string =>
  parts.flatMap(piecesOf).find((piece) => piece.id === id)?.name ?? id;
