import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { NavLink } from 'react-router';
import type { Stage } from '@kalotrope/core/findings';
import { selectProject, selectStatus } from './selectors';
import { STAGE_LIST } from './stages';
import { useAppSelector } from './store';

/** The stages in working order, each with one line that says how it stands. */
export function Rail({ current }: { readonly current: Stage }) {
  const project = useAppSelector(selectProject);
  const status = useAppSelector(selectStatus);
  return (
    <Box
      component="nav"
      aria-label="Stages"
      className="no-print"
      sx={{
        borderRight: 1,
        borderTop: 1,
        borderColor: 'divider',
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        overflow: 'auto',
      }}
    >
      {STAGE_LIST.map(({ stage, name }, i) => (
        <Box
          key={stage}
          component={NavLink}
          to={`/project/${project?.id ?? ''}/${stage}`}
          aria-current={stage === current ? 'page' : undefined}
          sx={{
            display: 'block',
            px: 1.5,
            py: 1,
            textDecoration: 'none',
            color: 'text.primary',
            borderLeft: 4,
            whiteSpace: 'nowrap',
            borderColor: stage === current ? 'primary.main' : 'transparent',
            bgcolor: stage === current ? 'background.paper' : 'transparent',
            '&:hover': { bgcolor: 'background.paper' },
          }}
        >
          <Typography component="span" sx={{ fontWeight: 600 }}>
            <Box component="span" sx={{ color: 'text.secondary', mr: 1 }}>
              {i + 1}
            </Box>
            {name}
          </Typography>
          <Typography variant="caption" color="text.secondary" component="span" sx={{ display: 'block', pl: 2.2 }}>
            {status?.[stage] ?? 'working it out'}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
