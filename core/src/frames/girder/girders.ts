/** All girders of the plan, and what is wrong with them; the frames that they cross, slotted. */
import { at } from '../../geometry';
import type { Hull } from '../../lines';
import type { Panel } from '../../panels';
import { makeAnew, type Remember } from '../../stage';
import type { FramesFinding, FramesResult } from '../findings';
import type { Frame } from '../frame';
import type { GirderPlan } from '../schema';
import { frameThing, girderThing } from '../things';
import { placeOnGirder, shapeGirder, type Girder, type GirderMaking } from './girder';
import { crossingOf, slottedCut, slottedGirder, type Slot } from './halving';

export type GirdersValue = { readonly girders: readonly Girder[]; readonly frames: readonly Frame[] };

/** Each is remembered by itself. */
export function shapeGirders(
  { lines }: Pick<Hull, 'lines'>,
  panels: readonly Panel[],
  { plans, frames }: { readonly plans: readonly GirderPlan[]; readonly frames: readonly Frame[] },
  making: GirderMaking,
  remember: Remember = makeAnew,
): FramesResult<GirdersValue> {
  const slots = new Map<string, Slot[]>();
  const findings: FramesFinding[] = [];
  const girders = plans.flatMap((plan): Girder[] => {
    const bare = remember(`girder ${plan.id}`, shapeGirder, plan, { lines }, panels, making);
    const where = { stage: 'frames', part: girderThing(plan.id) } as const;
    if (!bare) {
      findings.push({ severity: 'stop', code: 'girder-nowhere', where, data: { girder: plan.name } });
      return [];
    }
    const crossings = frames.flatMap((frame) => crossingOf(bare, frame, plan.clearance) ?? []);
    for (const { frame, slots: own } of crossings) slots.set(frame, [...(slots.get(frame) ?? []), ...own]);
    const girder = remember(`girder ${plan.id} slotted`, slottedGirder, bare, crossings, making.relief ?? 0);
    findings.push(...judged(plan, girder));
    return [girder];
  });
  const slotted = frames.map((frame) => {
    const own = slots.get(frame.id);
    if (!own || own.length === 0) return frame;
    const halved = remember(`frame ${frame.id} slotted`, slotFrame, frame, own, making.relief ?? 0);
    if (halved.pieces > frame.pieces) {
      const where = { stage: 'frames', part: frameThing(frame.id), x: frame.x } as const;
      const data = { frame: frame.name, pieces: halved.pieces };
      findings.push({ severity: 'stop', code: 'frame-in-pieces', where, data });
    }
    return halved;
  });
  return { value: { girders, frames: slotted }, findings, assumed: [] };
}

function slotFrame(frame: Frame, slots: readonly Slot[], relief: number): Frame {
  const regions = slottedCut(frame.cut, slots, relief);
  return { ...frame, cut: regions[0] ?? frame.cut, pieces: frame.pieces - 1 + regions.length };
}

/** Shorter by less than this it is as long as it was asked to be. */
const SHORT_MM = 5;

function judged({ id, name, halving }: GirderPlan, { plane, whole, pieces }: Girder): FramesFinding[] {
  const where = { stage: 'frames', part: girderThing(id) } as const;
  const ends = whole.map(([s]) => s);
  const [first, last] = [Math.min(...ends), Math.max(...ends)];
  const found: FramesFinding[] = [];
  if (first > SHORT_MM || last < plane.lengthMm - SHORT_MM) {
    const [fromMm, toMm] = [first, last].map((s) => at(placeOnGirder(plane, [s, 0]), 0)) as [number, number]; // two
    found.push({ severity: 'check', code: 'girder-short', where, data: { girder: name, fromMm, toMm } });
  }
  if (halving !== 'between' && pieces.length > 1)
    found.push({
      severity: 'stop',
      code: 'girder-in-pieces',
      where,
      data: { girder: name, pieces: pieces.length },
    });
  return found;
}
