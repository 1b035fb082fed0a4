import type { Panel } from '@kalotrope/core/panels';
import type { Picked } from './screen-slice';

/** The panel picked; where it was cut in two since, its first part, and where it was made whole again, the whole. */
export const pickedPanel = (panels: readonly Panel[], choice: Picked | null): Panel | undefined => {
  const id = choice?.kind === 'panel' ? choice.id : undefined;
  return (
    panels.find((panel) => panel.id === id) ??
    panels.find((panel) => id !== undefined && (panel.partOf?.id === id || id.startsWith(`${panel.id}.`))) ??
    panels[0]
  );
};
