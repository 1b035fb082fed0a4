/** How the search comes on: sheets in use against time, falling to what their area alone would take. */
import { useTheme } from '@mui/material/styles';
import { Section } from '../../controls/Section';
import type { SearchTrack } from './use-nesting';

type Props = { readonly tracks: readonly SearchTrack[] };

export function SearchProgress({ tracks }: Props) {
  const drawn = tracks.filter(({ points }) => points.length > 0);
  if (drawn.length === 0) return null;
  return (
    <Section
      title="The search"
      aside={drawn.map(({ points }) => points[points.length - 1]?.sheets.toFixed(2)).join(', ')}
    >
      <p className="quiet">
        Sheets in use, the last by how much of it is. The line below is what the parts’ area alone takes: no layout is
        under it.
      </p>
      {drawn.map((track) => (
        <Track key={track.key} track={track} />
      ))}
    </Section>
  );
}

const WIDE = 300;
const HIGH = 96;
const LEFT = 34;
const FOOT = 18;

function Track({ track: { material, points, least, seconds } }: { readonly track: SearchTrack }) {
  const { palette } = useTheme();
  const last = points[points.length - 1];
  const first = points[0];
  if (!first || !last) return null;
  const most = Math.max(first.sheets, least) * 1.02;
  const low = Math.min(least, last.sheets) * 0.95;
  const end = Math.max(seconds, last.seconds, 1);
  const x = (s: number) => LEFT + (s / end) * (WIDE - LEFT - 4);
  const y = (sheets: number) => 6 + ((most - sheets) / Math.max(1e-6, most - low)) * (HIGH - FOOT - 6);
  const steps = points.map(({ seconds: s, sheets }) => `H${x(s).toFixed(1)}V${y(sheets).toFixed(1)}`).join('');
  const words = `${material}: ${last.sheets.toFixed(2)} sheets, at least ${least.toFixed(2)} by area`;
  return (
    <figure style={{ margin: '8px 0' }}>
      <figcaption>{words}</figcaption>
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width="100%" role="img" aria-label={words}>
        <path d={`M${LEFT} 6V${HIGH - FOOT}H${WIDE - 4}`} fill="none" stroke={palette.divider} />
        <path
          d={`M${LEFT} ${y(least)}H${WIDE - 4}`}
          stroke={palette.text.secondary}
          strokeDasharray="4 3"
          fill="none"
        />
        <path
          d={`M${x(first.seconds).toFixed(1)} ${y(first.sheets).toFixed(1)}${steps}H${x(end)}`}
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={1.8}
        />
        {[first.sheets, least].map((sheets, k) => (
          <text key={k} x={LEFT - 4} y={y(sheets) + 4} fontSize={11} textAnchor="end" fill={palette.text.secondary}>
            {sheets.toFixed(1)}
          </text>
        ))}
        <text x={WIDE - 4} y={HIGH - 4} fontSize={11} textAnchor="end" fill={palette.text.secondary}>
          {Math.round(end)} s
        </text>
      </svg>
    </figure>
  );
}
