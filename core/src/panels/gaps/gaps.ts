/** How the panels of a hull will meet: all that is foretold of it, checked by building it by chance. */
import { at, type Vec2 } from '../../geometry';
import type { PanelEnd } from '../neighbours';
import type { Panel } from '../panel';
import { placeOnEdge } from '../reading/edge-line';
import { deviationOf } from './errors';
import { foretell, mostOf, spreadOf, type ForetoldSeam, type GapsPart, type Spread } from './foretell';
import { framesOff, type HeldHull } from './frames-off';
import { halve, type Hint } from './halve';
import { NINETEEN } from './normal';
import { disagreement, simulate, type BuildAsk } from './simulate';

export type GapEdge = {
  readonly panel: string;
  readonly end: PanelEnd;
  /** By the length along the edge: within so much off, mm. */
  readonly places: readonly { readonly along: number; readonly half: number; readonly nineteen: number }[];
  /** Every nail, and what it does alone to the seam where that is most, nineteen times of twenty, mm. */
  readonly nails: readonly { readonly at: Vec2; readonly mm: number }[];
};

export type GapSeam = ForetoldSeam & {
  /** Of simulated builds: the widest gap anywhere along it. */
  readonly widest: { readonly half: number; readonly nineteen: number };
  /** On the flat panel above the line. */
  readonly worstAt: Vec2;
};

export type Gaps = {
  /** To starboard and at the keel: to port it is the same. */
  readonly seams: readonly GapSeam[];
  readonly edges: readonly GapEdge[];
  /** The seam that is off most, by its number; absent: no edges meet, or all are made to fit. */
  readonly worst?: number;
  readonly builds: number;
  /** By how much building by chance and foretelling differ, as a share. */
  readonly disagreement: number;
  readonly hint?: Hint;
};

export type GapsAsk = {
  readonly panels: readonly Panel[];
  readonly part: GapsPart;
  readonly held: HeldHull;
} & BuildAsk;

export function gapsOf({ panels, part, held, builds, seed }: GapsAsk): Gaps {
  const bare = spreadOf(panels, part, []);
  const known = framesOff(bare.facings, held);
  const spread = spreadOf(panels, part, known);
  const foretold = foretell(spread, part.accuracy);
  const built = simulate(spread, part.accuracy, { builds, seed });
  const seams = foretold.flatMap((seam, number): GapSeam[] => {
    if (seam.hand === 'port') return [];
    const place = spread.facings.places.filter((one) => one.seam === number)[seam.worst];
    return [{ ...seam, widest: at(built, number).widest, worstAt: place?.sides[1].place.point ?? [0, 0] }];
  });
  const worst = seams.reduce((most, seam, k) => (mostOf(seam) > mostOf(at(seams, most)) ? k : most), 0);
  const hint = halve(panels, part, { spread, known });
  return {
    ...{ seams, edges: edgesOf(spread, foretold, part), builds },
    ...(seams.length > 0 && { worst }),
    disagreement: disagreement(foretold, built),
    ...(hint && { hint }),
  };
}

/** Each edge as it is drawn, once for both hands. */
function edgesOf({ facings, errors, most }: Spread, seams: readonly ForetoldSeam[], part: GapsPart): GapEdge[] {
  const before = seams.map((_, number) => facings.places.findIndex(({ seam }) => seam === number));
  const deviation = NINETEEN * deviationOf('marks', part.accuracy);
  return facings.edges.flatMap((edge, number): GapEdge[] => {
    if (facings.edges.findIndex(({ drawn }) => drawn === edge.drawn) !== number) return [];
    const places = facings.places.flatMap(({ seam, sides }, row) => {
      const side = sides.find((one) => one.edge === number);
      const told = at(at(seams, seam).places, row - at(before, seam));
      return side ? [{ side, half: told.half, nineteen: told.nineteen }] : [];
    });
    const own = errors.pieces.flatMap((piece, k) => (piece.edge === number ? [{ piece, k }] : []));
    return [
      {
        ...{ panel: at(facings.sheets, edge.sheet).panel.id, end: edge.line.end },
        places: places.map(({ side: { along }, half, nineteen }) => ({ along, half, nineteen })),
        nails: own.flatMap(({ piece, k }) =>
          piece.nails.map((nail, i) => {
            const column = errors.chance.findIndex((one) => one.nail?.piece === k && one.nail.number === i);
            return { at: placeOnEdge(edge.line, nail.along).point, mm: deviation * (most[column] ?? 0) };
          }),
        ),
      },
    ];
  });
}
