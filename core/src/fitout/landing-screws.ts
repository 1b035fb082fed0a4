/**
 * Screws through a part into what it lies on: along the middle of each cleat and bearer, of one that lies over the
 * sheer along its edge, into the timber within the skin.
 *
 * Method: as through the skin into the timber behind it (frames): evenly, to a whole number of gaps, as long as holds
 * and does not come through. None over a hole.
 */
import { screwRow, type FramesPart, type ScrewRow } from '../frames';
import { contains, placeAtLength, polylineLength, type Vec2 } from '../geometry';
import type { FittedPiece } from './fitted';
import { inwardOf } from './inward';
import type { InsidePlan } from './schema';
import type { Fitted } from './value';

type Asked = {
  readonly screws: FramesPart['screws'];
  /** Of the skin's uppermost sheet, which a part over the sheer stands beyond. */
  readonly skinMm: number;
};

/** A row of screws, and the piece that it goes through. */
export type LandingRow = ScrewRow & {
  readonly part: string;
  readonly piece: string;
  /** From either end of what they go into to the first of them. */
  readonly endsMm: number;
};

/** Nearer than this share of what is asked one in the middle does. */
const CROWDED = 1 / 3;

function notCrowded(row: ScrewRow, about: number): ScrewRow {
  const middle = row.places[row.places.length >> 1];
  if (!middle || row.spacingMm >= CROWDED * about) return row;
  return { ...row, places: [middle], count: row.count / row.places.length, spacingMm: 0 };
}

type Landing = {
  readonly into: string;
  readonly line: readonly Vec2[];
  readonly timber: number;
  readonly landingMm: number;
};

export function landingScrews(parts: readonly Fitted[], plans: readonly InsidePlan[], asked: Asked): LandingRow[] {
  return parts.flatMap((part) => {
    const plan = plans.find(({ id }) => id === part.plan);
    if (!plan || plan.screws === 0) return [];
    const screws = { ...asked.screws, spacing: plan.screws, staples: plan.screws };
    return part.pieces.flatMap((piece) =>
      landingsUnder(part, plan, piece, asked.skinMm).flatMap(({ into, line, timber, landingMm }) =>
        screwRow(
          {
            ...{ panel: '', panelName: piece.name, into, intoId: part.plan, landingMm },
            ...{ run: polylineLength(line), hands: part.hand === 'pair' ? 2 : 1, held: part.thickness, timber },
            placeAt: (s) => placeAtLength(line, s).point,
            isClear: (p) => contains(piece.region.outline, p) && !piece.region.holes.some((hole) => contains(hole, p)),
          },
          screws,
        ).map((row) => ({ ...notCrowded(row, plan.screws), part: part.id, piece: piece.id, endsMm: screws.ends })),
      ),
    );
  });
}

function landingsUnder(part: Fitted, { overhang, cleat }: InsidePlan, piece: FittedPiece, skinMm: number): Landing[] {
  if (part.fit === 'over')
    return piece.atSkin.map(({ points }) => ({
      ...{ into: `${piece.name}: the sheer`, timber: cleat.depth, landingMm: cleat.breadth },
      line: inwardOf(
        points.map(({ flat }) => flat),
        piece.region.outline,
        overhang + skinMm + cleat.breadth / 2,
      ),
    }));
  return part.supports
    .filter(({ over, piece: on }) => over && on === piece.id)
    .flatMap(({ name, over = [], breadth, depth }) =>
      over.map((line) => ({ into: name, line, timber: depth, landingMm: breadth })),
    );
}
