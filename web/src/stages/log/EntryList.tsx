/** What was done, the last day first. */
import { memo } from 'react';
import { entryThing, figureWords, photosWords, type StandingEntry } from '@kalotrope/core/log';
import type { Notation } from '@kalotrope/core/measure';
import { picked } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { KIND_NAMES } from './words';

type Props = {
  readonly entries: readonly StandingEntry[];
  readonly notation: Notation;
  readonly picked: string | undefined;
};

export const EntryList = memo(function EntryList({ entries, notation, picked: own }: Props) {
  const dispatch = useAppDispatch();
  if (entries.length === 0)
    return (
      <p style={{ padding: '8px 16px' }}>
        Nothing is written down yet. Start the clock when you begin, or write down what was done: hours, a receipt, a
        measure, a mistake, a doubt about the drawings.
      </p>
    );
  const days = [...new Set(entries.map(({ day }) => day))].sort().reverse();
  return (
    <ol className="log-days" aria-label="The log, the last day first">
      {days.map((day) => (
        <li key={day}>
          <h2 className="plan-day">{day}</h2>
          {entries
            .filter((entry) => entry.day === day)
            .map((entry) => (
              <button
                key={entry.first}
                type="button"
                className="plan-entry"
                aria-pressed={entry.first === own}
                onClick={() => dispatch(picked(entryThing(entry.first)))}
              >
                <span className="log-kind">{KIND_NAMES[entry.kind]}</span>
                <span className="log-said">
                  {[entry.jobName, ...entry.parts].filter((one) => one !== '').join(', ')}
                  {entry.words !== '' && <span className="quiet"> {entry.words}</span>}
                  {entry.pictures.length > 0 && <span className="quiet"> {photosWords(entry.pictures.length)}</span>}
                  {entry.before.length > 0 && <span className="quiet"> (put right)</span>}
                </span>
                <span className="figure">{figureWords(entry, notation)}</span>
              </button>
            ))}
        </li>
      ))}
    </ol>
  );
});
