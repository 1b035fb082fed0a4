/** What is to be looked at of the hanging knees. */
import { placeInPlane, type Frame } from '../../frames';
import { contains } from '../../geometry';
import { KNEE_THROAT } from '../constants';
import type { InsideFinding } from '../findings';
import { KNEES_PATH, type InsidePlan, type KneePlan } from '../schema';
import { insideThing } from '../things';
import type { FittedKnee, NoKnee } from './knee';

type Asked = { readonly parts: readonly InsidePlan[]; readonly frames: readonly Frame[] };

export const judgeKnees = (plans: readonly KneePlan[], knees: readonly FittedKnee[], asked: Asked): InsideFinding[] =>
  plans.flatMap((plan) =>
    knees
      .filter((knee) => knee.plan === plan.id)
      .flatMap((knee) =>
        knee.none
          ? [notMade(plan, knee, knee.none, asked)]
          : [
              ...throat(plan, knee),
              ...beyond(plan, knee, asked),
              ...inFrame(plan, knee, asked),
              ...onCleat(plan, asked),
            ],
      ),
  );

const whereOf = ({ id, x }: KneePlan) => ({ stage: 'fitout', part: insideThing(id), x });
const partOf = ({ onPart }: KneePlan, { parts }: Asked) => parts.find(({ id }) => id === onPart);

function notMade(plan: KneePlan, { name }: FittedKnee, why: NoKnee, asked: Asked): InsideFinding {
  const stop = { severity: 'stop' as const, where: whereOf(plan) };
  switch (why) {
    case 'on-nothing':
      return { ...stop, code: 'knee-on-nothing', data: { part: name } };
    case 'off-part': {
      const on = partOf(plan, asked);
      const value = on && Math.round((on.from + on.to) / 2);
      const remedies =
        value === undefined
          ? []
          : [{ label: 'Move it to the middle of that', edits: [{ path: [...KNEES_PATH, plan.id, 'x'], value }] }];
      return { ...stop, code: 'knee-off-part', data: { part: name, on: on?.name ?? '' }, remedies };
    }
    case 'no-skin':
      return { ...stop, code: 'knee-no-skin', data: { part: name, x: plan.x } };
    case 'no-wood':
      return { ...stop, code: 'knee-no-wood', data: { part: name } };
  }
}

function throat(plan: KneePlan, { name, throatMm, hollowMm }: FittedKnee): InsideFinding[] {
  const least = KNEE_THROAT.value * plan.thickness;
  if (throatMm >= least) return [];
  const less = Math.floor(hollowMm - (least - throatMm));
  return [
    {
      ...{ severity: 'check', code: 'knee-throat', where: whereOf(plan), data: { part: name, mm: throatMm, least } },
      ...(less >= 0 && {
        remedies: [{ label: 'Hollow it less', edits: [{ path: [...KNEES_PATH, plan.id, 'hollow'], value: less }] }],
      }),
    },
  ];
}

/** Less is planed off, mm. */
const BEYOND_MM = 1;

function beyond(plan: KneePlan, { name, beyondMm, acrossMm }: FittedKnee, asked: Asked): InsideFinding[] {
  if (beyondMm < BEYOND_MM) return [];
  const value = Math.floor(acrossMm - beyondMm);
  return [
    {
      ...{ severity: 'check', code: 'knee-beyond', where: whereOf(plan) },
      data: { part: name, on: partOf(plan, asked)?.name ?? '', mm: beyondMm },
      ...(value > plan.nose && {
        remedies: [{ label: 'Shorten that arm', edits: [{ path: [...KNEES_PATH, plan.id, 'across'], value }] }],
      }),
    },
  ];
}

/** On a frame's face by less it is glued to it, mm. */
const TOUCH_MM = 0.2;

function inFrame(plan: KneePlan, { name, faces, free }: FittedKnee, { frames }: Asked): InsideFinding[] {
  const places = [...faces.flatMap(({ arm, leg }) => [...arm, ...leg]), ...free];
  return frames
    .filter(({ kind }) => kind !== 'mould')
    .flatMap((frame): InsideFinding[] => {
      const foremost = frame.face === 'fore' ? 0 : -frame.width;
      const within = places.flatMap(([y, z]) => {
        const [aft, out, up] = placeInPlane(frame, [plan.x, y, z]);
        return contains(frame.cut.outline, [Math.abs(out), up]) ? [aft] : [];
      });
      if (within.length === 0) return [];
      const [least, most] = [Math.min(...within), Math.max(...within)];
      const [fore, after] = [foremost - plan.thickness / 2, foremost + frame.width + plan.thickness / 2];
      if (most <= fore + TOUCH_MM || least >= after - TOUCH_MM) return [];
      const middle = (least + most) / 2;
      // against the nearer face
      const by = middle < foremost + frame.width / 2 ? fore - most : after - least;
      return [
        {
          ...{
            severity: 'check',
            code: 'knee-in-frame',
            where: whereOf(plan),
            data: { part: name, frame: frame.name },
          },
          remedies: [
            {
              label: by < 0 ? 'Move it against the fore face' : 'Move it against the after face',
              edits: [{ path: [...KNEES_PATH, plan.id, 'x'], value: plan.x + by }],
            },
          ],
        },
      ];
    })
    .slice(0, 1);
}

function onCleat(plan: KneePlan, asked: Asked): InsideFinding[] {
  const on = partOf(plan, asked);
  if (!on || plan.goes === 'up' || !on.cleat.atSkin || on.fit === 'over') return [];
  const data = { part: plan.name, on: on.name };
  return [{ severity: 'note', code: 'knee-over-cleat', where: whereOf(plan), data }];
}
