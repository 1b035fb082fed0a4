/** A job: when it is done, what it waits for, what has to be there; and what the builder decides of it. */
import { beforeGlue, hoursWords, momentWords, type PlanPart, type PlanValue, type WorkJob } from '@kalotrope/core/plan';
import { Act } from '../../controls/Act';
import { DateField } from '../../controls/DateField';
import { Figure } from '../../controls/Figure';
import { numberBetween, NumberField } from '../../controls/NumberField';
import { Tick } from '../../controls/ViewTabs';
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
