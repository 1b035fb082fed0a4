/**
 * The parts that are cut from sheets: panel pieces (port and starboard as a mirrored pair), transoms, frames.
 *
 * Each has a stable id made from what it is, its thickness, and its outline with the face grain along x.
 */
import { counterClockwise, type Outline } from '../geometry';
import type { Finding, StageResult } from '../findings';
import { cutOutline, type Frame } from '../frames';
import type { JointedPanel } from '../joints';
import type { Transom } from '../panels';
import type { NestResult } from './nest';
import type { NestJob, SheetsPart } from './schema';

export type CutPart = {
  readonly id: string;
  readonly name: string;
  readonly thickness: number;
  /** Two of a pair: the second is the mirror of the first. */
  readonly isPair: boolean;
  readonly outline: Outline;
  /** Face grain along x, so half turns only; otherwise the part may lie as it likes. */
  readonly grain: 'along' | 'free';
};

export type PartInput = {
  readonly jointed: readonly JointedPanel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  readonly thickness: number;
  readonly transomThickness: number;
  readonly school: 'filleted' | 'framed';
  readonly filletGap: number;
};

/** Everything to be cut from plywood. Framed boats have frames of sawn timber, so only their transoms are listed. */
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
  const transoms = input.transoms.map((transom): CutPart => ({
    id: transom.id,
    name: transom.name,
    thickness: input.transomThickness,
    isPair: false,
    outline: counterClockwise(transom.outline),
    grain: 'along',
  }));
  const bulkheads =
    input.school === 'framed'
      ? []
      : input.frames.map((frame): CutPart => ({
          id: frame.id,
          name: frame.name,
          thickness: frame.width,
          isPair: false,
          outline: counterClockwise(cutOutline(frame, 'filleted', input.filletGap)),
          grain: 'free',
        }));
  return [...pieces, ...transoms, ...bulkheads].filter((part) => part.outline.length > 2);
}

export type NestBatch = { readonly thickness: number; readonly job: NestJob };

/** One nesting job a thickness; what no stock serves is a finding. */
export function nestBatches(parts: readonly CutPart[], part: SheetsPart): StageResult<readonly NestBatch[]> {
  const findings: Finding[] = [];
  const thicknesses = [...new Set(parts.map((p) => p.thickness))].sort((a, b) => a - b);
  const batches = thicknesses.flatMap((thickness): NestBatch[] => {
    const mine = parts.filter((p) => p.thickness === thickness);
    const stock = part.stock.filter((sheet) => sheet.thickness === thickness && sheet.qty > 0);
    if (stock.length === 0) {
      findings.push({
        severity: 'stop',
        code: 'sheet-missing',
        where: { stage: 'sheets' },
        data: { thicknessMm: thickness, count: mine.length },
      });
      return [];
    }
    const sheets = stock.map(({ id, width, height, qty }) => ({ id, width, height, qty }));
    return [{ thickness, job: { gap: part.gap, margin: part.margin, sheets, parts: mine.flatMap(jobParts) } }];
  });
  return { value: batches, findings, assumed: [] };
}

/** Half turns keep the grain; a pair is two parts, the port one drawn turned over, so that two left hands cannot be. */
function jobParts(part: CutPart): NestJob['parts'] {
  const rotations = part.grain === 'along' ? [0, 180] : [0, 90, 180, 270];
  const base = { holes: [], qty: 1, rotations, mirror: false };
  const plain = part.outline.map(([x, y]): [number, number] => [x, y]);
  if (!part.isPair) return [{ ...base, id: part.id, outline: plain }];
  const over = part.outline.map(([x, y]): [number, number] => [-x, y]);
  return [
    { ...base, id: `${part.id}.starboard`, outline: plain },
    { ...base, id: `${part.id}.port`, outline: over },
  ];
}

/** What a layout could not place, a finding a part. */
export function unplacedFindings(batch: NestBatch, result: NestResult, parts: readonly CutPart[]): Finding[] {
  return result.unplaced.map(({ part }): Finding => ({
    severity: 'stop',
    code: 'part-unplaced',
    where: { stage: 'sheets' },
    data: { part: jobPartName(part, parts), thicknessMm: batch.thickness },
  }));
}

/** Shown name of a part of a job: the pair's hand after the name. */
export function jobPartName(id: string, parts: readonly CutPart[]): string {
  const hand = /\.(starboard|port)$/.exec(id)?.[1];
  const own = parts.find((part) => part.id === (hand ? id.slice(0, -hand.length - 1) : id));
  return hand ? `${own?.name ?? id}, ${hand}` : (own?.name ?? id);
}
