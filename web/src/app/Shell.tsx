import { useBench, useTape } from '../state/bench';
import type { StageName } from '@kalotrope/core/project';
import Box from '@mui/material/Box';
import Snackbar from '@mui/material/Snackbar';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { Terms } from '../controls/Terms';
import { CureAlarm } from './CureAlarm';
import { FindBox } from './FindBox';
import { KeysDialog } from './KeysDialog';
import { SpacingDialog } from './SpacingDialog';
import { Notices } from './Notices';
import { PrintedSheets } from './PrintedSheets';
import { Rail } from './Rail';
import { said } from '../state/screen-slice';
import { useShortcuts } from './shortcuts';
import { useAppDispatch, useAppSelector } from '../state/store';
import { TapeBar } from './TapeBar';
import { TopBar } from './TopBar';
import { WordsDialog } from './WordsDialog';

/** The bench: top bar, rail, the stage (drawing and slip), and the tape along the front edge. */
export function Shell({ stage, children }: { readonly stage: StageName; readonly children: ReactNode }) {
  useShortcuts(stage);
  const entry = useBench().entries.find((other) => other.stage === stage);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateRows: {
          xs: 'repeat(3, max-content) minmax(max-content, 1fr) max-content',
          md: 'auto auto 1fr auto',
        },
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '176px minmax(0, 1fr)' },
        height: '100dvh',
        overflow: { xs: 'auto', md: 'hidden' },
        // on paper there is no rail and no bench: the stage runs on over as many pages as it takes
        '@media print': { display: 'block', height: 'auto', overflow: 'visible' },
      }}
    >
      <Box sx={{ gridColumn: '1 / -1' }}>
        <TopBar stage={stage} />
      </Box>
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Notices />
        <CureAlarm />
      </Box>
      <Rail current={stage} />
      <Box
        component="main"
        aria-label={entry?.title}
        sx={{ minWidth: 0, minHeight: { xs: 'max-content', md: 0 }, display: 'flex', flexDirection: 'column' }}
      >
        <Box sx={{ px: 2, py: 0.75, display: 'flex', flexWrap: 'wrap', columnGap: 1.5, alignItems: 'baseline' }}>
          <Typography variant="h1">{entry?.title}</Typography>
          <BoatOnPaper />
          <Typography variant="body2" color="text.secondary">
            <Terms text={entry?.question ?? ''} />
          </Typography>
        </Box>
        <Box
          sx={{
            ...{ flex: 1, minHeight: { md: 0 }, display: 'flex', flexDirection: { xs: 'column', md: 'row' } },
            '@media print': { display: 'block' },
          }}
        >
          {children}
        </Box>
      </Box>
      {entry?.hasTape && <TapeAtEdge />}
      <FindBox />
      <KeysDialog />
      <SpacingDialog />
      <WordsDialog />
      <PrintedSheets stage={stage} />
      <Said />
    </Box>
  );
}

/** Where there is something to measure along. */
function TapeAtEdge() {
  const tape = useTape();
  return tape ? (
    <Box
      component="section"
      aria-label="The tape"
      sx={{ gridColumn: '1 / -1', position: { xs: 'sticky', md: 'static' }, bottom: 0, zIndex: 4 }}
      className="no-print"
    >
      <TapeBar tape={tape} />
    </Box>
  ) : null;
}

/** The top bar is not printed: a sheet of paper says whose it is, and of which revision. */
function BoatOnPaper() {
  const name = useAppSelector((state) => state.document.project?.name ?? '');
  const revision = useAppSelector((state) => state.document.project?.revision ?? 1);
  return (
    <Typography variant="h1" component="span" sx={{ display: 'none', '@media print': { display: 'inline' } }}>
      {name}, rev {revision}
    </Typography>
  );
}

/** What was just done, said once. */
function Said() {
  const message = useAppSelector((state) => state.screen.message);
  const dispatch = useAppDispatch();
  return (
    <Snackbar open={message !== null} message={message} autoHideDuration={5000} onClose={() => dispatch(said(null))} />
  );
}
