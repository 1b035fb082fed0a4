import { panelOfThing, partIdsOf, transomOfThing, type Panel, type Transom } from '@kalotrope/core/panels';
import type { Picked } from '../../state/picked';

/** The panel picked; where it was cut in two since, its first part, and where it was made whole again, the whole. */
export function pickedPanel(panels: readonly Panel[], choice: Picked | null): Panel | undefined {
  const id = panelOfThing(choice);
  if (id === undefined) return panels[0];
  return (
    panels.find((panel) => panel.id === id) ??
    panels.find((panel) => panel.partOf?.id === id || partIdsOf(panel.id).includes(id)) ??
    panels[0]
  );
}

/** The transom picked, if it is one. */
export const pickedTransom = (transoms: readonly Transom[], choice: Picked | null): Transom | undefined =>
  transoms.find(({ id }) => id === transomOfThing(choice));
