import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ChevronLeft from '@mui/icons-material/ChevronLeft';
import ChevronRight from '@mui/icons-material/ChevronRight';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { memo, useState, type ReactNode } from 'react';
import { SlipEdge } from './SlipEdge';
import { Terms } from './Terms';
import { sentence, type StageName } from '@kalotrope/core/project';
import { useBench } from '../state/bench';
import type { Finding, Severity } from '@kalotrope/core/findings';
import { picked, slipFolded } from '../state/screen-slice';
import { remedyTaken, selectIsBehind } from '../state/take-remedy';
import { selectDerived, selectFindings, selectNotation, selectStillLooking } from '../state/selectors';
import { useRested } from './use-rested';
import { useAppDispatch, useAppSelector } from '../state/store';

/**
 * The slip at the right: the picked thing's numbers, then what to look at first, then the table to work from. On a wide
 * screen it is made wider by its edge, or folded away to a strip that says what is to be looked at.
 */
export function Slip({
  stage,
  title,
  numbers,
  children,
}: {
  readonly stage: StageName;
  readonly title: string;
  readonly numbers: ReactNode;
  readonly children?: ReactNode;
}) {
  const { widthPx, isFolded } = useAppSelector((state) => state.screen.slip);
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  if (isWide && isFolded) return <FoldedSlip stage={stage} title={title} />;
  return (
    <Box sx={{ position: 'relative', flexShrink: 0, width: isWide ? widthPx : 'auto', display: 'flex' }}>
      {isWide && <SlipEdge />}
      <Box
        component="aside"
        aria-label="The slip"
        tabIndex={0}
        sx={{
          flex: 1,
          minWidth: 0,
          borderLeft: 1,
          borderTop: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
          overflow: 'auto',
          p: 1.5,
          '@media print': { overflow: 'visible', border: 0 },
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'flex-start' }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {title}
          </Typography>
          {isWide && <FoldButton label="Fold the slip away" icon={<ChevronRight fontSize="small" />} />}
        </Box>
        {numbers}
        <LookHere stage={stage} />
        {children}
      </Box>
    </Box>
  );
}

function FoldButton({ label, icon }: { readonly label: string; readonly icon: ReactNode }) {
  const dispatch = useAppDispatch();
  return (
    <IconButton
      size="small"
      aria-label={label}
      title={label}
      className="no-print"
      sx={{ my: -0.5 }}
      onClick={() => dispatch(slipFolded())}
    >
      {icon}
    </IconButton>
  );
}

/** What is left of it: whose numbers it holds, and how much is to be looked at. */
function FoldedSlip({ stage, title }: { readonly stage: StageName; readonly title: string }) {
  const findings = useAppSelector((state) => selectFindings(state, stage));
  const counts = (['stop', 'check', 'note'] as const).flatMap((severity) => {
    const count = findings.filter((finding) => finding.severity === severity).length;
    return count > 0 ? [{ ...SHAPES[severity], count }] : [];
  });
  return (
    <Box
      component="aside"
      aria-label="The slip, folded away"
      sx={{
        width: 40,
        flexShrink: 0,
        borderLeft: 1,
        borderTop: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        gap: 1.5,
        py: 1.5,
      }}
    >
      <FoldButton label="Open the slip" icon={<ChevronLeft fontSize="small" />} />
      <Box sx={{ writingMode: 'vertical-rl', display: 'flex', gap: 2, fontSize: 14 }}>
        <strong>{title}</strong>
        {counts.map(({ shape, word, colour, count }) => (
          <Box key={word} component="span" sx={{ color: colour, fontWeight: 600 }}>
            <span aria-hidden="true">{shape}</span> {word}: {count}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const SHAPES: Readonly<Record<Severity, { readonly shape: string; readonly word: string; readonly colour: string }>> = {
  stop: { shape: '■', word: 'Stop', colour: 'error.main' },
  check: { shape: '▲', word: 'Check', colour: 'warning.main' },
  note: { shape: '●', word: 'Note', colour: 'info.main' },
};

/** So many findings are shown at once, worst first: more are read by nobody, and cost every edit. */
const MOST_SHOWN = 12;

const LookHere = memo(function LookHere({ stage }: { readonly stage: StageName }) {
  const findings = useAppSelector((state) => selectFindings(state, stage));
  const [isAll, setIsAll] = useState(false);
  const shown = isAll ? findings : findings.slice(0, MOST_SHOWN);
  // what lasts for a moment only is not said: it would flicker with every edit
  const looking = useRested(useAppSelector(selectStillLooking));
  return (
    <section className="slip-part" aria-label="Look here first">
      <h2>Look here first</h2>
      {findings.length === 0 && <p className="quiet">{looking ?? 'Nothing wrong that can be seen from here.'}</p>}
      {shown.map((finding, i) => (
        <FindingLine key={`${finding.code}-${i}`} finding={finding} />
      ))}
      {findings.length > shown.length && (
        <Button size="small" onClick={() => setIsAll(true)}>
          Show the other {findings.length - shown.length}
        </Button>
      )}
      {/* beneath what can be pressed, which must not move under the hand */}
      {findings.length > 0 && looking !== null && <p className="quiet">{looking}</p>}
    </section>
  );
});

function FindingLine({ finding }: { readonly finding: Finding }) {
  const notation = useAppSelector(selectNotation);
  const derived = useAppSelector(selectDerived);
  const isBehind = useAppSelector(selectIsBehind);
  const dispatch = useAppDispatch();
  const { shape, word, colour } = SHAPES[finding.severity];
  const { pickAt } = useBench();
  const target = derived ? pickAt(finding.where, derived) : undefined;
  return (
    <Box sx={{ my: 1 }}>
      <Box
        component={target ? 'button' : 'div'}
        onClick={target ? () => dispatch(picked(target)) : undefined}
        sx={{
          all: 'unset',
          cursor: target ? 'pointer' : 'default',
          fontSize: 14,
          lineHeight: 1.35,
          '&:focus-visible': { outline: '2px solid' },
        }}
      >
        <Box component="strong" sx={{ color: colour }}>
          <span aria-hidden="true">{shape}</span> {word}.{' '}
        </Box>
        <Terms text={sentence(finding, notation)} isInert={target !== undefined} />
      </Box>
      {finding.remedies?.map((remedy) => (
        <Button
          key={remedy.label}
          variant="outlined"
          sx={{ mt: 0.5 }}
          // of a boat that has changed since it waits until that is worked out
          aria-busy={isBehind}
          onClick={() => dispatch(remedyTaken(remedy))}
        >
          {remedy.label}
        </Button>
      ))}
    </Box>
  );
}
