/** What is to be looked at of the people. */
import type { InsideFinding } from '../findings';
import { PEOPLE_PATH, type PersonPlan } from '../schema';
import { insideThing } from '../things';
import type { Seated } from './in-boat';

/** Feet that hang by less are stretched, mm. */
const STRETCHED_MM = 30;

export const judgePeople = (plans: readonly PersonPlan[], people: readonly Seated[]): InsideFinding[] =>
  plans.flatMap((plan) => people.filter((one) => one.plan === plan.id).flatMap((one) => judgeOne(plan, one)));

function judgeOne(plan: PersonPlan, { headroom, legs, narrow, hangs, onNothing }: Seated): InsideFinding[] {
  const where = { stage: 'fitout', part: insideThing(plan.id), x: plan.x };
  const person = plan.name;
  return [
    ...(onNothing ? [sitsOnNothing(plan, onNothing)] : []),
    ...(headroom
      ? [{ severity: 'check' as const, code: 'person-headroom' as const, where, data: { person, ...headroom } }]
      : []),
    ...(legs ? [{ severity: 'check' as const, code: 'person-legs' as const, where, data: { person, ...legs } }] : []),
    ...(narrow
      ? [
          {
            ...{ severity: 'check' as const, code: 'person-broad' as const, where: { ...where, x: narrow.x } },
            data: { person, ...narrow },
          },
        ]
      : []),
    ...(hangs > STRETCHED_MM
      ? [{ severity: 'note' as const, code: 'feet-hang' as const, where, data: { person, mm: hangs } }]
      : []),
  ];
}

function sitsOnNothing(plan: PersonPlan, { nearest }: NonNullable<Seated['onNothing']>): InsideFinding {
  return {
    ...{
      severity: 'check',
      code: 'person-on-nothing',
      where: { stage: 'fitout', part: insideThing(plan.id), x: plan.x },
    },
    data: { person: plan.name, on: nearest?.name ?? '', mm: nearest ? Math.abs(nearest.top - plan.height) : 0 },
    ...(nearest && {
      remedies: [
        {
          label: `Put it on ${nearest.name.toLowerCase()}`,
          edits: [{ path: [...PEOPLE_PATH, plan.id, 'height'], value: Math.round(nearest.top * 10) / 10 }],
        },
      ],
    }),
  };
}
