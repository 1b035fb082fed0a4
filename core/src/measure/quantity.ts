/** Angles, masses, areas and shares as they are shown. Inside the program: radians or degrees by name, g, m². */

import { isImperial, type Notation } from './length';

export const toDeg = (angleRad: number): number => (angleRad * 180) / Math.PI;
export const toRad = (angleDeg: number): number => (angleDeg * Math.PI) / 180;

/** `12.3°` */
export const formatDeg = (angleDeg: number, digits = 1): string =>
  `${zeroSafe(angleDeg.toFixed(digits)).replace('-', '−')}°`;

/** Avoirdupois ounce and pound, square yard and square foot: exact by the agreement of 1959. */
const G_PER_OUNCE = 28.349523125;
const OUNCES_PER_POUND = 16;
const M2_PER_SQUARE_YARD = 0.83612736;
const M2_PER_SQUARE_FOOT = 0.09290304;
const MM_PER_YARD = 914.4;
/** From so many ounces on they are said in pounds. */
const MOST_OUNCES = 32;

/** Grams under a kilogram, kilograms above; ounces, then pounds, for a boat in inches. */
export function formatMass(grams: number, notation: Notation): string {
  if (isImperial(notation)) {
    const ounces = grams / G_PER_OUNCE;
    return ounces < MOST_OUNCES ? `${ounces.toFixed(1)} oz` : `${(ounces / OUNCES_PER_POUND).toFixed(1)} lb`;
  }
  if (grams < 1000) return `${Math.round(grams)} g`;
  return `${(grams / 1000).toFixed(grams < 10_000 ? 2 : 1)} kg`;
}

/** A mass as a figure of a column, with what stands in the column's head. */
export const massUnit = (notation: Notation): string => (isImperial(notation) ? 'oz' : 'g');
export const massFigure = (grams: number, notation: Notation): string =>
  isImperial(notation) ? (grams / G_PER_OUNCE).toFixed(1) : String(Math.round(grams));

/** What one shown unit of mass is in the program, g. */
export const gramsPerShown = (notation: Notation): number => (isImperial(notation) ? G_PER_OUNCE : 1);

/** US fluid ounce, exact; so many of them make a quart. */
const ML_PER_OUNCE = 29.5735295625;
const OUNCES_PER_QUART = 32;

/** Millilitres under a litre, litres above; fluid ounces, then quarts, for a boat in inches. */
export function formatVolume(ml: number, notation: Notation): string {
  if (isImperial(notation)) {
    const ounces = ml / ML_PER_OUNCE;
    return ounces < OUNCES_PER_QUART ? `${ounces.toFixed(1)} fl oz` : `${(ounces / OUNCES_PER_QUART).toFixed(2)} qt`;
  }
  return ml < 1000 ? `${Math.round(ml)} ml` : `${(ml / 1000).toFixed(2)} litres`;
}

/** A volume as a figure of a column or a field, with what stands beside it, and what one of it is in ml. */
export const volumeUnit = (notation: Notation): string => (isImperial(notation) ? 'fl oz' : 'ml');
export const mlPerShown = (notation: Notation): number => (isImperial(notation) ? ML_PER_OUNCE : 1);

const F_PER_C = 9 / 5;
const FREEZING_F = 32;

export const temperatureUnit = (notation: Notation): string => (isImperial(notation) ? '°F' : '°C');
export const shownTemperature = (celsius: number, notation: Notation): number =>
  isImperial(notation) ? celsius * F_PER_C + FREEZING_F : celsius;
export const fromShownTemperature = (shown: number, notation: Notation): number =>
  isImperial(notation) ? (shown - FREEZING_F) / F_PER_C : shown;
/** `18 °C`, `64 °F` */
export const formatTemperature = (celsius: number, notation: Notation): string =>
  `${zeroSafe(shownTemperature(celsius, notation).toFixed(0)).replace('-', '−')} ${temperatureUnit(notation)}`;

/** `1.23 m²`, `13.2 ft²` */
export const formatArea = (areaM2: number, notation: Notation): string =>
  `${areaFigure(areaM2, notation)} ${areaUnit(notation)}`;
export const areaUnit = (notation: Notation): string => (isImperial(notation) ? 'ft²' : 'm²');
export const areaFigure = (areaM2: number, notation: Notation): string =>
  isImperial(notation) ? (areaM2 / M2_PER_SQUARE_FOOT).toFixed(1) : areaM2.toFixed(2);

/** A length as stuff is sold by: `12.3 m`, `13.5 yd`. */
export const formatRun = (metres: number, notation: Notation): string =>
  isImperial(notation) ? `${((metres * 1000) / MM_PER_YARD).toFixed(1)} yd` : `${metres.toFixed(1)} m`;

/** The same of what is bought: rounded up, for none of it may be short. */
export function formatRunToBuy(metres: number, notation: Notation): string {
  const step = (isImperial(notation) ? MM_PER_YARD : 1000) / SHOWN_IN_RUN;
  return formatRun((Math.ceil((metres * 1000) / step - NOISE) * step) / 1000, notation);
}
const SHOWN_IN_RUN = 10;
const NOISE = 1e-6;

/** What a cloth's weight is counted in, and how many g/m² that is. */
export const clothWeightUnit = (notation: Notation): { readonly words: string; readonly gramsPerM2: number } =>
  isImperial(notation)
    ? { words: 'oz/yd²', gramsPerM2: G_PER_OUNCE / M2_PER_SQUARE_YARD }
    : { words: 'g/m²', gramsPerM2: 1 };

/** What a cloth weighs: `200 g/m²`, `5.9 oz/yd²`. */
export const formatClothWeight = (gramsPerM2: number, notation: Notation): string =>
  isImperial(notation)
    ? `${((gramsPerM2 * M2_PER_SQUARE_YARD) / G_PER_OUNCE).toFixed(1)} oz/yd²`
    : `${Math.round(gramsPerM2)} g/m²`;

/** A fraction as per cent: 0.812 is `81 %`. */
export const formatShare = (fraction: number, digits = 0): string => `${(fraction * 100).toFixed(digits)} %`;

function zeroSafe(text: string): string {
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}
