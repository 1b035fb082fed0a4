import { projectPath, PROJECTS_PATH } from './paths';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { firstProject } from '../storage/projects';

/** Opens the project last worked on, or the demo on first opening. */
export function FirstPage() {
  const navigate = useNavigate();
  useEffect(() => {
    firstProject().then(
      (id) => navigate(id ? projectPath(id) : PROJECTS_PATH, { replace: true }),
      () => navigate(PROJECTS_PATH, { replace: true }),
    );
  }, [navigate]);
  return null;
}
