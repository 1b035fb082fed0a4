/** Edits of what is aboard. */
import { LOADS_PATH, type Load } from '@kalotrope/core/weights';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

const NONE: readonly Load[] = [];

export function useLoads() {
  const dispatch = useAppDispatch();
  const loads = useAppSelector((state) => selectProject(state)?.weights.loads ?? NONE);
  const put = (label: string, value: readonly Load[]) =>
    dispatch(edited({ label, edits: [{ path: LOADS_PATH, value: [...value] }] }));
  const change = (id: string, what: string, given: Partial<Load>) => {
    const own = loads.find((load) => load.id === id);
    if (own)
      put(
        `${own.name}: ${what}`,
        loads.map((load) => (load === own ? { ...own, ...given } : load)),
      );
  };
  return { loads, put, change };
}
