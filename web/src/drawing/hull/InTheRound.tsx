/**
 * The hull in the round where the browser can draw it, and a line saying so where it cannot: nothing else depends on
 * it.
 */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, Suspense, useState, type ComponentProps } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { graphics } from './graphics';

const HullView = lazy(() => import('./HullView'));

export function InTheRound(props: ComponentProps<typeof HullView>) {
  const [canDraw, setCanDraw] = useState(() => graphics() !== 'none');
  if (!canDraw) return <NoHull onTryAgain={() => setCanDraw(graphics() !== 'none')} />;
  return (
    <ErrorBoundary fallbackRender={({ resetErrorBoundary }) => <NoHull onTryAgain={resetErrorBoundary} />}>
      <Suspense fallback={null}>
        <HullView {...props} />
      </Suspense>
    </ErrorBoundary>
  );
}

function NoHull({ onTryAgain }: { readonly onTryAgain: () => void }) {
  return (
    <Box
      role="note"
      className="no-print"
      sx={{
        position: 'absolute',
        right: 10,
        bottom: 10,
        maxWidth: 260,
        px: 1.5,
        py: 0.75,
        border: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        fontSize: 13,
      }}
    >
      This browser does not draw in the round (WebGL is switched off or has failed). All else works without it.
      <Button size="small" onClick={onTryAgain} sx={{ display: 'block', px: 0 }}>
        Try again
      </Button>
    </Box>
  );
}
