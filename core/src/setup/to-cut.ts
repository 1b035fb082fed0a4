/** What is cut where the boat is built as it stands: of each panel the one that was developed for that. */
import type { Drawing } from '../formats';
import { cutOf, type Panel } from '../panels';
import type { BuiltPanel } from './built';
import { builtDrawing, type BuiltWhole } from './built-drawings';

type CutFrom = {
  readonly panels: { readonly panels: readonly Panel[] };
  readonly setup: { readonly built: readonly BuiltPanel[] };
};

/**
 * The panels as drawn, each where it was developed as built by that one, under its own id; where its hands are unlike
 * to starboard under its own id, to port under another. One that cannot be made as built, or that hand of it, stays as
 * drawn, and that is found at Set-up. Of one that is laid of layers each layer stands in its place.
 */
export const panelsToCut = (values: CutFrom): readonly Panel[] => {
  const panels = values.setup.built.length === 0 ? values.panels.panels : cuts(values).map(({ panel }) => panel);
  return panels.some(({ layers }) => layers) ? panels.flatMap(cutOf) : panels;
};

type Cut = { readonly panel: Panel; readonly built?: BuiltPanel };

function cuts({ panels, setup }: CutFrom): Cut[] {
  return panels.panels.flatMap((drawn): Cut[] => {
    const built = setup.built.filter(({ panel }) => panel.id === drawn.id);
    if (built.length === 0) return [{ panel: drawn }];
    const whole = built.find(({ hand }) => hand === 'pair' || hand === 'across');
    if (whole) return [{ built: whole, panel: { ...whole.panel, id: drawn.id, name: drawn.name } }];
    // no hand is left out: one that could not be made as built is cut as it was drawn
    return (['starboard', 'port'] as const).map((hand): Cut => {
      const one = built.find((other) => other.hand === hand);
      return { panel: ofHand(one?.panel ?? drawn, hand, drawn), ...(one && { built: one }) };
    });
  });
}

function ofHand(panel: Panel, hand: 'starboard' | 'port', { id, name }: Panel): Panel {
  const own = { ...panel, name: `${name}, ${hand}`, only: hand };
  return hand === 'port' ? { ...own, id: `${id}.port`, like: id } : { ...own, id };
}

/** The id under which what is decided of a panel is kept: to port that of the one to starboard. */
export const likePanel = ({ id, like }: Pick<Panel, 'id' | 'like'>): string => like ?? id;

/** What is marked on panels that are cut as built, by the panel's id. */
export const markedAsBuilt = (whole: BuiltWhole): ReadonlyMap<string, Drawing> =>
  new Map(
    cuts(whole.values).flatMap(({ panel, built }) =>
      built ? cutOf(panel).map((own) => [own.id, builtDrawing({ ...built, panel: own }, whole)] as const) : [],
    ),
  );
