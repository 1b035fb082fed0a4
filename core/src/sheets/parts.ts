/**
 * The parts that are cut from sheets: panel pieces (port and starboard as a mirrored pair), transoms, frames.
 *
 * Each has a stable id made from what it is, its thickness, and its outline with the face grain along x.
 */
import { counterClockwise, hashOf, type Outline } from '../geometry';
import {
  cutAsSeen,
  girderPieces,
  plyPartsOfFrame,
  rimsOfGirder,
  type Frame,
  type Girder,
  type PlyPart,
} from '../frames';
import type { JointedPanel } from '../joints';
import type { Transom } from '../panels';
import type { SheetsFinding, SheetsResult } from './findings';
import type { NestJob, SheetsPart } from './schema';

export type CutPart = {
  readonly id: string;
  readonly name: string;
  readonly thickness: number;
  /** Two of a pair: the second is the mirror of the first. */
  readonly isPair: boolean;
  readonly outline: Outline;
  readonly holes?: readonly Outline[];
  /** Face grain along x, so half turns only; otherwise the part may lie as it likes. */
  readonly grain: 'along' | 'free';
};

export type PartInput = {
  readonly jointed: readonly JointedPanel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly girders: readonly Girder[];
  readonly thickness: number;
  readonly transomThickness: number;
};

/** Everything to be cut from plywood; frames of sawn timber are not. */
export function listParts(input: PartInput): CutPart[] {
  const pieces = input.jointed.flatMap((panel) =>
    panel.pieces.map((piece): CutPart => ({
      id: piece.id,
      name: piece.name,
      thickness: input.thickness,
      isPair: !panel.spansCentreline,
      outline: counterClockwise(piece.outline),
      grain: 'along',
    })),
  );
  const straps = input.jointed.flatMap((panel) =>
    panel.straps.map((strap): CutPart => ({
      ...{ id: strap.id, name: strap.name, thickness: input.thickness, isPair: !panel.spansCentreline },
      // its grain runs as the panel's, across the joint
      ...{ outline: counterClockwise(strap.outline), grain: 'along' },
    })),
  );
  const transoms = input.transoms.map((transom): CutPart => ({
    id: transom.id,
    name: transom.name,
    thickness: input.transomThickness,
    isPair: false,
    outline: counterClockwise(transom.outline),
    grain: 'along',
  }));
  const bulkheads = input.frames
    .filter(({ material }) => material === 'plywood')
    .map((frame): CutPart => {
      const { outline, holes } = cutAsSeen(frame);
      return {
        id: frame.id,
        name: frame.name,
        thickness: frame.width,
        isPair: frame.hand === 'pair',
        outline: counterClockwise(outline),
        ...(holes.length > 0 && { holes }),
        grain: 'free',
      };
    });
  const girders = input.girders.flatMap((girder) =>
    girderPieces(girder).map(({ id, name, isPair, region: { outline, holes } }): CutPart => ({
      ...{ id, name, isPair, thickness: girder.width, outline: counterClockwise(outline), grain: 'along' },
      ...(holes.length > 0 && { holes }),
    })),
  );
  const small = [...input.frames.flatMap(plyPartsOfFrame), ...input.girders.flatMap(rimsOfGirder)].flatMap(cutOf);
  return [...pieces, ...straps, ...transoms, ...bulkheads, ...girders, ...small].filter(
    (part) => part.outline.length > 2,
  );
}

/** The plywood that goes on another part: one for each face that has it. */
const cutOf = ({ id, name, faces, region: { outline, holes }, thicknessMm, isPair }: PlyPart): CutPart[] =>
  (faces.length > 0 ? faces : [null]).map((face) => ({
    id: face ? `${id}.${face}` : id,
    name: faces.length > 1 ? `${name}, ${face}` : name,
    thickness: thicknessMm,
    isPair,
    outline: counterClockwise(outline),
    ...(holes.length > 0 && { holes }),
    grain: 'free',
  }));

/**
 * What is laid out together. Batches with the same key are the same job, and a layout of the one is one of the other.
 */
export type NestBatch = { readonly thickness: number; readonly key: string; readonly job: NestJob };

/** One nesting job a thickness; what no stock serves is a finding. */
export function nestBatches(
  parts: readonly CutPart[],
  part: Pick<SheetsPart, 'stock' | 'gap' | 'margin'>,
): SheetsResult<readonly NestBatch[]> {
  const findings: SheetsFinding[] = [];
  const thicknesses = [...new Set(parts.map((p) => p.thickness))].sort((a, b) => a - b);
  const batches = thicknesses.flatMap((thickness): NestBatch[] => {
    const mine = parts.filter((p) => p.thickness === thickness);
    const stock = part.stock.filter((sheet) => sheet.thickness === thickness && sheet.qty > 0);
    if (stock.length === 0) {
      findings.push({
        severity: 'stop',
        code: 'sheet-missing',
        where: { stage: 'sheets' },
        data: { thicknessMm: thickness, count: mine.reduce((sum, p) => sum + piecesOf(p).length, 0) },
      });
      return [];
    }
    const sheets = stock.map(({ id, width, height, qty }) => ({ id, width, height, qty }));
    const job: NestJob = { gap: part.gap, margin: part.margin, sheets, parts: mine.flatMap(jobParts) };
    return [{ thickness, key: hashOf(job), job }];
  });
  return { value: batches, findings, assumed: [] };
}

/** A piece to cut: a part, or one hand of a pair. `id` is its name in a nesting job. */
export type Piece = {
  readonly part: string;
  readonly id: string;
  readonly name: string;
  /** It is the mirror image of the part as it is listed. */
  readonly isMirrored: boolean;
};

/** Of a pair each hand is a piece by itself; any other part is one piece. */
export function piecesOf({ id, name, isPair }: CutPart): readonly Piece[] {
  if (!isPair) return [{ part: id, id, name, isMirrored: false }];
  return (['starboard', 'port'] as const).map((hand) => ({
    part: id,
    id: `${id}.${hand}`,
    name: `${name}, ${hand}`,
    isMirrored: hand === 'port',
  }));
}

/**
 * The same outline under the job's type, whose lists could be written to; nobody does, and a copy costs with every
 * edit.
 */
const asJobOutline = (outline: Outline) => outline as [number, number][];

/** Half turns keep the grain; of a pair the port one is drawn turned over, so that two left hands cannot be. */
function jobParts(part: CutPart): NestJob['parts'] {
  const rotations = part.grain === 'along' ? [0, 180] : [0, 90, 180, 270];
  return piecesOf(part).map(({ id }, i) => ({
    id,
    outline: i === 0 ? asJobOutline(part.outline) : part.outline.map(([x, y]): [number, number] => [-x, y]),
    holes: (part.holes ?? []).map((hole) => hole.map(([x, y]): [number, number] => [i === 0 ? x : -x, y])),
    qty: 1,
    rotations,
    mirror: false,
  }));
}

/** Shown name of a part of a job: the pair's hand after the name. */
export const jobPartName = (id: string, parts: readonly CutPart[]): string =>
  parts.flatMap(piecesOf).find((piece) => piece.id === id)?.name ?? id;
