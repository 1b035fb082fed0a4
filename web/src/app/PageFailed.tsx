/** In place of a page that failed: what happened, that nothing is lost, and the ways on. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouteError } from 'react-router';

export function PageFailed() {
  return <Failed error={useRouteError()} />;
}

export function Failed({ error }: { readonly error: unknown }) {
  return (
    <Box sx={{ p: 4, maxWidth: 640 }}>
      <Alert severity="error" variant="outlined">
        This page could not be drawn: {error instanceof Error ? error.message : String(error)}. The boat is kept in this
        browser as it was after the last change.
      </Alert>
      <Box sx={{ mt: 2, display: 'flex', gap: 1 }}>
        <Button variant="outlined" onClick={() => window.location.reload()}>
          Load it again
        </Button>
        <Button href="/projects">All projects</Button>
      </Box>
    </Box>
  );
}
