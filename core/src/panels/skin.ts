/** What a skin is cut by, of the project: its own part, and what others have to do with it. */
import type { OutsideLog } from './cut/cut';
import type { SkinSettings, StockForStrips } from './develop';
import type { PanelsPart } from './schema';

export type SkinProject = {
  readonly sheets: StockForStrips;
  /** A transom that stands between the panels has its edges made as frames have. */
  readonly school: string;
  /** Timbers along the hull: one in a corner on the outside has the panel below it run on under it. */
  readonly frames: { readonly filletGap: number; readonly members: readonly LongTimber[] };
};

type LongTimber = {
  readonly line: string;
  readonly on: 'above' | 'below' | 'centre';
  readonly side: 'inside' | 'outside';
  readonly away: number;
  readonly depth: number;
  readonly from: number | null;
  readonly to: number | null;
};

/** Those that lie in a corner on the outside, from end to end. */
const outsideLogs = (members: readonly LongTimber[]): OutsideLog[] =>
  members.flatMap(({ line, on, side, away, depth, from, to }) =>
    side === 'outside' && on !== 'centre' && away === 0 && from === null && to === null
      ? [{ line, on, depthMm: depth }]
      : [],
  );

/** What is read of the project is what is asked for here, and no more. */
export function skinAsked(part: PanelsPart, project: SkinProject): { settings: SkinSettings; stock: StockForStrips } {
  const { thickness, transomThickness, linesTo, meeting, roundedChines, splits, transomRadius } = part;
  const { transomFit, transomEnds, proud, ownProud, transomProud, layered, ownThickness } = part;
  const settings = {
    ...{ thickness, transomThickness, linesTo, meeting, roundedChines, splits, transomRadius },
    ...{ transomFit, transomEnds, proud, ownProud, transomProud, layered, ownThickness },
    outsideLogs: outsideLogs(project.frames.members),
    transomGap: transomFit === 'between' && project.school === 'filleted' ? project.frames.filletGap : null,
  };
  // only the strips of rounded chines are cut from what is in stock
  const { stock, gap } = roundedChines.length > 0 ? project.sheets : { stock: [], gap: 0 };
  return { settings, stock: { stock, gap } };
}
