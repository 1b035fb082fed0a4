/** The unit and its notation: kept with the boat, and the last choice for the next one. */
import { NOTATIONS, type Notation } from '@kalotrope/core/measure';
import { keepNotation } from '../storage/last-choices';
import { edited } from './document-slice';
import { notationSet } from './screen-slice';
import { selectNotation } from './selectors';
import type { AppDispatch, RootState } from './store';

export const chooseNotation = (notation: Notation) => (dispatch: AppDispatch, getState: () => RootState) => {
  keepNotation(notation);
  dispatch(notationSet(notation));
  const { project } = getState().document;
  if (project && project.notation !== notation)
    dispatch(edited({ label: 'Unit', edits: [{ path: ['notation'], value: notation }] }));
};

/** The next one in the list. */
export const stepNotation = () => (dispatch: AppDispatch, getState: () => RootState) => {
  const now = NOTATIONS.indexOf(selectNotation(getState()));
  dispatch(chooseNotation(NOTATIONS[(now + 1) % NOTATIONS.length] ?? 'mm'));
};
