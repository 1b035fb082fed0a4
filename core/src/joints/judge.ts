/** Which wishes a panel's joints leave unmet, as findings. */
import type { Panel } from '../panels';
import type { JointsFinding } from './findings';
import { KIND_WORDS, reachOf } from './kinds';
import { withoutJoint } from './own';
import type { Joint } from './pieces';
import { apart, DUST_MM, middleOf, ON_FRAME_MM, type Wishes } from './placing';
import type { JointsPart } from './schema';
import { narrowestForTongues } from './tongues';

/** A joint that bends by more than this share of the panel's hardest bend lies in it. */
const IN_BEND = 0.9;
/** A panel whose hardest bend is wider than this is nearly flat: any joint may lie in it. */
const GENTLE_MM = 5000;

export type JudgeInput = Wishes & {
  readonly panel: Panel;
  readonly joints: readonly Joint[];
  readonly all: JointsPart;
};

export function judgeJoints(input: JudgeInput): JointsFinding[] {
  return input.joints.flatMap((joint) => judgeJoint(joint, input));
}

function judgeJoint(joint: Joint, { panel, bendAt, standing, mates, part, all }: JudgeInput): JointsFinding[] {
  const { u, width } = joint;
  const where = { stage: 'joints', panel: panel.id } as const;
  const named = { panel: panel.name, joint: KIND_WORDS[joint.kind], uMm: u };
  const why = joint.own === undefined ? 'No better place uses as few sheets.' : 'It is where you put it.';
  const remedies = joint.own === undefined ? [] : [letGo(joint.own, all)];
  const found: JointsFinding[] = [];
  if (part.toFrames === 'on') found.push(...offFrames(joint, { standing, where, data: { ...named, why }, remedies }));
  const on = part.toFrames === 'on' ? undefined : standing.find((frame) => apart(frame, u) < width / 2 - DUST_MM);
  const close =
    part.toFrames === 'on'
      ? undefined
      : standing.find((frame) => apart(frame, u) - width / 2 < part.clearOfFrames - DUST_MM);
  if (on) {
    const data = { ...named, frame: on.label };
    found.push({ severity: 'stop', code: 'frame-in-joint', where, data, remedies });
  } else if (close) {
    const clearMm = Math.max(0, apart(close, u) - width / 2);
    const data = { ...named, clearMm, wantMm: part.clearOfFrames, frame: close.label, why };
    found.push({ severity: 'check', code: 'joint-near-frame', where, data, remedies });
  }
  const mate = mates?.us.find((other) => Math.abs(other - u) < part.stagger - DUST_MM);
  if (mates && mate !== undefined) {
    const staggerMm = Math.abs(mate - u);
    const data = { panel: panel.name, joint: named.joint, other: mates.name, staggerMm, wantMm: part.stagger, why };
    found.push({ severity: 'check', code: 'joint-not-staggered', where, data, remedies });
  }
  if (panel.minBendRadius && panel.minBendRadius.value < GENTLE_MM && bendAt(u) > IN_BEND)
    found.push({ severity: 'check', code: 'joint-in-bend', where, data: { ...named, why }, remedies });
  if (joint.kind === 'butt' && !panel.layer)
    found.push({ severity: 'stop', code: 'butt-alone', where, data: { panel: panel.name, uMm: u }, remedies });
  if (joint.kind === 'tongues' && !joint.tongues) {
    const data = { ...named, depthMm: joint.depth, wantMm: narrowestForTongues({ ...all, reach: reachOf(all) }) };
    found.push({ severity: 'check', code: 'too-narrow-for-tongues', where, data });
  }
  return found;
}

type OffFrames = Pick<Wishes, 'standing'> &
  Pick<Extract<JointsFinding, { code: 'joint-off-frames' }>, 'where' | 'data' | 'remedies'>;

/** Where joints are wanted on frames: whether this one is. */
const offFrames = ({ u }: Joint, { standing, ...said }: OffFrames): JointsFinding[] =>
  standing.some((frame) => Math.abs(middleOf(frame) - u) <= ON_FRAME_MM)
    ? []
    : [{ severity: 'check', code: 'joint-off-frames', ...said }];

/** The joint goes where it is best by itself. */
const letGo = (id: string, { own }: Pick<JointsPart, 'own'>) => ({
  label: 'Let the program place it',
  edits: [{ path: ['joints', 'own'], value: withoutJoint(own, id) }],
});
