/** What is to be looked at of how she floats. */
import type { FindingsOf } from '../findings';
import { toDeg } from '../measure';
import { HEEL_TOLD, LOW_FREEBOARD, TRIM_TOLD } from './constants';
import type { WEIGHTS_FINDINGS } from './findings';
import { loadThing } from './things';
import type { WeightsPart } from './schema';
import type { NotAfloat, WeightsValue } from './value';

type WeightsFinding = FindingsOf<typeof WEIGHTS_FINDINGS>;
const where = { stage: 'weights' };

/** A boat with nothing in her yet is not judged by how she lies: only that she would not lie upright is said. */
const isLaden = (loads: WeightsPart['loads']): boolean => loads.some(({ isAboard, kg }) => isAboard && kg > 0);

export function judgeWeights(value: WeightsValue, { loads }: Pick<WeightsPart, 'loads'>): WeightsFinding[] {
  const { notAfloat, afloat, allGrams } = value;
  if (notAfloat) return notFloated(notAfloat, { loads, grams: allGrams });
  if (!afloat) return [];
  if (!isLaden(loads)) return tender(value);
  const [trim, heel] = [toDeg(afloat.trimRad), toDeg(afloat.heelRad)];
  return [
    ...overSheer(value, loads),
    ...heeling(value, heel),
    ...(Math.abs(trim) >= TRIM_TOLD.value
      ? [
          {
            ...({ severity: 'note', code: 'float-trims', where } as const),
            data: { deg: Math.abs(trim), end: trim > 0 ? 'bow' : 'stern' },
          },
        ]
      : []),
  ];
}

/** Where no weight lies to a side, and yet she leans, she is tender. */
const EVEN_MM = 1;

function heeling(value: WeightsValue, heel: number): WeightsFinding[] {
  const deg = Math.abs(heel);
  if (deg < HEEL_TOLD.value) return [];
  return Math.abs(value.allAt[1]) < EVEN_MM
    ? tender(value, 'check')
    : [{ severity: 'check', code: 'float-heels', where, data: { deg, side: heel > 0 ? 'starboard' : 'port' } }];
}

function tender({ afloat }: WeightsValue, severity: 'check' | 'note' = 'note'): WeightsFinding[] {
  const deg = Math.abs(toDeg(afloat?.heelRad ?? 0));
  return deg < HEEL_TOLD.value ? [] : [{ severity, code: 'float-tender', where, data: { deg } }];
}

type Why = { readonly loads: WeightsPart['loads']; readonly grams: number };

function notFloated(why: NotAfloat, { loads, grams }: Why): WeightsFinding[] {
  switch (why) {
    case 'no hull':
      return [];
    case 'too heavy':
      return [{ severity: 'stop', code: 'float-too-heavy', where: heaviest(loads), data: { grams } }];
    case 'not settled':
      return [
        { severity: isLaden(loads) ? 'stop' : 'note', code: 'float-not-settled', where: heaviest(loads), data: {} },
      ];
    case 'open':
      return isLaden(loads) ? [{ severity: 'note', code: 'float-open', where, data: {} }] : [];
    case 'unlike':
      return isLaden(loads) ? [{ severity: 'note', code: 'float-unlike', where, data: {} }] : [];
  }
}

function overSheer({ freeboard }: WeightsValue, loads: WeightsPart['loads']): WeightsFinding[] {
  if (!freeboard || freeboard.mm >= LOW_FREEBOARD.value) return [];
  const { mm, x, side } = freeboard;
  return mm < 0
    ? [{ severity: 'stop', code: 'float-over-sheer', where: heaviest(loads), data: { under: -mm, x, side } }]
    : [{ severity: 'check', code: 'float-low', where: heaviest(loads), data: { mm, x } }];
}

/** Of what is aboard: it is that which can be put ashore. */
function heaviest(loads: WeightsPart['loads']) {
  const [first] = loads.filter(({ isAboard }) => isAboard).sort((a, b) => b.kg - a.kg);
  return first ? { ...where, part: loadThing(first.id) } : where;
}
