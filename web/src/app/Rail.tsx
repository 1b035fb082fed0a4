import { useBench } from '../state/bench';
import type { StageName } from '@kalotrope/core/project';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { NavLink } from 'react-router';
import { selectProject } from '../state/selectors';
import { stagePath } from './paths';
import { useAppSelector } from '../state/store';

/** The stages in working order, each with one line that says how it stands. */
export function Rail({ current }: { readonly current: StageName }) {
  const projectId = useAppSelector((state) => selectProject(state)?.id ?? '');
  const { entries, selectStatus } = useBench();
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
      {entries.map(({ stage, title }, i) => (
        <RailItem
          key={stage}
          number={i + 1}
          name={title}
          to={stagePath(projectId, stage)}
          status={status?.[stage] ?? 'working it out'}
          isCurrent={stage === current}
        />
      ))}
    </Box>
  );
}

type ItemProps = {
  readonly number: number;
  readonly name: string;
  readonly to: string;
  readonly status: string;
  readonly isCurrent: boolean;
};

const RailItem = memo(function RailItem({ number, name, to, status, isCurrent }: ItemProps) {
  return (
    <Box
      component={NavLink}
      to={to}
      aria-current={isCurrent ? 'page' : undefined}
      sx={{
        display: 'block',
        px: 1.5,
        py: 1,
        textDecoration: 'none',
        color: 'text.primary',
        borderLeft: 4,
        whiteSpace: 'nowrap',
        borderColor: isCurrent ? 'primary.main' : 'transparent',
        bgcolor: isCurrent ? 'background.paper' : 'transparent',
        '&:hover': { bgcolor: 'background.paper' },
      }}
    >
      <Typography component="span" sx={{ fontWeight: 600 }}>
        <Box component="span" sx={{ color: 'text.secondary', mr: 1 }}>
          {number}
        </Box>
        {name}
      </Typography>
      <Typography
        variant="caption"
        color="text.secondary"
        component="span"
        sx={{ display: 'block', pl: 2.2, whiteSpace: { md: 'normal' }, lineHeight: 1.35 }}
      >
        {status}
      </Typography>
    </Box>
  );
});
