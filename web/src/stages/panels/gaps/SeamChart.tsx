/** One seam from its fore end to its after end: what it keeps within, and what was measured of it. */
import { useTheme } from '@mui/material/styles';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { formatLength, formatSmall, type Notation } from '@kalotrope/core/measure';
import type { GapSeam } from '@kalotrope/core/panels';
import type { MeasuredGap } from './measured';

type Props = {
  readonly seam: GapSeam;
  readonly measured: readonly MeasuredGap[];
  /** The widest gap that is left as it is, mm. */
  readonly widest: number;
  readonly notation: Notation;
  readonly name: string;
};

const HIGH = 170;
const LETTERS = { fontSize: 13 };
const MARGIN = { top: 10, right: 24, bottom: 4, left: 4 };

/** What is read off easily: up to so many times a power of ten, in so many steps. */
const ROUND: readonly (readonly [upTo: number, steps: number])[] = [
  ...([
    [1, 2],
    [2, 4],
    [3, 3],
    [4, 4],
    [6, 3],
    [8, 4],
  ] as const),
];

function ticksAbove(mm: number): number[] {
  const ten = 10 ** Math.floor(Math.log10(Math.max(mm, 1e-3)));
  const [upTo, steps] = ROUND.find(([times]) => times * ten >= mm) ?? [10, 5];
  return Array.from({ length: steps + 1 }, (_, k) => (upTo * ten * k) / steps);
}

export default function SeamChart({ seam, measured, widest, notation, name }: Props) {
  const { palette } = useTheme();
  const rows = seam.places.map(({ along, half, nineteen }) => ({ along, half, nineteen }));
  const most = Math.max(...rows.map(({ nineteen }) => nineteen), ...measured.map(({ mm }) => mm));
  const isLimitNear = widest < 2.5 * most;
  const ticks = ticksAbove(1.1 * (isLimitNear ? Math.max(most, widest) : most));
  return (
    <div role="img" aria-label={`Gap along the ${name}`} style={{ height: HIGH }}>
      <ResponsiveContainer width="100%" height={HIGH}>
        <ComposedChart data={rows} margin={MARGIN}>
          <CartesianGrid stroke={palette.divider} vertical={false} />
          <XAxis
            type="number"
            dataKey="along"
            domain={[0, seam.length]}
            tickFormatter={(mm: number) => formatLength(mm, notation)}
            tick={LETTERS}
          />
          <YAxis
            domain={[0, ticks[ticks.length - 1] ?? 1]}
            ticks={ticks}
            tickFormatter={(mm: number) => (mm === 0 ? '0' : formatSmall(mm, notation))}
            tick={LETTERS}
            width={64}
          />
          <Area
            type="monotone"
            dataKey="nineteen"
            stroke={palette.primary.main}
            fill={palette.primary.main}
            fillOpacity={0.18}
            isAnimationActive={false}
          />
          <Area
            type="monotone"
            dataKey="half"
            stroke={palette.primary.main}
            strokeDasharray="6 4"
            fill={palette.primary.main}
            fillOpacity={0.3}
            isAnimationActive={false}
          />
          {isLimitNear && <ReferenceLine y={widest} stroke={palette.warning.main} strokeDasharray="8 5" />}
          <Scatter
            data={measured.map(({ along, mm }) => ({ along, mm }))}
            dataKey="mm"
            fill={palette.secondary.main}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
