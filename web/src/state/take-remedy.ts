/**
 * A remedy taken. Its edits were made for the boat as it was when it was judged. Of one that has changed since it waits
 * until that is judged, and is put to it where the same is offered again: a point of the table may be another now.
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

/**
 * Its edits as they are offered now: the very same, or where points came in or went since then the one that does the
 * same to the same thing at another place of the list. Undefined where there is none such, or more than one.
 */
export function offeredNow(remedy: Remedy, findings: readonly Finding[]): readonly Edit[] | undefined {
  const offers = findings.flatMap(({ remedies = [] }) => remedies).filter(({ label }) => label === remedy.label);
  const same = offers.find(({ edits }) => isSame(edits, remedy.edits));
  if (same) return same.edits;
  const alike = offers.filter(({ edits }) => isSame(edits.map(withoutPlaces), remedy.edits.map(withoutPlaces)));
  return alike.length === 1 ? alike[0]?.edits : undefined;
}

const withoutPlaces = ({ path, value }: Edit) => ({
  path: path.map((step) => (typeof step === 'number' ? null : step)),
  value,
});
