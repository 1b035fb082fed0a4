import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { firstProject } from '../storage/projects';

/** Opens the project last worked on, or the demo on first opening. */
export function FirstPage() {
  const navigate = useNavigate();
  useEffect(() => {
    firstProject().then(
      (id) => navigate(id ? `/project/${id}/lines` : '/projects', { replace: true }),
      () => navigate('/projects', { replace: true }),
    );
  }, [navigate]);
  return null;
}
