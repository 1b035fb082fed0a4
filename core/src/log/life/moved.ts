/** Parts that are cut, against the boat as it is drawn now: how far they are off, where, and what to do. */
import { boundsOf, type Vec2 } from '../../geometry';
import { AS_GOOD } from '../constants';
import { changeOf, type PartChange } from './compare';
import { keptShape, livesOf, type PartRecord, type PartShape, type PartState } from './records';

/** Leave it, plane it, fill the gap, cut it anew; or there is no such part any more. */
export const VERDICTS = ['nothing', 'plane', 'fill', 'anew', 'gone'] as const;
export type Verdict = (typeof VERDICTS)[number];

type Off = {
  readonly mm: number;
  /** From the left of the part's drawing and up from its foot, mm. */
  readonly at: Vec2;
};

export type MovedPart = {
  readonly part: string;
  readonly name: string;
  readonly state: PartState;
  /** Of the boat, when it was cut. */
  readonly revision: number;
  readonly verdict: Verdict;
  readonly proud: Off;
  readonly short: Off;
  readonly holesOff: number;
};

export type NowPart = PartShape & { readonly id: string; readonly name: string };

type Asked = {
  readonly records: readonly PartRecord[];
  /** All that are to be cut, as they are drawn now. */
  readonly parts: readonly NowPart[];
  /** The widest gap that is left as it is, mm. */
  readonly gapLeft: number;
};

const NO_PLACE: Off = { mm: 0, at: [0, 0] };

/** Those of the cut parts whose shape is another now, or that are gone. */
export function movedParts({ records, parts, gapLeft }: Asked): MovedPart[] {
  return [...livesOf(records).values()].flatMap(({ last, cut }): MovedPart[] => {
    if (!cut) return [];
    const { part, name, revision } = cut;
    const told = { part, name, revision, state: last.state };
    const now = parts.find(({ id }) => id === part);
    if (!now) return [{ ...told, verdict: 'gone', proud: NO_PLACE, short: NO_PLACE, holesOff: 0 }];
    if (isAsCut(cut, now)) return [];
    const change = changeOf(cut, now);
    if (!change) return [];
    const box = boundsOf(now.outline);
    const off = ({ mm, at: [x, y] }: PartChange['proud']): Off => ({
      mm,
      // what is cut may reach beyond the drawing
      at: [Math.max(0, x - box.minX), Math.max(0, y - box.minY)],
    });
    const [proud, short] = [off(change.proud), off(change.short)];
    if (Math.max(proud.mm, short.mm) < SAME_MM && change.holesOff === 0) return [];
    return [{ ...told, name: now.name, proud, short, holesOff: change.holesOff, verdict: verdictOf(change, gapLeft) }];
  });
}

/** Nearer is the same: half of what a part is promised to be right to. */
const SAME_MM = 0.05;

const isAsCut = (cut: PartRecord, now: PartShape): boolean =>
  JSON.stringify([cut.outline, cut.holes]) === JSON.stringify(Object.values(keptShape(now)));

function verdictOf({ proud, short, holesOff }: PartChange, gapLeft: number): Verdict {
  if (short.mm > Math.max(gapLeft, AS_GOOD.value) || holesOff > 0) return 'anew';
  if (proud.mm > AS_GOOD.value) return 'plane';
  return short.mm > AS_GOOD.value ? 'fill' : 'nothing';
}
