/** What is done, in the order of the work: each can be taken back. */
import { workThing, type PlanValue } from '@kalotrope/core/plan';
import { Section } from '../../controls/Section';
import { picked } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';

export function DoneList({ value: { jobs, done } }: { readonly value: PlanValue }) {
  const dispatch = useAppDispatch();
  return (
    <Section title="Done" aside={`${done.length} of ${jobs.length}`}>
      {done.length === 0 && <p className="quiet">Nothing yet. A job is ticked where it is picked.</p>}
      {jobs
        .filter(({ id }) => done.includes(id))
        .map(({ id, name }) => (
          <button key={id} type="button" className="plan-entry" onClick={() => dispatch(picked(workThing(id)))}>
            <span>{name}</span>
          </button>
        ))}
    </Section>
  );
}
