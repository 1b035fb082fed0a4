/** Figures typed with a glove: a pad of large keys, and the same from a keyboard. */
import { useEffect, useRef, useState } from 'react';
import { isImperial } from '@kalotrope/core/measure';
import { readFigure, type TaskReading } from '@kalotrope/core/stage';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

type Props = { readonly reading: TaskReading; readonly onRead: (value: number | 'true') => void };

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'] as const;

export function NumberPad({ reading, onRead }: Props) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState('');
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const read = readFigure(typed, reading.kind, notation);
  const keep = () => read.ok && onRead(read.value);
  const put = (sign: string) => setTyped(typed + sign);
  return (
    <form
      className="shop-pad"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <label>
        What it reads
        <input
          ref={field}
          className="figure"
          inputMode="none"
          autoComplete="off"
          value={typed}
          aria-describedby="shop-understood"
          onChange={({ target }) => setTyped(target.value)}
        />
      </label>
      <p id="shop-understood" role="status">
        {typed === ''
          ? `Should be ${reading.expects}`
          : read.ok
            ? `Understood: ${read.words}`
            : `Expected ${read.expected}`}
      </p>
      <div className="shop-keys">
        {DIGITS.map((digit) => (
          <button key={digit} type="button" onClick={() => put(digit)}>
            {digit}
          </button>
        ))}
        <button
          type="button"
          aria-label={reading.kind === 'length' && isImperial(notation) ? 'Dash' : 'Minus'}
          onClick={() => put('-')}
        >
          −
        </button>
        <button type="button" onClick={() => put('0')}>
          0
        </button>
        <button type="button" aria-label="Point" onClick={() => put('.')}>
          .
        </button>
        <button type="button" aria-label="Wipe out the last one" onClick={() => setTyped(typed.slice(0, -1))}>
          ⌫
        </button>
        <button type="button" className="is-wide" onClick={() => onRead('true')}>
          On its mark
        </button>
        <button type="submit" className="is-wide is-main" disabled={!read.ok}>
          Keep it
        </button>
      </div>
    </form>
  );
}
