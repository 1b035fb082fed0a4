/** What is said of how she floats, and what is said with it everywhere. */
import { formatDeg, formatMass, formatVolume, formatWithUnit, isImperial, toDeg, type Notation } from '../measure';
import type { NotAfloat, WeightsValue } from './value';

export const NO_APPROVAL =
  'Worked out for still water. It approves nothing: stability, buoyancy, load and engine limits are for a qualified ' +
  'designer and the local authority.';

export type FloatLine = { readonly what: string; readonly value: string };

/** Figures in the builder's unit, the most wanted first. */
export function floatWords(value: WeightsValue, notation: Notation): FloatLine[] {
  const { afloat, freeboard, notAfloat, rocker, bareGrams, allGrams } = value;
  const mm = (length: number) => formatWithUnit(length, notation);
  const turned = (rad: number, [plus, minus]: readonly [string, string]) => {
    const deg = toDeg(rad);
    return Math.abs(deg) < EVEN_DEG ? 'none' : `${formatDeg(Math.abs(deg))}, ${deg > 0 ? plus : minus}`;
  };
  return [
    { what: 'Bare weight', value: formatMass(bareGrams, notation) },
    { what: 'With what is aboard', value: formatMass(allGrams, notation) },
    ...(notAfloat ? [{ what: 'Afloat', value: NOT_AFLOAT[notAfloat] }] : []),
    ...(afloat
      ? [
          { what: 'Water pushed away', value: formatVolume(afloat.volumeMm3 / MM3_PER_ML, notation) },
          { what: 'Draught', value: mm(afloat.draughtMm) },
          ...(freeboard ? [{ what: 'Least freeboard', value: mm(freeboard.mm) }] : []),
          ...(freeboard ? [{ what: 'It is, from the stem', value: mm(freeboard.x) }] : []),
          { what: 'Trim', value: turned(afloat.trimRad, ['bow down', 'stern down']) },
          { what: 'Heel', value: turned(afloat.heelRad, ['to starboard', 'to port']) },
          isImperial(notation)
            ? { what: 'Sinks an inch with', value: formatMass(CM_PER_INCH * afloat.gramsPerCm, notation) }
            : { what: 'Sinks a centimetre with', value: formatMass(afloat.gramsPerCm, notation) },
          ...(afloat.reach
            ? [
                { what: 'Float line, long', value: mm(afloat.reach.x[1] - afloat.reach.x[0]) },
                { what: 'Float line, broad', value: mm(afloat.reach.y[1] - afloat.reach.y[0]) },
              ]
            : []),
        ]
      : []),
    ...(rocker
      ? [
          { what: 'Rocker, fore', value: mm(rocker.foreMm) },
          { what: 'Rocker, aft', value: mm(rocker.aftMm) },
          { what: 'Run aft, off straight', value: mm(rocker.runMm) },
        ]
      : []),
  ];
}
const NOT_AFLOAT: Readonly<Record<NotAfloat, string>> = {
  ...{ 'no hull': 'no hull yet', open: 'a panel is missing', unlike: 'sides are unlike' },
  ...{ 'too heavy': 'she sinks', 'not settled': 'she rolls over' },
};

const CM_PER_INCH = 2.54;
const MM3_PER_ML = 1000;
/** What is less is none. */
const EVEN_DEG = 0.05;
