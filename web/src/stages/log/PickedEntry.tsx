/** An entry: all that it says, what stood before it, and putting it right: which is an entry of its own. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { figureWords, type StandingEntry } from '@kalotrope/core/log';
import type { Notation } from '@kalotrope/core/measure';
import type { WorkJob } from '@kalotrope/core/plan';
import { Figure } from '../../controls/Figure';
import { picked, said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { draftOf, entryOf, hasAnswer } from './draft';
import { EntryFields } from './EntryFields';
import { Photos } from './Photos';
import { useLog } from './use-log';

type Props = {
  readonly entry: StandingEntry;
  readonly jobs: readonly WorkJob[];
  readonly notation: Notation;
};

export function PickedEntry({ entry, jobs, notation }: Props) {
  const [draft, setDraft] = useState(() => draftOf(entry));
  const [isOpen, setOpen] = useState(false);
  const { write } = useLog();
  const dispatch = useAppDispatch();
  const { first: _first, before, ...plain } = entry;
  const putRight = async () => {
    if (await write({ ...entryOf(draft, jobs, entry), ...(entry.gap && { gap: entry.gap }), corrects: entry.id }))
      setOpen(false);
  };
  const takeBack = async () => {
    if (!(await write({ ...plain, corrects: entry.id, isTakenBack: true }))) return;
    dispatch(picked(null));
    dispatch(said('Taken back; it stays in the table of every entry'));
  };
  const figure = figureWords(entry, notation);
  return (
    <>
      {figure !== '' && <Figure name={entry.kind === 'money' ? 'Paid' : 'Figure'} value={figure} />}
      {entry.jobName !== '' && <Figure name="Job" value={entry.jobName} />}
      {entry.parts.length > 0 && <p className="quiet">{entry.parts.join('; ')}.</p>}
      {entry.words !== '' && <p>{entry.words}</p>}
      {hasAnswer(entry.kind) && (
        <p className="quiet">{entry.answer === '' ? 'Nothing done about it yet.' : `Done about it: ${entry.answer}`}</p>
      )}
      <Photos ids={entry.pictures} />
      <p className="quiet">Written at revision {entry.revision}.</p>
      {before.length > 0 && (
        <p className="quiet">Before it was put right: {before.map((one) => oldWords(one, notation)).join('; ')}.</p>
      )}
      {isOpen ? (
        <EntryFields draft={draft} jobs={jobs} act="Put it right" onDraft={setDraft} onAct={() => void putRight()} />
      ) : (
        <div className="acts">
          <Button onClick={() => setOpen(true)}>Change it</Button>
          <Button onClick={() => void takeBack()}>Take it back</Button>
        </div>
      )}
    </>
  );
}

const oldWords = (entry: StandingEntry['before'][number], notation: Notation): string =>
  [
    figureWords(entry, notation),
    entry.words.slice(0, 60),
    hasAnswer(entry.kind) ? entry.answer.slice(0, 60) || '(nothing done about it)' : '',
  ]
    .filter((one) => one !== '')
    .join(' ') || 'the same';
