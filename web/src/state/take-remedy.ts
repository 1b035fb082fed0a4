/**
 * A remedy taken. Its edits were made for the boat as it was when it was judged: to one that has changed since they are
 * not put, as a point of the table may now be another.
 */
import type { Edit } from '@kalotrope/core/findings';
import { edited } from './document-slice';
import type { AppDispatch, RootState } from './store';

type Remedy = { readonly label: string; readonly edits: readonly Edit[] };
type Judged = { readonly document: { readonly version: number }; readonly derived: { readonly version: number } };

/** Whether what is said of the boat was said before its last change. */
export const selectIsBehind = ({ document, derived }: Judged): boolean => derived.version < document.version;

export const remedyTaken =
  ({ label, edits }: Remedy) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    if (!selectIsBehind(getState())) dispatch(edited({ label, edits: [...edits] }));
  };
