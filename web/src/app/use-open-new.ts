/** Stores a new project and opens it; one that the store refuses is opened all the same, and tried again from there. */
import { useNavigate } from 'react-router';
import type { Project } from '@kalotrope/core/project';
import { opened, saveEnded } from '../state/document-slice';
import { useAppDispatch } from '../state/store';
import { addProject, reasonOf } from '../storage/projects';
import { projectPath } from './paths';

export function useOpenNew(): (project: Project) => Promise<void> {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return async (project) => {
    try {
      await addProject(project);
    } catch (error) {
      dispatch(opened({ project, saves: null }));
      dispatch(saveEnded({ id: project.id, version: 0, saveState: 'failed', reason: reasonOf(error) }));
    }
    await navigate(projectPath(project.id));
  };
}
