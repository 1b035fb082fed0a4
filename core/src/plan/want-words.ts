/** What a job wants, as lines of a list: what, and how much of it in the builder's unit. */
import {
  formatArea,
  formatMass,
  formatRun,
  formatTemperature,
  formatThickness,
  formatVolume,
  formatWithUnit,
  type Notation,
} from '../measure';
import type { Material, Wants } from './work/wants';
import { hoursWords } from './words';

export type WantLine = { readonly what: string; readonly value: string };

export function wantLines({ materials, bench, clamps, moulds, cure }: Wants, notation: Notation): WantLine[] {
  return [
    ...materials.map((one) => ({ what: one.what, value: howMuch(one, notation) })),
    ...(bench ? [{ what: 'flat place', value: `${bench.map((mm) => formatWithUnit(mm, notation)).join(' × ')}` }] : []),
    ...(clamps > 0 ? [{ what: 'clamps or weights', value: String(clamps) }] : []),
    ...(moulds.length > 0 ? [{ what: 'moulds', value: moulds.join(', ') }] : []),
    ...(cure ? cureLines(cure, notation) : []),
  ];
}

function cureLines({ leastC, dampest, potMin, pots, hardH, curedH }: NonNullable<Wants['cure']>, notation: Notation) {
  return [
    { what: 'shop, at least', value: formatTemperature(leastC, notation) },
    { what: 'damp, at most', value: `${dampest} %` },
    ...(potMin === undefined
      ? []
      : [
          { what: 'pots', value: String(pots) },
          { what: 'each lasts', value: hoursWords(potMin) },
        ]),
    { what: 'to be worked on', value: `after ${hardH} h` },
    ...(curedH > hardH ? [{ what: 'cured', value: `after ${curedH} h` }] : []),
  ];
}

function howMuch({ thicknessMm, areaM2, grams, ml, runM, pieces }: Material, notation: Notation): string {
  return [
    ...(thicknessMm === undefined ? [] : [`${formatThickness(thicknessMm, notation)}`]),
    ...(areaM2 === undefined ? [] : [formatArea(areaM2, notation)]),
    ...(grams === undefined ? [] : [formatMass(grams, notation)]),
    ...(ml === undefined ? [] : [formatVolume(ml, notation)]),
    ...(runM === undefined ? [] : [formatRun(runM, notation)]),
    ...(pieces === undefined ? [] : [`${pieces} pieces`]),
  ].join(', ');
}
