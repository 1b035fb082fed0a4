/** The plan over its days: a row a kind of work, what is done dark, what cures after it light. */
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useRef } from 'react';
import { hoursWords, waitsAfter, WORK_GROUPS, workThing, type PlannedJob, type PlanValue } from '@kalotrope/core/plan';
import { useWidth } from '../../drawing/use-size';
import { picked } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';

type Props = { readonly value: PlanValue; readonly picked: string | undefined };

const DAY = 1440;
const ROW_PX = 20;
const NAMES_PX = 88;
const HEAD_PX = 22;
const FOOT_PX = 6;
/** A shorter bar could not be hit. */
const LEAST_PX = 4;
const LEAST_WEEK_PX = 42;

export function PlanChart({ value, picked: own }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const groups = WORK_GROUPS.filter((group) => value.planned.some(({ job }) => job.group === group));
  const waits = waitsAfter(value.jobs);
  const days = Math.max(7, Math.ceil(value.end / DAY));
  const weeks = Math.ceil(days / 7);
  const perDay = Math.max(0, width - NAMES_PX) / (weeks * 7);
  const x = (minute: number) => NAMES_PX + (minute / DAY) * perDay;
  const height = HEAD_PX + groups.length * ROW_PX + FOOT_PX;
  const top = (job: PlannedJob['job']) => HEAD_PX + groups.indexOf(job.group) * ROW_PX;
  const every = Math.max(1, Math.ceil(LEAST_WEEK_PX / Math.max(1, perDay * 7)));
  return (
    <div ref={box} style={{ padding: '4px 16px 0' }}>
      <svg width={Math.max(0, width)} height={height} role="img" aria-label="The plan over its days">
        {Array.from({ length: weeks + 1 }, (_, week) => (
          <g key={week}>
            <path d={`M${x(week * 7 * DAY)} ${HEAD_PX - 4}V${height - FOOT_PX}`} stroke={palette.divider} />
            {week < weeks && week % every === 0 && (
              <text x={x(week * 7 * DAY) + 3} y={14} fontSize={12} fill={palette.text.secondary}>
                {week + 1}
              </text>
            )}
          </g>
        ))}
        <text x={0} y={14} fontSize={12} fill={palette.text.secondary}>
          week
        </text>
        {groups.map((group, i) => (
          <text key={group} x={0} y={HEAD_PX + i * ROW_PX + 14} fontSize={13} fill={palette.text.primary}>
            {group}
          </text>
        ))}
        {value.planned.map(({ job, end }) => {
          const wait = waits.get(job.id) ?? 0;
          return wait > 0 ? (
            <rect
              key={job.id}
              x={x(end)}
              y={top(job) + 8}
              width={(wait / DAY) * perDay}
              height={6}
              fill={palette.primary.main}
              opacity={CURES}
            />
          ) : null;
        })}
        {value.planned.flatMap((planned) =>
          planned.sessions.map(({ from, to }) => {
            const { job, isCritical } = planned;
            const isPicked = job.id === own;
            return (
              <rect
                key={`${job.id} ${from}`}
                x={x(from)}
                y={top(job) + 4}
                width={Math.max(LEAST_PX, x(to) - x(from))}
                height={14}
                fill={isPicked ? palette.secondary.main : job.isWet ? palette.primary.main : DRY}
                stroke={isCritical ? palette.text.primary : 'none'}
                style={{ cursor: 'pointer' }}
                onClick={() => dispatch(picked(workThing(job.id)))}
              >
                <title>{`${job.name}, ${hoursWords(to - from)}`}</title>
              </rect>
            );
          }),
        )}
      </svg>
      <Box
        aria-hidden="true"
        sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, color: 'text.secondary', fontSize: 12 }}
      >
        <Key words="dry" fill={DRY} />
        <Key words="wet" fill={palette.primary.main} />
        <Key words="cures" fill={palette.primary.main} opacity={CURES} />
        <Key words="the end hangs on it" fill="none" stroke={palette.text.primary} />
      </Box>
    </div>
  );
}

type KeyProps = {
  readonly words: string;
  readonly fill: string;
  readonly stroke?: string;
  readonly opacity?: number;
};

const Key = ({ words, fill, stroke = 'none', opacity = 1 }: KeyProps) => (
  <span style={{ display: 'inline-flex', alignItems: 'center', gap: 6 }}>
    <svg width={12} height={12}>
      <rect x={1} y={1} width={10} height={10} fill={fill} stroke={stroke} opacity={opacity} />
    </svg>
    {words}
  </span>
);

/** Of what cures beside what is wet. */
const CURES = 0.28;
/** Sawn wood. */
const DRY = '#C4975C';
