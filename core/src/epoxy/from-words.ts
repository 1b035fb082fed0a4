/** What a line of the list was counted from, in words: each figure in the boat's unit. */
import {
  formatArea,
  formatClothWeight,
  formatLength,
  formatSection,
  isImperial,
  unitLabel,
  type Notation,
} from '../measure';
import type { CountedFrom } from './takeoff';

export function fromWords(from: CountedFrom, notation: Notation): string {
  switch (from.kind) {
    case 'fillet':
      return (
        `${run(from.length, notation)}, section ${formatSection(from.sectionMm2, notation)}, ` +
        `radius ${width(from.radius, notation)}, corner ${from.angleDeg.toFixed(0)}°`
      );
    case 'tape':
      return `${run(from.length, notation)} × ${from.layers} × ${width(from.width, notation)}`;
    case 'cloth':
      return (
        `${formatArea(from.areaM2, notation)} × (${formatClothWeight(from.weight, notation)} + ` +
        `${from.coats} fill coats)`
      );
    case 'faces':
      return `${formatArea(from.areaM2, notation)} both faces × ${from.coats} coats`;
    case 'scarf':
      return isImperial(notation)
        ? `${formatSection(from.areaM2 * 1e6, notation)} of scarf`
        : `${(from.areaM2 * 1e4).toFixed(0)} cm² of scarf`;
  }
}

const MM_PER_FOOT = 304.8;

const run = (mm: number, notation: Notation): string =>
  isImperial(notation) ? `${(mm / MM_PER_FOOT).toFixed(1)} ft` : `${(mm / 1000).toFixed(2)} m`;

/** Inches by sixteenths, whatever the boat's own notation: of tapes and fillets. */
export const width = (mm: number, notation: Notation): string =>
  isImperial(notation) ? `${formatLength(mm, 'in-16')} ${unitLabel('in')}` : `${Number(mm.toFixed(1))} mm`;
