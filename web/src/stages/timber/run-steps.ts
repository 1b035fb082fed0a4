import { createSelector } from '@reduxjs/toolkit';
import { runThing } from '@kalotrope/core/timber';
import { selectDerived } from '../../state/selectors';

export const selectRunSteps = createSelector([selectDerived], (derived) =>
  (derived?.timber.value.runs ?? []).map(({ id }) => runThing(id)),
);
