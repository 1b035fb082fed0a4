/** Temperatures to come, the least that cures, and the stretches in which a coat may go on. */
import { useTheme } from '@mui/material/styles';
import type { Weather } from '@kalotrope/core/epoxy';
import { formatTemperature, shownTemperature } from '@kalotrope/core/measure';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { clockWords } from '../../controls/clock-words';

type Props = {
  readonly weather: readonly Weather[];
  readonly fit: readonly { readonly from: number; readonly to: number }[];
  readonly leastC: number;
};

const WIDE = 860;
const HIGH = 230;
const EDGE = { left: 56, right: 16, top: 14, foot: 42 } as const;
const DAY_MS = 24 * 3_600_000;
const MOST_TICKS = 6;
const STEP_C = 5;

export function WeatherChart({ weather, fit, leastC }: Props) {
  const notation = useAppSelector(selectNotation);
  const { palette } = useTheme();
  const [first, last] = [weather[0]?.at ?? 0, weather[weather.length - 1]?.at ?? 0];
  const temps = [...weather.map(({ tempC }) => tempC), leastC];
  const [low, high] = [Math.floor((Math.min(...temps) - 2) / STEP_C) * STEP_C, Math.max(...temps) + 2];
  const x = (at: number) => EDGE.left + ((at - first) / Math.max(1, last - first)) * (WIDE - EDGE.left - EDGE.right);
  const y = (tempC: number) => HIGH - EDGE.foot - ((tempC - low) / (high - low)) * (HIGH - EDGE.foot - EDGE.top);
  const levels = Array.from({ length: Math.floor((high - low) / STEP_C) + 1 }, (_, k) => low + k * STEP_C);
  const line = weather
    .map(({ at, tempC }, k) => `${k === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(tempC).toFixed(1)}`)
    .join('');
  const every = Math.max(1, Math.ceil((last - first) / DAY_MS / MOST_TICKS)) * DAY_MS;
  const midnight = new Date(first).setHours(24, 0, 0, 0);
  const days = [];
  for (let at = midnight; at < last; at += every) days.push(at);
  const text = { fontSize: 14, fill: palette.text.secondary };
  const least = formatTemperature(leastC, notation);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width="100%" role="img" aria-label="Temperatures to come">
      <rect width={WIDE} height={HIGH} fill={palette.background.paper} />
      {fit.map(({ from, to }) => (
        <rect
          key={from}
          x={x(from)}
          width={Math.max(1, x(to) - x(from))}
          y={EDGE.top}
          height={HIGH - EDGE.foot - EDGE.top}
          fill={palette.primary.main}
          fillOpacity={0.16}
        />
      ))}
      {levels.map((tempC) => (
        <g key={tempC}>
          <path d={`M${EDGE.left} ${y(tempC)}H${WIDE - EDGE.right}`} stroke={palette.divider} />
          <text x={EDGE.left - 8} y={y(tempC) + 5} textAnchor="end" {...text}>
            {shownTemperature(tempC, notation).toFixed(0)}°
          </text>
        </g>
      ))}
      {days.map((at) => (
        <g key={at}>
          <path d={`M${x(at)} ${EDGE.top}V${HIGH - EDGE.foot}`} stroke={palette.divider} />
          <text x={x(at)} y={HIGH - EDGE.foot + 18} textAnchor="middle" {...text}>
            {clockWords(at, at - 2 * DAY_MS).replace(' 00:00', '')}
          </text>
        </g>
      ))}
      <path
        d={`M${EDGE.left} ${y(leastC)}H${WIDE - EDGE.right}`}
        stroke={palette.warning.main}
        strokeWidth={1.5}
        strokeDasharray="7 5"
      />
      <text x={WIDE - EDGE.right} y={HIGH - 6} textAnchor="end" {...text}>
        broken line: below {least} it does not cure. Shaded: a coat may go on.
      </text>
      <path d={line} fill="none" stroke={palette.text.primary} strokeWidth={2} strokeLinejoin="round" />
    </svg>
  );
}
