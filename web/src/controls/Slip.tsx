import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { memo, type ReactNode } from 'react';
import { Section } from './Section';
import { sentence, type StageName } from '@kalotrope/core/project';
import { useBench } from '../state/bench';
import type { Finding, Severity } from '@kalotrope/core/findings';
import { picked } from '../state/screen-slice';
import { remedyTaken, selectIsBehind } from '../state/take-remedy';
import { selectDerived, selectFindings, selectNotation, selectStillLooking } from '../state/selectors';
import { useRested } from './use-rested';
import { useAppDispatch, useAppSelector } from '../state/store';

/** The slip at the right: the picked thing's numbers, then what to look at first, then the table to work from. */
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
  return (
    <Box
      component="aside"
      aria-label="The slip"
      tabIndex={0}
      sx={{
        width: { xs: 'auto', md: 344 },
        flexShrink: 0,
        borderLeft: 1,
        borderTop: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        overflow: 'auto',
        p: 1.5,
        '@media print': { width: 'auto', overflow: 'visible', border: 0 },
      }}
    >
      <Typography variant="h2">{title}</Typography>
      {numbers}
      <LookHere stage={stage} />
      {children}
    </Box>
  );
}

const SHAPES: Readonly<Record<Severity, { readonly shape: string; readonly word: string; readonly colour: string }>> = {
  stop: { shape: '■', word: 'Stop', colour: 'error.main' },
  check: { shape: '▲', word: 'Check', colour: 'warning.main' },
  note: { shape: '●', word: 'Note', colour: 'info.main' },
};

const LookHere = memo(function LookHere({ stage }: { readonly stage: StageName }) {
  const findings = useAppSelector((state) => selectFindings(state, stage));
  // what lasts for a moment only is not said: it would flicker with every edit
  const looking = useRested(useAppSelector(selectStillLooking));
  return (
    <Section title="Look here first" label="Look here first">
      {findings.length === 0 && <p className="quiet">{looking ?? 'Nothing wrong that can be seen from here.'}</p>}
      {findings.length > 0 && looking !== null && <p className="quiet">{looking}</p>}
      {findings.map((finding, i) => (
        <FindingLine key={`${finding.code}-${i}`} finding={finding} />
      ))}
    </Section>
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
        {sentence(finding, notation)}
      </Box>
      {finding.remedies?.map((remedy) => (
        <Button
          key={remedy.label}
          variant="outlined"
          sx={{ mt: 0.5 }}
          // of a boat that has changed since it is worked out again first; the focus stays
          aria-disabled={isBehind}
          onClick={() => dispatch(remedyTaken(remedy))}
        >
          {remedy.label}
        </Button>
      ))}
    </Box>
  );
}
