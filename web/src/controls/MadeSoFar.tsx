/** How far what is cut of the picked thing is, ticked where it is drawn. */
import Button from '@mui/material/Button';
import { livesOf, NO_RECORDS, PART_STATES, STATE_WORDS, stateOf, type PartState } from '@kalotrope/core/log';
import type { Derived } from '@kalotrope/core/project';
import { selectDerived, selectFound } from '../state/selectors';
import { useAppSelector } from '../state/store';
import { usePartSteps } from './PartLife';
import { Section } from './Section';
import { SelectField } from './SelectField';

/** `of`: ids of what is drawn; nothing is shown where no sheet is cut for them. */
export function MadeSoFar({ of }: { readonly of: readonly string[] }) {
  const all = useAppSelector((state) => selectDerived(state)?.sheets.value.parts);
  const records = useAppSelector((state) => (selectFound(state).log ?? NO_RECORDS).parts);
  const parts = (all ?? []).filter((part) => of.includes(part.of));
  if (parts.length === 0) return null;
  const lives = livesOf(records);
  const farOf = ({ id }: { readonly id: string }) => PART_STATES.indexOf(stateOf(lives, id));
  const done = parts.filter((part) => farOf(part) > 0).length;
  return (
    <Section title="Made so far" aside={`${done} of ${parts.length} cut`}>
      <EachPart parts={parts} stateOf={(id) => stateOf(lives, id)} />
    </Section>
  );
}

type CutParts = Derived['sheets']['value']['parts'];
type EachProps = { readonly parts: CutParts; readonly stateOf: (id: string) => PartState };

function EachPart({ parts, stateOf: stateIn }: EachProps) {
  const step = usePartSteps();
  const least = Math.min(...parts.map(({ id }) => PART_STATES.indexOf(stateIn(id))));
  const behind = parts.filter(({ id }) => PART_STATES.indexOf(stateIn(id)) === least);
  const next = PART_STATES[least + 1];
  return (
    <div style={{ marginTop: 8, display: 'grid', gap: 10 }}>
      {parts.map((part) => (
        <SelectField<PartState>
          key={part.id}
          label={part.name}
          value={stateIn(part.id)}
          names={STATE_WORDS}
          onChange={(state) => step([part], state)}
        />
      ))}
      {next && behind.length > 1 && (
        <Button size="small" variant="outlined" onClick={() => step(behind, next)}>
          {behind.length === parts.length ? 'All' : `${behind.length} more`} are {STATE_WORDS[next]}
        </Button>
      )}
      <p className="quiet">Each step is kept with the part’s shape of that day, and seen on Log.</p>
    </div>
  );
}
