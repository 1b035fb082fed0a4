import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { lazy, Suspense } from 'react';
import { formatSmall } from '@kalotrope/core/measure';
import { selectDerived, selectNotation, selectStations } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { FieldLegend } from '../FieldLegend';
import { useNames } from '../SheetSettings';
import { GapsDrawing } from './GapsDrawing';
import type { MeasuredGap } from './measured';
import type { ToldGaps } from './use-gaps';

const SeamChart = lazy(() => import('./SeamChart'));
const CHART_PX = 170;

type Props = {
  readonly told: ToldGaps;
  /** The seam that the chart is of, by its number. */
  readonly seam: number;
  readonly widest: number;
  readonly measured: readonly MeasuredGap[];
};

/** The panels with what is foretold of their edges, and under them the seam that is looked at. */
export function GapsView({ told, seam, widest, measured }: Props) {
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels) ?? [];
  const stations = useAppSelector(selectStations);
  const notation = useAppSelector(selectNotation);
  const nameOf = useNames();
  const gaps = told.kind === 'told' ? told.gaps : told.kind === 'busy' ? told.last : undefined;
  const one = gaps?.seams[seam];
  const name = one ? nameOf(one.line).toLowerCase() : '';
  return (
    <>
      <GapsDrawing panels={panels} stations={stations} gaps={gaps} widest={widest} isOld={told.kind === 'busy'} />
      <FieldLegend what="Gap, 19 times of 20" most={`${formatSmall(widest, notation)}, the widest left as it is`} />
      <Box sx={{ px: 1.5, pb: 1, borderTop: 1, borderColor: 'divider', fontSize: 14 }}>
        {told.kind === 'failed' && <Typography role="alert">Not foretold: {told.message}.</Typography>}
        {told.kind === 'busy' && <p role="status">Building her two hundred times by chance…</p>}
        {one && (
          <>
            <p>
              <b>{`Along the ${name}`}</b>, from its fore end: full line nineteen times of twenty, broken line half the
              time{measured.some(({ line }) => line === one.line) && '; dots are measured'}. The larger a nail is drawn,
              the more its place matters.
            </p>
            <Suspense fallback={<div style={{ height: CHART_PX }} />}>
              <SeamChart
                seam={one}
                measured={measured.filter(({ line }) => line === one.line)}
                widest={widest}
                notation={notation}
                name={name}
              />
            </Suspense>
          </>
        )}
      </Box>
    </>
  );
}
