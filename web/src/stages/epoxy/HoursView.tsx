/** When the next coat may go on, until when it bonds by itself, when to sand; and what a forecast lets be done. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  coatWindow,
  dewPointC,
  epoxyConstants,
  fitStretches,
  holdOffs,
  hourly,
  windowsFrom,
  type HoldOff,
  type Weather,
} from '@kalotrope/core/epoxy';
import { formatTemperature, shownTemperature, temperatureUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { PlainTable } from '../../controls/PlainTable';
import { useNow } from '../../controls/use-now';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import type { MixedPot, PotRecord } from '../../storage/pots';
import { ForecastField } from '../../controls/ForecastField';
import { clockWords } from '../../controls/clock-words';
import { useForecast } from '../../devices/use-forecast';
import { WeatherChart } from './WeatherChart';

type Props = {
  readonly project: Project;
  readonly records: readonly PotRecord[];
  readonly tempC: number;
  readonly humidity: number;
};

const COLUMNS = [
  { name: 'mixed' },
  { name: 'next coat from' },
  { name: 'bonds until' },
  { name: 'sand from' },
  { name: 'cured' },
] as const;

const COAT_COLUMNS = [{ name: 'put on now' }, { name: 'next coat of it from' }, { name: 'and until' }] as const;

/** Those that have any coat. */
const coatsDone = (finishes: Project['epoxy']['finishes']) => finishes.filter(({ coats }) => coats > 0);

/** A pot older than this is cured by any reckoning that one would look up. */
const SHOWN_MS = 10 * 24 * 3_600_000;
const MOST_SHOWN = 8;

export function HoursView({ project, records, tempC, humidity }: Props) {
  const now = useNow();
  const notation = useAppSelector(selectNotation);
  const { resin } = project.epoxy;
  const forecast = useForecast(notation);
  // as it is in the shop now until the forecast begins, and after its end as it ends
  const ahead = hourly(forecast.weather).filter(({ at }) => at > now);
  const weather: readonly Weather[] = [{ at: 0, tempC, humidity }, ...ahead];
  const mixed = records
    .filter((one): one is MixedPot => one.kind === 'mixed' && now - one.at < SHOWN_MS)
    .slice(-MOST_SHOWN)
    .reverse();
  const minute = Math.floor(now / 60_000) * 60_000;
  const rowOf = (key: string, what: string, start: number) => {
    const { tacky, bonds, sand, cured } = windowsFrom(start, weather, resin);
    const clock = (at: number | null) => (at === null ? 'never, so cold' : clockWords(at, now));
    return { key, cells: [what, clock(tacky), clock(bonds), clock(sand), clock(cured)] };
  };
  const coats = coatsDone(project.epoxy.finishes).map((finish) => {
    const { from, until } = coatWindow(minute, weather, finish);
    const clock = (at: number | null) => (at === null ? 'never, so cold' : clockWords(at, now));
    return { key: finish.id, cells: [finish.name, clock(from), clock(until)] };
  });
  const against = holdOffs({ tempC, humidity }, resin);
  const fit = fitStretches(ahead, resin);
  return (
    <Box sx={{ maxWidth: 860 }}>
      <Typography variant="h2">
        The shop at {formatTemperature(tempC, notation)}, {humidity.toFixed(0)} % damp: dew falls at{' '}
        {formatTemperature(dewPointC(tempC, humidity), notation)}
      </Typography>
      {against.length === 0 ? (
        <Alert severity="success" sx={{ my: 1 }}>
          Nothing speaks against mixing now, if the wood is as warm as the air.
        </Alert>
      ) : (
        <Alert severity="warning" sx={{ my: 1 }}>
          Hold off: {against.map((why) => WHY[why](project, notation)).join(' ')}
        </Alert>
      )}
      <PlainTable
        label="Clock times of what is mixed"
        columns={COLUMNS}
        rows={[
          rowOf('now', 'now', minute),
          ...mixed.map(({ at, job, number }) => rowOf(String(at), `${job}, pot ${number}, ${clockWords(at, now)}`, at)),
        ]}
      />
      <Typography variant="body2" color="text.secondary" sx={{ my: 1 }}>
        Until it bonds no longer the next coat goes on as it is; after that wash with water, sand until it is dull, then
        coat. Sanding: a dust respirator, and not before it is hard.
      </Typography>
      {coats.length > 0 && (
        <PlainTable label="Next coats of finishes that go on now" columns={COAT_COLUMNS} rows={coats} />
      )}
      <Typography variant="h2" sx={{ mt: 2 }}>
        What the forecast allows
      </Typography>
      {ahead.length > 1 && <WeatherChart weather={ahead} fit={fit} leastC={resin.leastC} />}
      {ahead.length > 1 && (
        <Typography sx={{ my: 1 }}>
          {fit.length === 0
            ? 'Nothing can be coated in these days: too cold, too damp, or both, before a coat is no longer wet.'
            : `A coat may go on ${fit.map(stretchWords(now)).join('; ')}.`}
        </Typography>
      )}
      <ForecastField forecast={forecast} isPast={forecast.weather.length > 0 && ahead.length < 2} />
    </Box>
  );
}

const stretchWords =
  (now: number) =>
  ({ from, to }: { readonly from: number; readonly to: number }): string =>
    `from ${clockWords(from, now)} to ${clockWords(to, now)}`;

type Say = (project: Project, notation: Project['notation']) => string;
const WHY: Readonly<Record<HoldOff, Say>> = {
  cold: ({ epoxy }, notation) => `below ${formatTemperature(epoxy.resin.leastC, notation)} this hardener stays soft.`,
  damp: ({ epoxy }) => `above ${epoxy.resin.dampest} % humidity the surface blushes.`,
  dew: (_project, notation) => {
    const over = shownTemperature(epoxyConstants.ABOVE_DEW_C.value, notation) - shownTemperature(0, notation);
    return (
      `the surface must be ${over.toFixed(0)} ${temperatureUnit(notation)} over the dew point, ` +
      'or water lies under the coat.'
    );
  },
};
