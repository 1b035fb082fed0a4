/** What is to be looked at of the outer stems. */
import type { InsideFinding } from '../findings';
import { STEMS_PATH, type StemPlan } from '../schema';
import { insideThing } from '../things';
import type { FittedStem } from './stem';

export const judgeStems = (plans: readonly StemPlan[], stems: readonly FittedStem[]): InsideFinding[] =>
  plans.flatMap((plan) => stems.filter((stem) => stem.plan === plan.id).flatMap((stem) => judgeOne(plan, stem)));

function judgeOne(plan: StemPlan, { rows }: FittedStem): InsideFinding[] {
  const where = { stage: 'fitout', part: insideThing(plan.id) };
  if (rows.length === 0) return [{ severity: 'stop', code: 'stem-none', where, data: { part: plan.name } }];
  const fair = Math.min(...rows.map(({ fairMm }) => fairMm));
  if (fair < 0) {
    const most = Math.min(...rows.map(({ halfDeg }) => plan.face / 2 / Math.tan((halfDeg * Math.PI) / 180)));
    return [{ severity: 'check', code: 'stem-too-deep', where, data: { part: plan.name, depth: plan.depth, most } }];
  }
  // broader at its outer edge than the sides would leave it there is a step, or sides of its own: a builder may want it
  if (plan.outer <= plan.face) return [];
  return [
    {
      ...{
        severity: 'check',
        code: 'stem-flares',
        where,
        data: { part: plan.name, outer: plan.outer, face: plan.face },
      },
      remedies: [
        {
          label: 'Let its sides run on from the boat’s',
          edits: [{ path: [...STEMS_PATH, plan.id, 'outer'], value: Math.floor(fair) }],
        },
      ],
    },
  ];
}
