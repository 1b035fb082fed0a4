/** A job: when it is done, what it waits for, what has to be there; and what the builder decides of it. */
import {
  beforeGlue,
  hoursWords,
  mayFollow,
  momentWords,
  wantLines,
  type PlanPart,
  type PlanValue,
  type WorkJob,
} from '@kalotrope/core/plan';
import { useMemo } from 'react';
import { Act } from '../../controls/Act';
import { DateField } from '../../controls/DateField';
import { Figure } from '../../controls/Figure';
import { numberBetween, NumberField } from '../../controls/NumberField';
import { SelectField } from '../../controls/SelectField';
import { Tick } from '../../controls/ViewTabs';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { useJobEdit } from './use-job-edit';

type Props = { readonly job: WorkJob; readonly value: PlanValue; readonly part: PlanPart };

const MOST_HOURS = 1000;
/** The first labels stand over their fields’ edges, clear of what is above. */
const UNDER_TICK = { marginTop: 10 };

export function JobNumbers({ job, value, part }: Props) {
  const { own, change } = useJobEdit(job.id, job.name);
  const planned = value.planned.find((one) => one.job.id === job.id);
  const nameOf = (id: string) => value.jobs.find((one) => one.id === id)?.name ?? id;
  const checks = beforeGlue(job);
  const notation = useAppSelector(selectNotation);
  const wants = value.wants[job.id];
  const orders = useMemo(() => ordersOf(value.jobs, job.id, own.after), [value.jobs, job.id, own.after]);
  return (
    <>
      <Tick
        label="Done"
        hint="Planned no more; what waits for it may begin"
        isTicked={own.isDone}
        onTick={(isDone) => change(isDone ? 'done' : 'not done', { isDone })}
      />
      <div className="field-grid no-print" style={UNDER_TICK}>
        <NumberField
          label="Takes, hours"
          value={job.minutes / 60}
          read={numberBetween(0, MOST_HOURS)}
          onCommit={(hours) => change('its hours', { hours })}
        />
        <DateField
          label="Not before"
          value={own.notBefore}
          onCommit={(notBefore) => change('its date', { notBefore })}
        />
      </div>
      <div className="field-grid no-print" style={{ ...UNDER_TICK, gridTemplateColumns: '1fr' }}>
        <SelectField
          label="Done after"
          value={own.after === '' ? AS_IT_COMES : own.after}
          names={orders}
          onChange={(after) => change('its place in the order', { after: after === AS_IT_COMES ? '' : after })}
        />
      </div>
      {own.hours !== null && <Act label="As it is reckoned" onAct={() => change('its hours', { hours: null })} />}
      {planned && (
        <>
          <Figure name="Begins" value={momentWords(planned.start, part)} />
          <Figure name="Ends" value={momentWords(planned.end, part)} />
          <Figure
            name="Takes"
            value={hoursWords(planned.minutes)}
            why={planned.sandedFor === undefined ? undefined : 'With washing and sanding what no longer bonds'}
          />
          {planned.isCritical && <Figure name="The end hangs on it" value="yes" />}
        </>
      )}
      {job.needs.length > 0 && (
        <p className="quiet">
          After{' '}
          {job.needs
            .map(
              ({ job: id, leastH }) => `${nameOf(id).toLowerCase()}${leastH > 0 ? ` and ${Math.ceil(leastH)} h` : ''}`,
            )
            .join('; ')}
          .
        </p>
      )}
      {wants && (
        <>
          <h3 className="plan-day">What it wants</h3>
          {wantLines(wants, notation).map(({ what, value: much }) => (
            <Figure key={what} name={what} value={much} />
          ))}
          {wants.tools.length > 0 && <p className="quiet">{sentence(wants.tools)}</p>}
        </>
      )}
      {!job.isWet && job.parts.length > 1 && <p className="quiet">{job.parts.join('; ')}.</p>}
      {checks.length > 0 && (
        <>
          <h3 className="plan-day">Before the pot is mixed</h3>
          <ul className="steps">
            {checks.map((check) => (
              <li key={check}>{check}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** Of no job the id: ids have no space. */
const AS_IT_COMES = 'as it comes';

/** Where it may be put: not after what waits for it; what it is put after already stays in the list. */
function ordersOf(jobs: readonly WorkJob[], id: string, own: string): Readonly<Record<string, string>> {
  const may = mayFollow(jobs, id);
  const kept = jobs.filter((job) => job.id === own && !may.includes(job));
  return Object.fromEntries([
    [AS_IT_COMES, 'as it comes'],
    ...[...may, ...kept].map((job) => [job.id, job.name] as const),
  ]);
}

const sentence = (words: readonly string[]): string => {
  const all = words.join('; ');
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}.`;
};
