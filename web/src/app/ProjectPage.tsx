import { stagePath } from './paths';
import { useBench } from '../state/bench';
import { Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Navigate, useParams } from 'react-router';
import { Failed } from './PageFailed';
import { Shell } from './Shell';
import { useAppSelector } from '../state/store';
import { CannotOpen } from './CannotOpen';
import { useOpenProject } from './use-open-project';

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
