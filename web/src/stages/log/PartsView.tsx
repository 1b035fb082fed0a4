/** Every part to cut, how far it is, and the next step at a press; with those that are drawn otherwise now. */
import Button from '@mui/material/Button';
import { memo } from 'react';
import { cutThing, livesOf, PART_STATES, STATE_WORDS, stateOf, type LogRecords } from '@kalotrope/core/log';
import type { CutPart } from '@kalotrope/core/sheets';
import { usePartSteps } from '../../controls/PartLife';
import { PartShape } from '../../drawing/PartShape';
import { picked } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { VERDICT_WORDS } from './words';

type Props = {
  readonly parts: readonly CutPart[];
  readonly records: LogRecords;
  /** Id of the picked part. */
  readonly picked: string | undefined;
};

/** Its words stay on one line, however long the part’s name. */
const NO_WRAP = { whiteSpace: 'nowrap', flexShrink: 0 } as const;

export const PartsView = memo(function PartsView({ parts, records, picked: own }: Props) {
  const dispatch = useAppDispatch();
  const step = usePartSteps();
  const lives = livesOf(records.parts);
  if (parts.length === 0) return <p style={{ padding: '8px 16px' }}>Nothing is to be cut yet.</p>;
  const done = PART_STATES.slice(1).map((state) => {
    const from = PART_STATES.indexOf(state);
    const count = parts.filter(({ id }) => PART_STATES.indexOf(stateOf(lives, id)) >= from).length;
    return `${count} ${STATE_WORDS[state]}`;
  });
  return (
    <div style={{ padding: '4px 16px 16px' }}>
      <p className="quiet">
        {parts.length} parts: {done.join(', ')}.
      </p>
      <ul className="part-list" aria-label="Parts and how far they are">
        {parts.map((part) => {
          const state = stateOf(lives, part.id);
          const next = PART_STATES[PART_STATES.indexOf(state) + 1];
          const moved = records.moved.find((one) => one.part === part.id);
          return (
            <li key={part.id}>
              <button
                type="button"
                className="plan-entry"
                aria-pressed={part.id === own}
                onClick={() => dispatch(picked(cutThing(part.id)))}
              >
                <span className="part-shape">
                  <PartShape outline={part.outline} holes={part.holes} />
                </span>
                <span className="log-said">
                  {part.name}
                  <span className="quiet">
                    {' '}
                    {STATE_WORDS[state]}
                    {moved && moved.verdict !== 'nothing' && `; ${VERDICT_WORDS[moved.verdict]}`}
                  </span>
                </span>
              </button>
              {next && (
                <Button size="small" variant="outlined" sx={NO_WRAP} onClick={() => step([part], next)}>
                  Is {STATE_WORDS[next]}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
});
