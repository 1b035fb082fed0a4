/** Instead of a boat that cannot be opened: why, and the way back. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { PROJECTS_PATH } from './paths';

export function CannotOpen({ reason }: { readonly reason: string }) {
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
