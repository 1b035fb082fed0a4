import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { useState } from 'react';
import type { Station } from '@kalotrope/core/lines';
import { formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { bowOf, sectionAt } from '@kalotrope/core/surface';
import { fieldReader, type Field, type Panel } from '@kalotrope/core/panels';
import { LengthField } from '../../controls/LengthField';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { colourOf } from '../../drawing/bands';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';

type Props = {
  readonly panels: readonly Panel[];
  readonly picked: Panel;
  readonly stations: readonly Station[];
  /** Shown along the section in its colours. */
  readonly field: Field | undefined;
  readonly thickness: number;
};

const WIDE = 312;
const HIGH = 150;
const ELSEWHERE = 'elsewhere';

/** The section of the bent panels at a station or anywhere: not straight across, and where the rulings cross it. */
export function TrueSection({ panels, picked, stations, field, thickness }: Props) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const [label, setLabel] = useState(stations[Math.floor(stations.length / 2)]?.label ?? ELSEWHERE);
  const [freeX, setFreeX] = useState(() => stations[0]?.x ?? 0);
  const x = stations.find((station) => station.label === label)?.x ?? freeX;
  const curves = panels.map((panel) => ({ panel, points: sectionAt(panel.rulings, x) }));
  const own = curves.find(({ panel }) => panel.id === picked.id)?.points ?? [];
  const flat = curves.flatMap(({ points }) => points.map(({ space }) => [space[1], space[2]] as const));
  const box = boxAround([[0, flat[0]?.[1] ?? 0], ...flat]);
  const scale = Math.min(
    (WIDE - 24) / Math.max(box.maxX - box.minX, 1),
    (HIGH - 24) / Math.max(box.maxY - box.minY, 1),
  );
  const place = ([y, z]: readonly [number, number]) =>
    [12 + (y - box.minX) * scale, (z - box.minY) * scale + 12 - HIGH] as const;
  return (
    <Box component="section" sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h2">
        True section at {stations.some((station) => station.label === label) ? `station ${label}, ` : ''}x{' '}
        {formatWithUnit(x, notation)}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, my: 1.25 }} className="no-print">
        <TextField
          select
          label="At"
          value={stations.some((station) => station.label === label) ? label : ELSEWHERE}
          onChange={({ target }) => setLabel(target.value)}
          sx={{ '& .MuiSelect-select': { fontSize: 14 } }}
        >
          {stations.map((station) => (
            <MenuItem key={station.label} value={station.label}>
              station {station.label}
            </MenuItem>
          ))}
          <MenuItem value={ELSEWHERE}>elsewhere</MenuItem>
        </TextField>
        <LengthField
          label="x"
          mm={x}
          onCommit={(mm) => {
            setFreeX(mm);
            setLabel(ELSEWHERE);
          }}
        />
      </Box>
      {flat.length < 2 ? (
        <Typography variant="body2">The hull does not reach x {formatWithUnit(x, notation)}.</Typography>
      ) : (
        <svg width={WIDE} height={HIGH} role="img" aria-label={`Section at ${formatWithUnit(x, notation)}`}>
          <g fill="none" strokeWidth={1.6}>
            {curves.map(({ panel, points }) => (
              <path
                key={panel.id}
                d={pathOf(points.map(({ space }) => place([space[1], space[2]])))}
                stroke={panel.id === picked.id ? palette.secondary.main : palette.text.primary}
                strokeWidth={field ? 7 : undefined}
              />
            ))}
            {field &&
              curves.map(({ panel, points }) => {
                const read = fieldReader(panel, field, thickness);
                return points.slice(1).map((end, i) => {
                  const from = points[i] ?? end; // there is one before each
                  const run = [from, end].map(({ space }) => place([space[1], space[2]]));
                  const colour = colourOf((read(from.ruling, from.across) + read(end.ruling, end.across)) / 2);
                  return <path key={`${panel.id} ${i}`} d={pathOf(run)} stroke={colour} strokeWidth={4.4} />;
                });
              })}
            {own
              .filter((_, i) => i % 6 === 0)
              .map(({ space }, i) => {
                const [cx, cy] = place([space[1], space[2]]);
                return <circle key={i} cx={cx} cy={-cy} r={1.8} fill={palette.info.main} />;
              })}
          </g>
        </svg>
      )}
      {own.length > 1 && (
        <Typography variant="body2" color="text.secondary">
          {picked.name} here is bowed {formatFine(bowOf(own), notation)} {unitLabel(notation)} from straight; frames are
          cut to the bow. Dots: where rulings cross.
        </Typography>
      )}
    </Box>
  );
}
