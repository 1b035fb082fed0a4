import { useBench } from '../state/bench';
import type { StageName } from '@kalotrope/core/project';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import ExpandLess from '@mui/icons-material/ExpandLess';
import ExpandMore from '@mui/icons-material/ExpandMore';
import IconButton from '@mui/material/IconButton';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { memo, useState } from 'react';
import { NavLink } from 'react-router';
import { selectProject } from '../state/selectors';
import { stagePath } from './paths';
import { useAppSelector } from '../state/store';

/** The stages in working order, each with one line that says how it stands; on a narrow screen in one list. */
export function Rail({ current }: { readonly current: StageName }) {
  const projectId = useAppSelector((state) => selectProject(state)?.id ?? '');
  const { entries, selectStatus } = useBench();
  const status = useAppSelector(selectStatus);
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const [isOpen, setOpen] = useState(false);
  const shown = isWide || isOpen ? entries : entries.filter(({ stage }) => stage === current);
  return (
    <Box
      component="nav"
      aria-label="Stages"
      className="no-print"
      sx={{
        ...{ borderRight: { md: 1 }, borderTop: 1, borderColor: 'divider', display: 'flex', position: 'relative' },
        ...{ flexDirection: 'column', overflow: 'auto' },
      }}
    >
      {shown.map(({ stage, title }) => (
        <RailItem
          key={stage}
          number={entries.findIndex((entry) => entry.stage === stage) + 1}
          name={title}
          to={stagePath(projectId, stage)}
          status={status?.[stage] ?? 'working it out'}
          isCurrent={stage === current}
          onGo={isWide ? undefined : () => setOpen(false)}
        />
      ))}
      {!isWide && (
        <IconButton
          aria-label={isOpen ? 'Close the list of stages' : 'All stages'}
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
          sx={{ position: 'absolute', top: 4, right: 4 }}
        >
          {isOpen ? <ExpandLess /> : <ExpandMore />}
        </IconButton>
      )}
    </Box>
  );
}

type ItemProps = {
  readonly number: number;
  readonly name: string;
  readonly to: string;
  readonly status: string;
  readonly isCurrent: boolean;
  readonly onGo: (() => void) | undefined;
};

const RailItem = memo(function RailItem({ number, name, to, status, isCurrent, onGo }: ItemProps) {
  return (
    <Box
      component={NavLink}
      to={to}
      onClick={onGo}
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
