/** Printing what stands on the screen, and not what stood there before the last change: it waits for the answer. */
import { printTurned, said } from './screen-slice';
import { selectStillLooking } from './selectors';
import type { AppDispatch, RootState } from './store';

export const printAsked =
  () =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    if (selectStillLooking(getState()) !== null) dispatch(said('It is printed when the boat is worked out.'));
    dispatch(printTurned(true));
  };
