/**
 * The check before glue: what a panel measures once it is bent, against what it measures flat.
 *
 * Method: a bend keeps every length on the panel and brings its ends nearer together; straight from corner to corner
 * through space is what a tape shows in place. Ties as the stitches are set out, clamps at an even step along what is
 * not tied.
 */
import { at, distance2, distance3, type Vec2, type Vec3 } from '../geometry';
import { placeOn, stitchesOf, type Panel, type PanelsPart } from '../panels';
import { CLAMP_EVERY } from './constants';
import { hundredths } from './small-figure';

export type DryFit = {
  readonly id: string;
  readonly name: string;
  readonly isPair: boolean;
  readonly edges: readonly DryEdge[];
  /** Forward lower corner to after upper, and forward upper to after lower: flat, and through the air in place. */
  readonly diagonals: readonly { readonly flatMm: number; readonly bentMm: number }[];
  readonly ties: number;
  readonly clamps: number;
};

export type DryEdge = {
  readonly line: string;
  readonly isUpper: boolean;
  /** Straight from end to end, lying flat and bent. */
  readonly flatMm: number;
  readonly bentMm: number;
  /** How much nearer its after end comes to its forward end. */
  readonly shortMm: number;
};

type End = { readonly flat: Vec2; readonly space: Vec3 };

export const dryFits = (
  panels: readonly Panel[],
  part: Pick<PanelsPart, 'stitches' | 'roundedChines' | 'thickness'>,
): DryFit[] =>
  panels.map((panel): DryFit => {
    // where the cut corner lies, not the line's end that it is set back from
    const inPlace = ({ flat, space }: End): End => ({ flat, space: placeOn(panel, flat) ?? space });
    const ends = panel.edges.map(({ points }): readonly [End, End] => [
      inPlace(at(points, 0)),
      inPlace(at(points, -1)),
    ]);
    const [lower, upper] = [at(ends, 0), at(ends, 1)];
    const across = (a: End, b: End) => ({
      flatMm: hundredths(distance2(a.flat, b.flat)),
      bentMm: hundredths(distance3(a.space, b.space)),
    });
    const ties = part.stitches.spacing > 0 ? stitchesOf(panel, panels, part).length : 0;
    return {
      ...{ id: panel.id, name: panel.name, isPair: !panel.spansCentreline },
      edges: panel.edges.map(({ line }, k): DryEdge => {
        const { flatMm, bentMm } = across(...at(ends, k));
        return { line, isUpper: k === 1, flatMm, bentMm, shortMm: hundredths(flatMm - bentMm) };
      }),
      diagonals: [across(lower[0], upper[1]), across(upper[0], lower[1])],
      ties,
      clamps: Math.ceil(panel.edges[1].length / CLAMP_EVERY.value),
    };
  });
