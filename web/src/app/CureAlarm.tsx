/** Something cures, and the shop is or will be too cold for it: said on every screen, with a tone when it is so now. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useMemo, useState } from 'react';
import { coldCures, hourly, type ColdCure } from '@kalotrope/core/epoxy';
import { formatTemperature } from '@kalotrope/core/measure';
import { clockWords } from '../controls/clock-words';
import { alarm } from '../devices/alarm';
import { useForecast } from '../devices/use-forecast';
import { selectNotation, selectProject } from '../state/selectors';
import { useAppSelector } from '../state/store';
import { potsOf } from '../storage/pots';

const LOOK_MS = 30_000;
/** What was mixed longer ago is hard or never will be. */
const PAST_MS = 10 * 24 * 3_600_000;
const HOUR_MS = 3_600_000;

type Pot = { readonly at: number; readonly job: string };

/** What was mixed of this boat in the last days, and the time at which it was looked up. */
function usePotsAndNow(projectId: string | undefined): { readonly pots: readonly Pot[]; readonly now: number } {
  const [state, setState] = useState<{ pots: readonly Pot[]; now: number }>({ pots: [], now: 0 });
  useEffect(() => {
    if (projectId === undefined) return undefined;
    let isGone = false;
    const look = () =>
      potsOf(projectId).then(
        (all) => {
          const now = Date.now();
          // whose sample came hard is hard
          const hard = new Set(all.flatMap((one) => (one.kind === 'sample' && one.isHard ? [one.of] : [])));
          const pots = all.flatMap((one): Pot[] =>
            one.kind === 'mixed' && now - one.at < PAST_MS && !hard.has(one.at) ? [{ at: one.at, job: one.job }] : [],
          );
          if (!isGone) setState({ pots, now });
        },
        () => undefined,
      );
    void look();
    const timer = setInterval(() => void look(), LOOK_MS);
    return () => {
      isGone = true;
      clearInterval(timer);
    };
  }, [projectId]);
  return state;
}

/** @param isLarge for hands in gloves, at arm's length */
export function CureAlarm({ isLarge = false }: { readonly isLarge?: boolean }) {
  const project = useAppSelector(selectProject);
  const { pots, now } = usePotsAndNow(project?.id);
  const notation = useAppSelector(selectNotation);
  const { weather } = useForecast(notation);
  const [seen, setSeen] = useState('');
  const cold = useMemo(() => {
    if (!project || pots.length === 0) return undefined;
    const { resin, shop } = project.epoxy;
    const ahead = hourly(weather).filter(({ at }) => at > now);
    return coldCures(pots, [{ at: 0, tempC: shop.tempC, humidity: shop.humidity }, ...ahead], { resin, now })[0];
  }, [project, pots, weather, now]);
  const key = cold ? keyOf(cold) : '';
  const isNow = cold !== undefined && cold.from <= now;
  const isShown = cold !== undefined && key !== seen;
  useEffect(() => {
    if (isShown && isNow) alarm();
  }, [isShown, isNow]);
  if (!isShown || !project) return null;
  const least = formatTemperature(project.epoxy.resin.leastC, notation);
  return (
    <Alert
      severity="warning"
      variant={isLarge ? 'filled' : 'outlined'}
      className="no-print"
      sx={isLarge ? LARGE : undefined}
      action={<Button onClick={() => setSeen(key)}>I see to it</Button>}
    >
      {isNow ? 'The shop is' : `From ${clockWords(cold.from, now)} the shop is`} at{' '}
      {formatTemperature(cold.tempC, notation)}, and what was mixed for {cold.job.toLowerCase()} is not hard: under{' '}
      {least} it does not cure. Warm it with what has no flame, cover it, or clamp it longer
      {cold.hardAt === null ? '.' : `; in this weather it is hard ${clockWords(cold.hardAt, now)}.`}
    </Alert>
  );
}

const LARGE = { fontSize: 18, '& .MuiButton-root': { fontSize: 18, minHeight: 44 } };

/** The same cold of the same thing is told once; one that lasts, again every hour. */
const keyOf = ({ job, from, tempC }: ColdCure): string => `${job} ${Math.round(from / HOUR_MS)} ${Math.round(tempC)}`;
