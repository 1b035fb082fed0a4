/** Goes to a field of the slip by its label: opens what it is folded away in, and puts the focus there. */
import { sectionTurned, slipFolded } from './screen-slice';
import type { AppDispatch, RootState } from './store';

type Sought = { readonly label: string; readonly section?: string };

/** A stage that is opened for the first time has to be fetched. */
const LOOK_FOR_MS = 10_000;

export const fieldSought =
  ({ label, section }: Sought) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    if (getState().screen.slip.isFolded) dispatch(slipFolded());
    if (section !== undefined) dispatch(sectionTurned({ title: section, isOpen: true }));
    const until = performance.now() + LOOK_FOR_MS;
    const look = () => {
      const field = fieldOf(label);
      if (field) {
        field.scrollIntoView({ block: 'center' });
        field.focus();
      } else if (performance.now() < until) requestAnimationFrame(look);
    };
    // the box in which it was looked for gives the focus back as it closes
    requestAnimationFrame(() => requestAnimationFrame(look));
  };

/** A box to tick stands within its label. */
const boxOf = (label: string): HTMLElement | null =>
  [...document.querySelectorAll<HTMLElement>('aside .MuiFormControlLabel-root')]
    .find(({ textContent }) => textContent.trim() === label)
    ?.querySelector('input') ?? null;

function fieldOf(label: string): HTMLElement | null {
  const labels = [...document.querySelectorAll<HTMLElement>('aside .MuiInputLabel-root')];
  const own = labels.find(({ textContent }) => textContent.trim() === label);
  if (!own) return boxOf(label);
  // a list to choose from is no field of a form: it is labelled by what it is told
  return own instanceof HTMLLabelElement && own.htmlFor !== ''
    ? document.getElementById(own.htmlFor)
    : document.querySelector<HTMLElement>(`[aria-labelledby~="${CSS.escape(own.id)}"]`);
}
