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
import type { CountedFrom, GlueFace } from './line';

export function fromWords(from: CountedFrom, notation: Notation): string {
  switch (from.kind) {
    case 'fillet':
      return (
        `${run(from.length, notation)}, section ${formatSection(from.sectionMm2, notation)}, radius ` +
        `${width(from.radius, notation)}${from.ruledBy === 'leg' ? ' by its leg' : ''}, ` +
        `corner ${from.angleDeg.toFixed(0)}°`
      );
    case 'tape':
      return `${run(from.length, notation)} ${from.side}, ${widthsWords(from.widths, notation)}`;
    case 'tabs':
      return `${from.count} of ${width(from.length, notation)}, ${width(from.width, notation)} wide`;
    case 'cloth':
      return (
        `${formatArea(from.areaM2, notation)} × (${formatClothWeight(from.weight, notation)} + ` +
        `${from.coats} fill coats)`
      );
    case 'faces':
      return (
        `${formatArea(from.areaM2, notation)}, ${from.faces === 2 ? 'both faces' : 'one face'} × ` +
        `${from.coats} coats`
      );
    case 'painted':
      return `${formatArea(from.areaM2, notation)} ${from.side}, ${coatsWords(from.coats)}`;
    case 'glued':
      return `${GLUED[from.what]}, ${
        isImperial(notation)
          ? formatSection(from.areaM2 * MM2_PER_M2, notation)
          : `${(from.areaM2 * CM2_PER_M2).toFixed(0)} cm²`
      }`;
  }
}

const GLUED: Readonly<Record<GlueFace, string>> = {
  blanks: 'where sheets join',
  skin: 'on the skin',
  layers: 'between layers',
  skins: 'between layers of the skin',
  scarfs: 'scarfs of timber',
  cleats: 'on frame and skin',
  doublers: 'on the frame',
  edges: 'edge on the skin',
};

/** All of one width, or each by its own. */
const widthsWords = (widths: readonly number[], notation: Notation): string =>
  new Set(widths).size === 1
    ? `${widths.length} × ${width(widths[0] ?? 0, notation)}`
    : widths.map((one) => width(one, notation)).join(' + ');

const coatsWords = (coats: number): string => (coats === 1 ? 'one coat' : `${coats} coats`);

const MM_PER_FOOT = 304.8;
const MM2_PER_M2 = 1e6;
const CM2_PER_M2 = 1e4;

const run = (mm: number, notation: Notation): string =>
  isImperial(notation) ? `${(mm / MM_PER_FOOT).toFixed(1)} ft` : `${(mm / 1000).toFixed(2)} m`;

/** Inches by sixteenths, whatever the boat's own notation: of tapes and fillets. */
export const width = (mm: number, notation: Notation): string =>
  isImperial(notation) ? `${formatLength(mm, 'in-16')} ${unitLabel('in')}` : `${Number(mm.toFixed(1))} mm`;
