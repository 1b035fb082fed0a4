/** Is it good enough? What was found wrong with frames, against the builder's own limits, and what would mend it. */
import type { Frame } from '../frames';
import { FILL_TIMES, SHIM_TIMES } from './constants';
import { gapOf, type Gap, type ToldFault } from './faults';
import type { SetupFinding } from './findings';
import type { Fault, FaultChoice, SetupPart } from './schema';
import { standThing } from './things';

/** One whose frame or edge is no longer there stays in the project and is not told. */
export const toldFaults = (
  frames: readonly Frame[],
  { faults, limits }: Pick<SetupPart, 'faults' | 'limits'>,
): ToldFault[] =>
  faults.flatMap((fault): ToldFault[] => {
    const frame = frames.find(({ id }) => id === fault.frame);
    const edge = frame?.edges.find(({ panel }) => panel === fault.edge);
    if (!frame || !edge) return [];
    const isFilleted = edge.school === 'filleted';
    const limitMm = isFilleted ? limits.fillet : limits.glued;
    const gap = gapOf(frame, edge, fault);
    const offered = offeredFor(gap, fault.kind, limitMm);
    return [{ ...fault, frameName: frame.name, edgeName: edge.panelName, isFilleted, limitMm, gap, offered }];
  });

/** So little is no gap and no pressure: a pencil line. */
const NONE_MM = 0.3;

function offeredFor({ widest, hardest, face }: Gap, kind: Fault['kind'], limitMm: number): FaultChoice {
  const [open, hard] = [widest.gapMm, hardest.gapMm];
  if (open <= limitMm && hard <= NONE_MM) return 'leave';
  // what is out of its plane is pressed back to its line, and then neither opens nor bears
  if (kind === 'plumb' || kind === 'warp') return 'press';
  if (hard > NONE_MM || (face !== undefined && open <= limitMm * SHIM_TIMES.value)) return 'plane';
  if (open <= limitMm * FILL_TIMES.value) return 'fill';
  return open <= limitMm * SHIM_TIMES.value ? 'shim' : 'again';
}

/** Whether what was decided leaves it good enough. */
export const isSettled = ({ choice, gap, limitMm }: Pick<ToldFault, 'choice' | 'gap' | 'limitMm'>): boolean =>
  choice === 'leave' ? gap.widest.gapMm <= limitMm : choice !== 'open' || gap.widest.gapMm <= limitMm;

export const judgeFaults = (told: readonly ToldFault[]): SetupFinding[] =>
  told
    .filter((fault) => !isSettled(fault))
    .map(({ frame, frameName, edgeName, gap: { widest }, limitMm, offered, choice }): SetupFinding => {
      const where = { stage: 'setup', part: standThing(frame) } as const;
      const data = { frame: frameName, edge: edgeName, gapMm: widest.gapMm, alongMm: widest.alongMm, limitMm, offered };
      return { severity: 'check', code: 'gap-too-wide', where, data: { ...data, isLeft: choice === 'leave' ? 1 : 0 } };
    });
