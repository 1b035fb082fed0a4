/** What is drawn and cut of girders: each piece as it is seen from its inner face, and both its faces on the panels. */
import { closedPath, openPath, roomInside, TEXT_MM, type Drawing, type DrawnText } from '../../formats';
import { at, lerp2, mirrored, simplify, upright, type Region, type Vec2 } from '../../geometry';
import { formatThickness, type Notation } from '../../measure';
import type { Panel } from '../../panels';
import type { Marks } from '../../stage';
import { standing, type Girder } from './girder';
import { pinPath, pinsOf } from '../pins';
import { rimsOfGirder } from '../ply-parts';
import type { FramesPart } from '../schema';
import { runsOnPanel, type RunPoint } from './profile';

export type GirderPiece = {
  readonly id: string;
  readonly name: string;
  readonly isPair: boolean;
  /** From its inner face: of a starboard one, and of one on the centreline, forward is on the left. */
  readonly region: Region;
};

/** What is cut from sheets, from forward aft; a pair's is the starboard one. */
export const girderPieces = ({ id, name, hand, pieces }: Girder): GirderPiece[] =>
  pieces.map((piece, i) => ({
    id: pieces.length > 1 ? `${id}.${i + 1}` : id,
    name: pieces.length > 1 ? `${name}, piece ${i + 1}` : name,
    isPair: hand === 'pair',
    region: hand === 'port' ? over(piece) : piece,
  }));

const turnedOver = (ring: readonly Vec2[]): Vec2[] => [...mirrored(ring)].reverse();
const over = ({ outline, holes }: Region): Region => ({ outline: turnedOver(outline), holes: holes.map(turnedOver) });

const HAND_WORDS = {
  centre: '1 to cut',
  pair: '1 starboard, 1 port (mirrored)',
  starboard: '1 starboard',
  port: '1 port',
} as const;

export type GirderDrawn = { readonly notation: Notation; readonly frames: Pick<FramesPart, 'pins'> };

export const girderDrawings = (girder: Girder, { notation, frames: { pins } }: GirderDrawn): Drawing[] =>
  girderPieces(girder).map(({ id, name, region }, i): Drawing => {
    const heightMm = TEXT_MM * 0.55;
    const words = [name, `${faceWord(girder)} face, ${girder.hand === 'port' ? '< aft' : 'aft >'}`];
    const [x, y] = roomInside(region, { wide: 12 * heightMm, high: 2.4 * heightMm }, at(region.outline, 0));
    return {
      name: id,
      title: name,
      hand: `${HAND_WORDS[girder.hand]}${isStacked(girder) ? ', cut stacked' : ''}, ${faceWord(girder)} face`,
      material: `${formatThickness(girder.width, notation)} plywood`,
      paths: [
        ...[region.outline, ...region.holes].map((ring) => closedPath('cut', ring)),
        ...pinsIn(girder, at(girder.pieces, i), pins).map((pin) => pinPath(pin, pins)),
      ],
      texts: words.map((text, i): DrawnText => ({ at: [x, y + (1 - i) * 1.3 * heightMm], heightMm, text })),
    };
  });

const pinsIn = (girder: Girder, piece: Region, diameter: number): Vec2[] =>
  rimsOfGirder(girder)
    .flatMap((part) => pinsOf(part, [piece], diameter))
    .map(([along, up]): Vec2 => [girder.hand === 'port' ? -along : along, up]);

/** A pair without bevels is cut in one go, or the one traced from the other. */
const isStacked = ({ hand, school }: Girder) => hand === 'pair' && school === 'filleted';

export const faceWord = ({ hand }: Pick<Girder, 'hand'>): string => (hand === 'centre' ? 'PORT' : 'INNER');

/** Where both its faces touch a panel's inside; on a bottom that spans the centreline both of a pair. */
export function girdersOnPanel(panel: Panel, girders: readonly Girder[]): Marks {
  const marks = girders.flatMap((girder) => {
    const { plane, faces, name, hand, whole } = girder;
    const ends = whole.map(([s]) => s);
    const [first, last] = [Math.min(...ends), Math.max(...ends)];
    // how far inside of its ends and under its top a place is
    const inside = ({ s, z }: RunPoint) => {
      const top = upright(whole, Math.min(last - HAIR_MM, Math.max(first + HAIR_MM, s))).pop()?.[1] ?? -Infinity;
      return Math.min(s - first, last - s, top - z);
    };
    const sides = panel.spansCentreline && hand === 'pair' ? ([1, -1] as const) : ([1] as const);
    return sides.flatMap((side) =>
      faces.flatMap((out, k) => {
        const { normal, level, along } = standing(plane, out);
        const mirror = side === -1 || (hand === 'port' && panel.spansCentreline);
        const [nx, ny] = [normal[0], mirror ? -normal[1] : normal[1]];
        const own = { normal: [nx, ny, 0] as const, level, inset: panel.insideMm ?? 0 };
        return runsOnPanel(panel.rulings, {
          ...own,
          along: ([x, y, z]) => along([x, mirror ? -y : y, z]),
        })
          .flatMap((run) => partsWithin(run, inside))
          .map((curve) => ({ label: k === 0 ? name : '', curve: simplify(curve, MARK_OFF_MM) }));
      }),
    );
  });
  const heightMm = TEXT_MM * 0.55;
  return {
    paths: marks.map(({ curve }) => ({ ...openPath(curve), layerName: LAYER })),
    texts: marks
      .filter(({ label }) => label !== '')
      .map(({ label, curve }): DrawnText => ({
        at: at(curve, curve.length >> 1),
        heightMm,
        text: label,
        layerName: LAYER,
      })),
  };
}

/** What of a run is where a measure is over nought, its ends found between points. */
function partsWithin(run: readonly RunPoint[], measure: (p: RunPoint) => number): Vec2[][] {
  const parts: Vec2[][] = [[]];
  run.forEach((p, i) => {
    const before = run[i - 1];
    const here = measure(p);
    const past = before ? measure(before) : here;
    if (before && past >= 0 !== here >= 0 && Number.isFinite(past - here)) {
      at(parts, -1).push(lerp2(before.flat, p.flat, past / (past - here)));
      if (here < 0) parts.push([]);
    }
    if (here >= 0) at(parts, -1).push(p.flat);
  });
  return parts.filter((part) => part.length > 1);
}

/** An upright just at an end meets nothing. */
const HAIR_MM = 1e-4;
const LAYER = 'GIRDERS';
/** What may be left out of a mark's curve: a tenth of a pencil line. */
const MARK_OFF_MM = 0.05;
