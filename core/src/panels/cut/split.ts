/**
 * A panel cut in two along a line drawn on it, as where it is deeper than the sheet.
 *
 * Method: the line is drawn on the developed panel: so many shares of the way along each ruling from the lower edge
 * to the upper, a parabola through three of them from the fore end to the after one. Both parts keep their piece of
 * every ruling, so that bent they are the very same surface, and flat they fit together along the line. Conventions:
 * along the line both parts have the mean of the two edges' parameters. A bottom that spans the centreline is cut
 * along the centreline, whatever the shares: that gives a mirrored pair.
 */
import { at, lerp2, lerp3 } from '../../geometry';
import type { EdgeStretch } from '../inputs';
import { panelOf, partOfCurve, type Panel } from '../panel';
import type { PanelSplit } from '../schema';
import { bendRadii, type LaidRuling } from '../../surface';

/** Name of the line along which a panel is cut. */
export const splitLineOf = (panelId: string): string => `${panelId}.cut`;
/** Whether a line is the one along which one of the panels is cut. */
export const isSplitLine = (line: string, panels: readonly Panel[]): boolean =>
  panels.some(({ partOf }) => partOf !== undefined && line === splitLineOf(partOf.id));

const PARTS = ['lower', 'upper', 'half'] as const;
/** The ids that the parts of a panel have when it is cut. */
export const partIdsOf = (panelId: string): string[] => PARTS.map((part) => partIdOf(panelId, part));
const partIdOf = (panelId: string, part: (typeof PARTS)[number]): string => `${panelId}.${part}`;

/** How near to an edge the line may come. */
const NEAREST = 0.05;

/**
 * The panel, or the parts that it is cut into: the lower first; of a bottom across the centreline the starboard half.
 */
export function splitPanel(panel: Panel, split: PanelSplit | undefined): readonly Panel[] {
  if (!split) return [panel];
  const line = splitLineOf(panel.id);
  if (panel.spansCentreline)
    return [partOf(panel, { part: 'half', between: [line, panel.between[1]], from: centrelineShare, to: whole })];
  const share = (ruling: LaidRuling) => splitShareAt(split, middleOf(ruling));
  return [
    partOf(panel, { part: 'lower', between: [panel.between[0], line], from: none, to: share }),
    partOf(panel, { part: 'upper', between: [line, panel.between[1]], from: share, to: whole }),
  ];
}

type Share = (ruling: LaidRuling) => number;
const none: Share = () => 0;
const whole: Share = () => 1;

/** What is left of every ruling, as shares of it from the lower edge to the upper. */
type Part = {
  readonly part: 'lower' | 'upper' | 'half';
  readonly between: readonly [string, string];
  readonly from: Share;
  readonly to: Share;
};

function partOf(panel: Panel, { part, between, from, to }: Part): Panel {
  const last = at(panel.rulings, -1);
  const aftCurve = partOfCurve(panel.aftCurve, [from(last), to(last)]);
  return panelOf(piece(panel, from, to), {
    id: partIdOf(panel.id, part),
    name: `${panel.name}, ${part}`,
    between,
    stretches: [edgeStretches(panel, between, 0), edgeStretches(panel, between, 1)],
    knuckles: [edgeKnuckles(panel, between, 0), edgeKnuckles(panel, between, 1)],
    spansCentreline: false,
    partOf: { id: panel.id, part },
    ...(aftCurve && { aftCurve }),
  });
}

/** Its own edge as it was, the cut as a line of its own. */
const edgeStretches = (panel: Panel, between: readonly [string, string], k: 0 | 1): readonly EdgeStretch[] =>
  between[k] === panel.between[k] ? panel.stretches[k] : [{ line: between[k], from: 0, to: 1, lineFrom: 0, lineTo: 1 }];

const edgeKnuckles = (panel: Panel, between: readonly [string, string], k: 0 | 1): readonly number[] =>
  between[k] === panel.between[k] ? panel.knuckles[k] : [];

const middleOf = ({ s, t }: LaidRuling): number => (s + t) / 2;

/** The parabola through the three shares, kept off the edges. */
export function splitShareAt({ fore, middle, aft }: PanelSplit, along: number): number {
  const value = fore * (1 - along) * (1 - 2 * along) + middle * 4 * along * (1 - along) + aft * along * (2 * along - 1);
  return Math.min(1 - NEAREST, Math.max(NEAREST, value));
}

/** The middle share with which the line is straight on the flat panel, as a batten or a chalk line lies; `cut` is the
 * whole panel or its lower part, whose upper edge is a line already `drawn`. */
export function straightMiddle(
  cut: Panel,
  { fore, aft }: Pick<PanelSplit, 'fore' | 'aft'>,
  drawn?: PanelSplit,
): number {
  const { rulings } = cut;
  // the lower part's upper edge has the mean of the whole's
  const alongOf = (r: LaidRuling) => (drawn ? r.t : middleOf(r));
  const on = (k: number, share: number) => {
    const r = at(rulings, k);
    return lerp2(r.flatP, r.flatQ, drawn ? share / splitShareAt(drawn, alongOf(r)) : share);
  };
  const [a, b] = [on(0, fore), on(-1, aft)];
  const k = Math.max(
    0,
    rulings.findIndex((r) => alongOf(r) >= 0.5),
  );
  const side = (share: number) => {
    const p = on(k, share);
    return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
  };
  const [low, high] = [side(0), side(1)];
  const share = low === high ? 0.5 : low / (low - high);
  return Math.min(1 - NEAREST, Math.max(NEAREST, share));
}

/** Where a ruling passes the centreline; midway where it does not. */
function centrelineShare({ p, q }: LaidRuling): number {
  const across = q[1] - p[1];
  return across > 0 ? Math.min(1, Math.max(0, -p[1] / across)) : 0.5;
}

function piece(panel: Panel, from: Share, to: Share): LaidRuling[] {
  const cut = panel.rulings.map((r) => {
    const [a, b] = [from(r), to(r)];
    return {
      ...r,
      s: a > 0 ? middleOf(r) : r.s,
      t: b < 1 ? middleOf(r) : r.t,
      // the panel's own edges stay as they are, to the last bit
      ...(a > 0 && { p: lerp3(r.p, r.q, a), flatP: lerp2(r.flatP, r.flatQ, a) }),
      ...(b < 1 && { q: lerp3(r.p, r.q, b), flatQ: lerp2(r.flatP, r.flatQ, b) }),
      twistDeg: r.twistDeg * (b - a),
    };
  });
  const bends = bendRadii(
    { p: cut.map(({ p }) => p), q: cut.map(({ q }) => q) },
    cut.map(({ normal }) => normal),
  );
  return cut.map((r, k) => ({ ...r, bendRadius: bends[k]?.least ?? null, endRadii: bends[k]?.ends ?? null }));
}
