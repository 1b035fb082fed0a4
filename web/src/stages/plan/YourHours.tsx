/** When the builder builds: the week, single days that are otherwise, and how fast. */
import Button from '@mui/material/Button';
import {
  PLAN_DAYS_PATH,
  PLAN_RATES_PATH,
  WEEKDAY_NAMES,
  WEEKDAYS,
  WORK_GROUPS,
  type PlanPart,
  type WorkHours,
} from '@kalotrope/core/plan';
import type { EditValue } from '@kalotrope/core/findings';
import { DateField } from '../../controls/DateField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';
import { HOURS_SECTION, RATES_SECTION, SINGLE_SECTION } from './words';

const MOST_DAYS = 200;
const THREE = { display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 8 };

/** 19:30 or 19.5 */
function readClock(text: string) {
  const match = /^\s*(\d{1,2}):([0-5]\d)\s*$/.exec(text);
  const value = match ? Number(match[1]) + Number(match[2]) / 60 : Number(text.replace(',', '.'));
  return text.trim() !== '' && value >= 0 && value <= 24
    ? ({ ok: true, value } as const)
    : ({ ok: false, expected: 'a time, such as 19:30' } as const);
}

type HoursProps = {
  readonly name: string;
  readonly hours: WorkHours;
  readonly path: readonly string[];
};

/** From when, how long, how many. */
function HoursFields({ name, hours, path }: HoursProps) {
  const dispatch = useAppDispatch();
  const set = (key: keyof WorkHours) => (value: EditValue) =>
    dispatch(edited({ label: `${name}: hours`, edits: [{ path: [...path, key], value }] }));
  return (
    <div style={THREE} role="group" aria-label={name}>
      <NumberField label={`${name} from`} value={hours.from} read={readClock} onCommit={set('from')} />
      <NumberField label={`${name} hours`} value={hours.hours} onCommit={set('hours')} path={[...path, 'hours']} />
      <NumberField label={`${name} hands`} value={hours.hands} onCommit={set('hands')} path={[...path, 'hands']} />
    </div>
  );
}

export function YourHours({ part }: { readonly part: PlanPart }) {
  const dispatch = useAppDispatch();
  const put = (label: string, path: readonly string[], value: EditValue) =>
    dispatch(edited({ label, edits: [{ path, value }] }));
  return (
    <>
      <Section title={HOURS_SECTION}>
        <p className="quiet">From when, how many hours, and how many pairs of hands. 0 hours: no work on that day.</p>
        <div className="field-grid no-print">
          <DateField
            label="First day"
            value={part.starts}
            onCommit={(value) => put('First day', ['plan', 'starts'], value)}
          />
          <NumberField
            label="Times the usual hours"
            value={part.pace}
            onCommit={(value) => put('Pace', ['plan', 'pace'], value)}
            path={['plan', 'pace']}
          />
        </div>
        {WEEKDAYS.map((day) => (
          <HoursFields
            key={day}
            name={WEEKDAY_NAMES[day].slice(0, 3)}
            hours={part.week[day]}
            path={['plan', 'week', day]}
          />
        ))}
      </Section>
      <Section title={RATES_SECTION}>
        <p className="quiet">Over the usual hours of each kind of work; Log offers them from what yours took.</p>
        <div className="field-grid no-print">
          {WORK_GROUPS.map((group) => (
            <NumberField
              key={group}
              label={`Times, ${group}`}
              value={part.rates[group]}
              onCommit={(value) => put(`Rate of ${group}`, [...PLAN_RATES_PATH, group], value)}
              path={[...PLAN_RATES_PATH, group]}
            />
          ))}
        </div>
      </Section>
      <Section title={SINGLE_SECTION} aside={part.days.length === 0 ? 'none' : String(part.days.length)}>
        <p className="quiet">A holiday, an evening more, a day on which somebody comes to help.</p>
        {part.starts === '' && part.days.length > 0 && <p className="quiet">They count when there is a first day.</p>}
        {part.days.map(({ id, date, ...hours }, k) => (
          <div key={id} role="group" aria-label={`Day ${k + 1}`}>
            <div className="field-grid no-print">
              <DateField
                label={`Day ${k + 1}`}
                value={date}
                onCommit={(value) => put('A day', [...PLAN_DAYS_PATH, id, 'date'], value)}
              />
              <Button
                size="small"
                onClick={() =>
                  put(
                    'A day taken out',
                    PLAN_DAYS_PATH,
                    part.days.filter((one) => one.id !== id),
                  )
                }
              >
                Take it out
              </Button>
            </div>
            <HoursFields name={`Day ${k + 1}`} hours={hours} path={[...PLAN_DAYS_PATH, id]} />
          </div>
        ))}
        <Button
          disabled={part.days.length >= MOST_DAYS}
          onClick={() => put('A day added', PLAN_DAYS_PATH, [...part.days, newDay(part)])}
        >
          Add a day
        </Button>
      </Section>
    </>
  );
}

/** A day off on the first day, until another date is put in. */
function newDay({ days, starts }: PlanPart): PlanPart['days'][number] {
  const numbers = days.map(({ id }) => Number(id.replace('day.', ''))).filter(Number.isFinite);
  return { id: `day.${Math.max(0, ...numbers) + 1}`, date: starts, from: 19, hours: 0, hands: 1 };
}
