/**
 * What is laid out together: the parts of one thickness and kind, on the sheets of these that are in stock.
 *
 * Offcuts are used before sheets, sheets that are there before those to be bought, and what costs less for its area
 * before what costs more.
 */
import { isSameWood } from '../joints';
import { boxOutline, hashOf, type Outline, type Region } from '../geometry';
import { liesClear, placedRegion } from './check';
import { SKIN_SHEETS } from './constants';
import type { SheetsFinding, SheetsResult } from './findings';
import { piecesOf, type CutPart } from './parts';
import type { FixedCopy, NestJob, SheetsPart, StockSheet } from './schema';
import type { Couple } from './stacks';
import { withSheet } from './stock';

/** Batches with the same key are the same job, and a layout of the one is one of the other. */
export type NestBatch = {
  readonly thickness: number;
  readonly kind: string;
  readonly key: string;
  readonly job: NestJob;
};

/** What parts and sheets must have alike. */
export type Material = Pick<NestBatch, 'thickness' | 'kind'>;

export const isSameMaterial = (a: Material, b: Material): boolean =>
  a.thickness === b.thickness && isSameWood(a.kind, b.kind);

/** Every material that parts are cut from, thin to thick. */
export function materialsOf(parts: readonly CutPart[]): Material[] {
  const found: Material[] = [];
  for (const { thickness, kind } of parts)
    if (!found.some((one) => isSameMaterial(one, { thickness, kind }))) found.push({ thickness, kind });
  return found.sort((a, b) => a.thickness - b.thickness || (a.kind < b.kind ? -1 : 1));
}

/** One nesting job a material; what no stock serves, and what no longer lies where it was put, is a finding. */
export function nestBatches(
  parts: readonly CutPart[],
  part: Pick<SheetsPart, 'stock' | 'gap' | 'margin' | 'laid' | 'stacked'>,
): SheetsResult<readonly NestBatch[]> {
  const findings: SheetsFinding[] = [];
  const batches = materialsOf(parts).flatMap((material): NestBatch[] => {
    const mine = parts.filter((one) => isSameMaterial(one, material));
    const stock = part.stock.filter((sheet) => isSameMaterial(sheet, material) && sheet.qty > 0);
    if (stock.length === 0) {
      const count = mine.reduce((sum, one) => sum + piecesOf(one).length, 0);
      const data = { thicknessMm: material.thickness, kind: material.kind, count };
      const remedies = ofThisKind(part.stock, material);
      findings.push({ severity: 'stop', code: 'sheet-missing', where: { stage: 'sheets' }, data, remedies });
      return [];
    }
    const sheets = [...stock].sort((a, b) => firstUsed(a) - firstUsed(b) || dearness(a) - dearness(b)).map(jobSheet);
    const bare: NestJob = { gap: part.gap, margin: part.margin, sheets, parts: mine.flatMap(jobParts) };
    const { fixed, off } = fixedIn(bare, part.laid);
    findings.push(...off.map((id) => notClear(id, mine, part.laid)));
    const couples = part.stacked ? couplesOf(mine) : [];
    const job = { ...bare, ...(fixed.length > 0 && { fixed }), ...(couples.length > 0 && { couples }) };
    return [{ ...material, key: hashOf(job), job }];
  });
  return { value: batches, findings, assumed: [] };
}

/** Both hands of every pair. */
const couplesOf = (parts: readonly CutPart[]): Couple[] =>
  parts.flatMap((part) => {
    const [one, other] = part.isPair ? piecesOf(part) : [];
    return one && other ? [[one.id, other.id]] : [];
  });

/** Where sheets of the thickness are in stock under another name of their wood: they are of this one; else new ones. */
function ofThisKind(stock: readonly StockSheet[], { thickness, kind }: Material) {
  const others = stock.filter((sheet) => sheet.thickness === thickness && sheet.qty > 0);
  if (others.length === 0) return newSheets(stock, { thickness, kind });
  const edits = others.map(({ id }) => ({ path: ['sheets', 'stock', id, 'kind'], value: kind }));
  const label = kind.trim() === '' ? 'Tell them not apart' : `They are of ${kind.trim()}`;
  return [{ label, edits }];
}

/** As large as the largest that are bought for the boat, and as many as any boat takes. */
function newSheets(stock: readonly StockSheet[], { thickness, kind }: Material) {
  const [like] = stock.filter(({ isOffcut }) => !isOffcut).sort((a, b) => b.width * b.height - a.width * a.height);
  if (!like) return [];
  const { width, height } = like;
  const value = withSheet(stock, { width, height, thickness, kind, qty: SKIN_SHEETS.value.qty });
  return [{ label: 'Buy such sheets', edits: [{ path: ['sheets', 'stock'], value }] }];
}

/** 0 for offcuts, 1 for what is there, 2 for what is to be bought. */
const firstUsed = ({ isOffcut, onHand }: StockSheet): number => (isOffcut ? 0 : onHand > 0 ? 1 : 2);
const dearness = ({ price, width, height }: StockSheet): number => price / (width * height);

function jobSheet({ id, width, height, qty, outline, zones }: StockSheet): NestJob['sheets'][number] {
  return {
    ...{ id, width, height, qty },
    ...(outline.length > 2 && { outline: outline.map(({ x, y }) => [x, y] as const) }),
    ...(zones.length > 0 && { zones: zones.map(zoneOutline) }),
  };
}

const zoneOutline = ({ x, y, width, height }: StockSheet['zones'][number]): Outline =>
  boxOutline({ minX: x, minY: y, maxX: x + width, maxY: y + height });

/** What was laid by hand and may lie there still, one after the other; and what may not. */
function fixedIn(job: NestJob, laid: SheetsPart['laid']): { fixed: FixedCopy[]; off: string[] } {
  const [fixed, off]: [FixedCopy[], string[]] = [[], []];
  const lying = new Map<string, Region[]>();
  for (const { id, sheet, index, x, y, rotationDeg } of laid) {
    const part = job.parts.find((one) => one.id === id);
    if (!part) continue;
    const stock = job.sheets.find((one) => one.id === sheet);
    const placement = { part: id, copy: 0, x, y, rotationDeg, mirrored: false };
    const region = placedRegion(part, placement);
    const place = `${sheet} ${index}`;
    const others = lying.get(place) ?? [];
    const isDouble = fixed.some((one) => one.part === id);
    if (!stock || index >= stock.qty || isDouble || !liesClear(region, others, stock, job)) {
      off.push(id);
      continue;
    }
    lying.set(place, [...others, region]);
    fixed.push({ ...placement, sheet, index });
  }
  return { fixed, off };
}

function notClear(id: string, parts: readonly CutPart[], laid: SheetsPart['laid']): SheetsFinding {
  const name = parts.flatMap(piecesOf).find((piece) => piece.id === id)?.name ?? id;
  const edits = [{ path: ['sheets', 'laid'], value: laid.filter((one) => one.id !== id) }];
  const remedies = [{ label: 'Let the program lay it', edits }];
  return { severity: 'check', code: 'laid-not-clear', where: { stage: 'sheets' }, data: { part: name }, remedies };
}

/**
 * The same outline under the job's type, whose lists could be written to; nobody does, and a copy costs with every
 * edit.
 */
const asJobOutline = (outline: Outline) => outline as [number, number][];

/** Half turns keep the grain; what is for port is drawn turned over, so that two left hands cannot be. */
function jobParts(part: CutPart): NestJob['parts'] {
  const rotations = part.grain === 'along' ? [0, 180] : [0, 90, 180, 270];
  return piecesOf(part).map(({ id, isMirrored }) => ({
    id,
    outline: isMirrored ? part.outline.map(([x, y]): [number, number] => [-x, y]) : asJobOutline(part.outline),
    holes: (part.holes ?? []).map((hole) => hole.map(([x, y]): [number, number] => [isMirrored ? -x : x, y])),
    qty: 1,
    rotations,
    mirror: false,
  }));
}
