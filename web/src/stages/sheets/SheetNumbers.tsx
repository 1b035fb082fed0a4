/** The slip's figures on Sheets: of all, of the picked sheet, of the picked piece. */
import { netArea } from '@kalotrope/core/geometry';
import { formatArea, formatShare, formatThickness, formatWithUnit } from '@kalotrope/core/measure';
import { leftOff, materialWords, type CutPart, type Piece, type SheetCount } from '@kalotrope/core/sheets';
import { Figure } from '../../controls/Figure';
import { plural } from '../../controls/words';
import { boxAround } from '../../drawing/DrawingSurface';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import type { Shelf } from './shelf';

type PieceProps = {
  readonly piece: Piece;
  readonly parts: readonly CutPart[];
  readonly shelves: readonly Shelf[];
};

/** The picked piece: how large, and where it is laid. */
export function PieceNumbers({ piece, parts, shelves }: PieceProps) {
  const notation = useAppSelector(selectNotation);
  const part = parts.find(({ id }) => id === piece.part);
  if (!part) return null;
  const box = boxAround(part.outline);
  const on = shelves.findIndex(({ sheet }) => sheet.placements.some((placement) => placement.part === piece.id));
  const size = [box.maxX - box.minX, box.maxY - box.minY].map((mm) => formatWithUnit(mm, notation)).join(' × ');
  return (
    <>
      <Figure name="Long × wide" value={size} />
      <Figure name="Thickness" value={formatThickness(part.thickness, notation)} />
      <Figure name="Area" value={formatArea(netArea(part) / 1e6, notation)} />
      <Figure name="Grain" value={part.grain === 'along' ? 'along the part' : 'either way'} />
      <Figure name="On" value={on < 0 ? 'no sheet' : `sheet ${on + 1}`} />
    </>
  );
}

/** The picked sheet. */
export function OneSheet({ shelf: { batch, sheet, width, height } }: { readonly shelf: Shelf }) {
  const notation = useAppSelector(selectNotation);
  const used = sheet.placements.reduce((sum, { part: id }) => {
    const part = batch.job.parts.find((other) => other.id === id);
    return part ? sum + netArea(part) : sum;
  }, 0);
  return (
    <>
      <Figure name="Size" value={`${formatWithUnit(width, notation)} × ${formatWithUnit(height, notation)}`} />
      <Figure name="Plywood" value={materialWords(batch, notation)} />
      <Figure name="Parts on it" value={String(sheet.placements.length)} />
      <Figure name="Used" value={formatShare(used / (width * height))} why="The parts' area over the sheet's" />
    </>
  );
}

export function SheetNumbers({ counts }: { readonly counts: readonly SheetCount[] }) {
  const notation = useAppSelector(selectNotation);
  return counts.map((count) => (
    <Figure
      key={materialWords(count, notation)}
      name={materialWords(count, notation)}
      value={sheetsText(count)}
      why="Share of the sheets used, the last counted to its rightmost part"
    />
  ));
}

function sheetsText(count: SheetCount): string {
  const { result, pieces, hasStock } = count;
  if (!hasStock) return `no sheet for ${plural(pieces, 'part')}`;
  if (!result) return 'not yet';
  const left = leftOff(count).length;
  const used = plural(result.sheetsUsed, 'sheet');
  return left > 0 ? `${used}, ${left} of ${pieces} parts on none` : `${used}, ${formatShare(result.density)}`;
}
