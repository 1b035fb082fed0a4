/**
 * A panel laid of thin sheets, which bend where one thick one will not, and which are joined in different places.
 *
 * The layers make up the skin's thickness between them, so that all that stands against the skin is as it was; each has
 * the flat shape of its own middle (cut.ts), for an outer one goes the longer way round a bend. Glue lines are thinner
 * than what a plane takes off, and are left out. Lengths mm.
 */
import type { Shared } from '../neighbours';
import type { Panel } from '../panel';
import type { LayeredPanel } from '../schema';
import { cutPanel, type Skin } from './cut';
import { thicknessOf } from './own-sheet';

/** Of how many layers a panel is laid. */
export const layersOf = (id: string, layered: readonly LayeredPanel[]): number =>
  layered.find((own) => own.id === id)?.layers ?? 1;

/** The list with the panel laid of so many; of one it is a plain sheet. */
export const withLayers = (layered: readonly LayeredPanel[], id: string, layers: number): LayeredPanel[] => [
  ...layered.filter((own) => own.id !== id),
  ...(layers > 1 ? [{ id, layers }] : []),
];

/** Each as it is cut, from the inside out. */
export const cutLayers = (panel: Panel, shared: readonly Shared[], skin: Skin, count: number): readonly Panel[] =>
  Array.from({ length: count }, (_, k): Panel => {
    const layer = { of: panel.id, number: k + 1, count, thicknessMm: thicknessOf(panel, skin.thickness) / count };
    return { ...cutPanel(panel, shared, { ...skin, layer }), layer };
  });

export const layeredOf = (whole: Panel, ...layers: readonly Panel[]): Panel => ({ ...whole, layers });

/** Of so many, from the inside out. */
const WORDS: readonly (readonly string[])[] = [
  ['inner', 'outer'],
  ['inner', 'middle', 'outer'],
  ['inner', 'second', 'third', 'outer'],
];

/** What is cut of a panel: itself, or its layers, under ids and names that say whose they are. */
export function cutOf(panel: Panel): readonly Panel[] {
  const { layers, id, name, like, only } = panel;
  if (!layers) return [panel];
  return layers.map((layer, k): Panel => {
    const own = (of: string) => `${of}.layer${k + 1}`;
    return {
      ...layer,
      ...{ id: own(id), name: `${name}, ${WORDS[layers.length - 2]?.[k] ?? String(k + 1)} layer` },
      ...(like !== undefined && { like: own(like) }),
      ...(only && { only }),
    };
  });
}
