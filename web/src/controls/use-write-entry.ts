/** Writing into the log of the open boat, from wherever it is asked for. */
import { said } from '../state/screen-slice';
import { selectProject } from '../state/selectors';
import { useAppDispatch, useAppStore } from '../state/store';
import { entryNow, type NewEntry } from '../storage/entry-now';
import { addEntry } from '../storage/log';

/** Resolves to whether it is on the disk; where it is not, that was said. */
export function useWriteEntry(): (given: NewEntry) => Promise<boolean> {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  return async (given) => {
    const project = selectProject(store.getState());
    if (!project) return false;
    try {
      await addEntry(project.id, entryNow(given, project.revision));
      return true;
    } catch {
      dispatch(said('This browser did not keep it: write it on paper before you close the page.'));
      return false;
    }
  };
}
