/** What the forecast lets be done of the plan, and what else can be done when it does not. */
import { hourly, type HoldOff } from '@kalotrope/core/epoxy';
import { momentWords, spoiltBy, workThing, type PlanPart, type PlanValue, type Spoilt } from '@kalotrope/core/plan';
import type { Project } from '@kalotrope/core/project';
import { clockWords } from '../../controls/clock-words';
import { ForecastField } from '../../controls/ForecastField';
import { Section } from '../../controls/Section';
import { useNow } from '../../controls/use-now';
import { useForecast } from '../../devices/use-forecast';
import { picked } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { WEATHER_SECTION } from './words';

type Props = { readonly value: PlanValue; readonly part: PlanPart; readonly resin: Project['epoxy']['resin'] };

export function PlanWeather(props: Props) {
  return (
    <Section title={WEATHER_SECTION}>
      <Foretold {...props} />
    </Section>
  );
}

/** Minutes of the plan on the clock of this machine; the days of a year are not all of one length. */
const clockFrom = (starts: string) => {
  const [year = 0, month = 1, day = 1] = starts.split('-').map(Number);
  return (minute: number): number =>
    new Date(year, month - 1, day + Math.floor(minute / 1440), 0, minute % 1440).getTime();
};

function Foretold({ value, part, resin }: Props) {
  const forecast = useForecast(useAppSelector(selectNotation));
  if (part.starts === '') return <p className="quiet">Say the first day of the plan, under your hours.</p>;
  const weather = hourly(forecast.weather);
  const spoilt = spoiltBy(value, { weather, resin, clockOf: clockFrom(part.starts) });
  return (
    <>
      {weather.length > 0 && spoilt.length === 0 && (
        <p className="quiet">In the days of the forecast it spoils none of the wet work that is planned.</p>
      )}
      {spoilt.map((one) => (
        <SpoiltJob key={one.job.id} spoilt={one} part={part} />
      ))}
      <ForecastField forecast={forecast} isPast={false} />
    </>
  );
}

const WHY: Readonly<Record<HoldOff, string>> = {
  cold: 'too cold',
  damp: 'too damp',
  dew: 'the surface too near the dew point',
};

function SpoiltJob({ spoilt, part }: { readonly spoilt: Spoilt; readonly part: PlanPart }) {
  const dispatch = useAppDispatch();
  const now = useNow();
  const { job, start, why, coldAt, instead } = spoilt;
  const reason =
    coldAt === null
      ? `it is then ${why.map((one) => WHY[one]).join(', and ')}`
      : `it grows too cold from ${clockWords(coldAt, now)}, before it is hard`;
  return (
    <div role="group" aria-label={`${job.name} and the weather`}>
      <p>
        <b>{job.name}</b>, {momentWords(start, part)}: {reason}.
      </p>
      <p className="quiet">
        {instead.length === 0 ? 'Nothing dry waits to be done then: warm the shop, or put it off.' : 'Meanwhile:'}
      </p>
      {instead.map(({ id, name }) => (
        <button key={id} type="button" className="plan-entry" onClick={() => dispatch(picked(workThing(id)))}>
          <span>{name}</span>
        </button>
      ))}
    </div>
  );
}
