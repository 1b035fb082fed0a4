/** What of the boat in the round is shown or left out, besides the skin. */
export type Layer = 'standing' | 'within' | 'above';
export type Layers = Readonly<Record<Layer, boolean>>;

export const ALL_LAYERS: Layers = { standing: true, within: true, above: true };

export const LAYER_WORDS: Readonly<Record<Layer, { readonly label: string; readonly hint: string }>> = {
  standing: { label: 'Frames', hint: 'Frames, bulkheads, girders and long timbers' },
  within: { label: 'Inside', hint: 'Soles, seats, tops, knees and blocks' },
  above: { label: 'On top', hint: 'Decks, cabin sides and outer stems' },
};
