/** What became of parts, ticked where they are looked at: each step is a record, with the shape of that day. */
import {
  keptShape,
  livesOf,
  NO_RECORDS,
  STATE_WORDS,
  stateOf,
  type NowPart,
  type PartState,
} from '@kalotrope/core/log';
import { said } from '../state/screen-slice';
import { selectFound, selectProject } from '../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../state/store';
import { dayOf } from '../storage/day';
import { addPartRecords } from '../storage/log';
import { SelectField } from './SelectField';

/** Writes down what became of parts; where the store refuses, that is said. */
export function usePartSteps(): (parts: readonly NowPart[], state: PartState) => void {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  return (parts, state) => {
    const project = selectProject(store.getState());
    if (!project) return;
    const written = Date.now();
    const records = parts.map((part) => ({
      ...{ id: crypto.randomUUID(), part: part.id, name: part.name, state, day: dayOf(written), written },
      ...{ revision: project.revision, ...keptShape(part) },
    }));
    addPartRecords(project.id, records).catch(() =>
      dispatch(said('This browser did not keep it: write it on the part itself.')),
    );
  };
}

export function PartLife({ parts }: { readonly parts: readonly NowPart[] }) {
  const records = useAppSelector((state) => (selectFound(state).log ?? NO_RECORDS).parts);
  const step = usePartSteps();
  const lives = livesOf(records);
  const [first] = parts;
  if (!first) return null;
  const state = stateOf(lives, first.id);
  const cut = lives.get(first.id)?.cut;
  return (
    <div style={{ marginTop: 12, display: 'grid' }} className="no-print">
      <SelectField<PartState>
        label="The part is"
        value={state}
        names={STATE_WORDS}
        onChange={(next) => step(parts, next)}
      />
      {cut && (
        <p className="quiet">
          Cut on {cut.day}, at revision {cut.revision}.
        </p>
      )}
    </div>
  );
}
