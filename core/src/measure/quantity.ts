/** Angles, masses, areas and shares as they are shown. Inside the program: radians or degrees by name, g, m². */

export const toDeg = (angleRad: number): number => (angleRad * 180) / Math.PI;
export const toRad = (angleDeg: number): number => (angleDeg * Math.PI) / 180;

/** `12.3°` */
export const formatDeg = (angleDeg: number, digits = 1): string => `${zeroSafe(angleDeg.toFixed(digits))}°`;

/** Grams under a kilogram, kilograms above. */
export function formatMass(grams: number): string {
  if (grams < 1000) return `${Math.round(grams)} g`;
  return `${(grams / 1000).toFixed(grams < 10_000 ? 2 : 1)} kg`;
}

/** `1.23 m²` */
export const formatArea = (areaM2: number): string => `${areaM2.toFixed(2)} m²`;

/** A fraction as per cent: 0.812 is `81 %`. */
export const formatShare = (fraction: number, digits = 0): string => `${(fraction * 100).toFixed(digits)} %`;

function zeroSafe(text: string): string {
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}
