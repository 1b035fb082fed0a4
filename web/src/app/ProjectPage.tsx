import { PROJECTS_PATH, stagePath } from './paths';
import { useBench } from '../state/bench';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link, Navigate, useParams } from 'react-router';
import { loadProject } from '../storage/projects';
import { opened } from '../state/document-slice';
import { Failed } from './PageFailed';
import { Shell } from './Shell';
import { useAppDispatch, useAppSelector } from '../state/store';

export function ProjectPage() {
  const { projectId = '', stage = '' } = useParams();
  const reason = useOpenProject(projectId);
  const isOpen = useAppSelector((state) => state.document.project?.id === projectId);
  const { entries } = useBench();
  const [first] = entries;
  const known = entries.find((entry) => entry.stage === stage);
  if (reason) return <CannotOpen reason={reason} />;
  if (!known) return first ? <Navigate to={stagePath(projectId, first.stage)} replace /> : null;
  if (!isOpen) return null;
  const { Page } = known;
  return (
    <Shell stage={known.stage}>
      <ErrorBoundary key={known.stage} FallbackComponent={Failed}>
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
      <Button component={Link} to={PROJECTS_PATH} sx={{ mt: 2 }}>
        All projects
      </Button>
    </Box>
  );
}
