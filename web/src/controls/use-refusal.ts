/** Why a value would be refused at a path of the project, in words; nothing where there is no path to ask of. */
import type { Edit } from '@kalotrope/core/findings';
import { refusalOf } from '@kalotrope/core/project';
import { selectProject } from '../state/selectors';
import { useAppStore } from '../state/store';

export type Refuse = (value: number) => string | undefined;

export function useRefusal(path: Edit['path'] | undefined): Refuse {
  const store = useAppStore();
  return (value) => {
    const project = selectProject(store.getState());
    const refusal = path && project ? refusalOf(project, { path, value }) : undefined;
    return refusal && `Expected ${refusal.expected}`;
  };
}
