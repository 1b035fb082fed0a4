/** Read-outs of the state that several screens share. */
import { createSelector } from '@reduxjs/toolkit';
import { worstFirst, type Finding } from '@kalotrope/core/findings';
import { bendLines, drawLine, type Hull, type Station } from '@kalotrope/core/lines';
import { panelThing } from '@kalotrope/core/panels';
import { findingsOf, type StageName } from '@kalotrope/core/project';
import { isSame } from '@kalotrope/core/stage';
import type { Picked } from './picked';
import type { RootState } from './store';

export const selectProject = (state: RootState) => state.document.project;
export const selectDerived = (state: RootState) => state.derived.derived;
export const selectFound = (state: RootState) => state.derived.found;
export const selectNotation = (state: RootState) => state.document.project?.notation ?? state.screen.notation;
export const selectPicked = (state: RootState) => state.screen.picked;

/**
 * The lines as they are drawn: worked out here at once, so that what is dragged follows the hand; a line that an edit
 * leaves alone stays the same object, and so undrawn. Without residuals, which come with the engine's answer.
 */
export const selectLiveHull = createSelector(
  [(state: RootState) => state.document.project?.lines.longitudinals],
  (longitudinals): Hull | null => {
    if (!longitudinals) return null;
    const hull = bendLines({ longitudinals }).value;
    return { ...hull, lines: hull.lines.map(drawLine), extras: hull.extras.map(drawLine) };
  },
);

/** The stations; the same list until one of them moves. */
export const selectStations = createSelector([selectDerived], (derived) => derived?.lines.value.stations ?? [], {
  memoizeOptions: { resultEqualityCheck: areSameStations },
});

function areSameStations(a: readonly Station[], b: readonly Station[]): boolean {
  return a.length === b.length && a.every(({ label, x }, i) => label === b[i]?.label && x === b[i].x);
}

/** A stage's findings, worst first, with those on what a search has found. */
export const selectFindings = createSelector(
  [selectDerived, selectProject, selectFound, (_: RootState, stage: StageName) => stage],
  (derived, project, found, stage): readonly Finding[] =>
    derived && project ? worstFirst(findingsOf(stage, derived, { project, found })) : [],
  // the same list as long as the same is said
  { memoizeOptions: { resultEqualityCheck: isSame } },
);

/**
 * Why nothing found does not mean yet that nothing is wrong: it is still being worked out, or searched for; null where
 * everything has been looked at.
 */
export const selectStillLooking = ({ document, derived: { derived, version, failed, isSearching } }: RootState) => {
  if (failed !== null) return 'It could not be worked out.';
  if (derived === null || version < document.version) return 'Working it out.';
  return isSearching ? 'Still laying out the sheets.' : null;
};

/** The panels to step through, on every stage that is about them. */
export const selectPanelSteps = createSelector([selectDerived], (derived): readonly Picked[] =>
  (derived?.panels.value.panels ?? []).map(({ id }) => panelThing(id)),
);
