import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link, Navigate, useParams } from 'react-router';
import { STAGES, type Stage } from '@kalotrope/core/findings';
import { loadProject } from '../storage/projects';
import { opened } from './document-slice';
import { Failed } from './PageFailed';
import { Shell } from './Shell';
import { useAppDispatch, useAppSelector } from './store';

/** Each stage comes when it is first opened. */
const PAGES: Readonly<Record<Stage, ComponentType>> = {
  lines: lazy(() => import('../stages/lines/LinesPage')),
  panels: lazy(() => import('../stages/panels/PanelsPage')),
  frames: lazy(() => import('../stages/frames/FramesPage')),
  joints: lazy(() => import('../stages/joints/JointsPage')),
  sheets: lazy(() => import('../stages/sheets/SheetsPage')),
  epoxy: lazy(() => import('../stages/epoxy/EpoxyPage')),
};

export function ProjectPage() {
  const { projectId = '', stage = '' } = useParams();
  const reason = useOpenProject(projectId);
  const isOpen = useAppSelector((state) => state.document.project?.id === projectId);
  const known = STAGES.find((other) => other === stage);
  if (reason) return <CannotOpen reason={reason} />;
  if (!known) return <Navigate to={`/project/${projectId}/lines`} replace />;
  if (!isOpen) return null;
  const Page = PAGES[known];
  return (
    <Shell stage={known}>
      <ErrorBoundary key={known} FallbackComponent={Failed}>
        <Suspense fallback={null}>
          <Page />
        </Suspense>
      </ErrorBoundary>
    </Shell>
  );
}

function useOpenProject(projectId: string): string | null {
  const dispatch = useAppDispatch();
  const openId = useAppSelector((state) => state.document.project?.id);
  const [reason, setReason] = useState<string | null>(null);
  useEffect(() => {
    if (openId === projectId) return undefined;
    let isCurrent = true;
    loadProject(projectId).then(
      (loaded) => {
        if (!isCurrent) return;
        if ('reason' in loaded) setReason(loaded.reason);
        else dispatch(opened(loaded));
      },
      (error: unknown) => isCurrent && setReason(String(error)),
    );
    return () => {
      isCurrent = false;
    };
  }, [projectId, openId, dispatch]);
  return reason;
}

function CannotOpen({ reason }: { readonly reason: string }) {
  return (
    <Box component="main" sx={{ p: 4, maxWidth: 640 }}>
      <Alert severity="error" variant="outlined">
        {reason}
      </Alert>
      <Button component={Link} to="/projects" sx={{ mt: 2 }}>
        All projects
      </Button>
    </Box>
  );
}
