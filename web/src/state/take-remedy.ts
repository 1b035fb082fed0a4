/**
 * A remedy taken. Its edits were made for the boat as it was when it was judged. Of one that has changed since it waits
 * until that is judged, and is put to it where the very same is offered again: a point of the table may be another now.
 */
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { Edit, Finding } from '@kalotrope/core/findings';
import { isSame } from '@kalotrope/core/stage';
import { edited } from './document-slice';

type Remedy = { readonly label: string; readonly edits: readonly Edit[] };
type Judged = { readonly document: { readonly version: number }; readonly derived: { readonly version: number } };

/** Whether what is said of the boat was said before its last change. */
export const selectIsBehind = ({ document, derived }: Judged): boolean => derived.version < document.version;

/** Asked for, of a boat that is still being worked out. */
export const remedyWaits = createAction<Remedy>('remedy/waits');

export const remedyTaken =
  ({ label, edits }: Remedy) =>
  (dispatch: (action: UnknownAction) => unknown, getState: () => Judged): void => {
    const remedy = { label, edits: [...edits] };
    dispatch(selectIsBehind(getState()) ? remedyWaits(remedy) : edited(remedy));
  };

/** Whether the very same is offered. */
export const isOffered = (remedy: Remedy, findings: readonly Finding[]): boolean =>
  findings.some(({ remedies = [] }) =>
    remedies.some(({ label, edits }) => label === remedy.label && isSame(edits, remedy.edits)),
  );
