/**
 * Glass as it is bought: tapes by width, and the length of cloth off its roll.
 *
 * Method: cloth is laid along a panel in lengths as long as the panel, side by side with a lap; a panel deeper than one
 * width less the lap takes two, and so on; both hands of a narrow one come out of one width. Tape cut aslant from
 * cloth of width W comes in strips W·√2 long, each of which takes w·√2 off the roll; the first corner is lost.
 */
import { boundsOf } from '../geometry';
import { KEY_BEYOND_TAPE } from './constants';
import type { Covered } from './covered';
import type { TakeoffLine } from './line';
import type { EpoxyPart } from './schema';

export type GlassToBuy = {
  /** Widest first. Lengths m. */
  readonly tapes: readonly { readonly widthMm: number; readonly lengthM: number; readonly keyedMm: number }[];
  /** Off the roll, m: for sheathing, and for tape that is cut from cloth. */
  readonly clothM: number;
  readonly tapeClothM: number;
  /** Over the last layer of all of it, m²; 0 where none is wanted. */
  readonly peelPlyM2: number;
  /** The same of film with holes over that. */
  readonly filmM2: number;
};

/** What a line takes of tape, by width. */
function lengthsOf(from: TakeoffLine['from']): { readonly width: number; readonly length: number }[] {
  if (from.kind === 'tabs') return [{ width: from.width, length: from.count * from.length }];
  return from.kind === 'tape' ? from.widths.map((width) => ({ width, length: from.length })) : [];
}

export function glassToBuy(
  lines: readonly TakeoffLine[],
  covered: readonly Covered[],
  part: Pick<EpoxyPart, 'glass' | 'tapeWidth'>,
): GlassToBuy {
  const byWidth = new Map<number, number>();
  for (const { from } of lines)
    for (const { width, length } of lengthsOf(from)) byWidth.set(width, (byWidth.get(width) ?? 0) + length / 1000);
  const { clothWidth, lap, trim, tapeFrom, peelPly, film } = part.glass;
  const tapes = [...byWidth]
    .filter(([width]) => width > 0)
    .sort(([a], [b]) => b - a)
    .map(([widthMm, lengthM]) => ({ widthMm, lengthM, keyedMm: widthMm + 2 * KEY_BEYOND_TAPE.value }));
  const clothM = covered.reduce((sum, one) => sum + clothOn(one, { clothWidth, lap, trim }), 0);
  const tapeClothM =
    tapeFrom === 'roll'
      ? 0
      : tapes.reduce((sum, { widthMm, lengthM }) => {
          const strip = Math.max(1, clothWidth * Math.SQRT2 - lap);
          return sum + (Math.ceil((lengthM * 1000) / strip) * widthMm * Math.SQRT2) / 1000;
        }, clothWidth / 1000);
  const overOf = (line: TakeoffLine) =>
    line.from.kind === 'tape' ? ((line.from.widths[0] ?? 0) * line.from.length) / 1e6 : line.clothM2;
  const peelPlyM2 = peelPly ? lines.reduce((sum, line) => sum + overOf(line), 0) : 0;
  const filmM2 = film ? peelPlyM2 : 0;
  return { tapes, clothM, tapeClothM: tapes.length > 0 ? tapeClothM : 0, peelPlyM2, filmM2 };
}

/** Off the roll, m: widths side by side on a deep panel, both hands side by side on one width where they go. */
function clothOn(
  { outline, copies: { length: hands } }: Covered,
  { clothWidth, lap, trim }: Pick<EpoxyPart['glass'], 'clothWidth' | 'lap' | 'trim'>,
): number {
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  const sides = [maxX - minX + 2 * trim, maxY - minY + 2 * trim];
  const [deep, long] = sides.sort((a, b) => a - b) as [number, number]; // two of two
  if (deep <= clothWidth)
    return (Math.ceil(hands / Math.max(1, Math.floor(clothWidth / Math.max(1, deep)))) * long) / 1000;
  const widths = 1 + Math.ceil((deep - clothWidth) / Math.max(1, clothWidth - lap));
  return (widths * long * hands) / 1000;
}
