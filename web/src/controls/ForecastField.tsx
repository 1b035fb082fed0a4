import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRef } from 'react';
import { temperatureUnit } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';
import type { Forecasting } from '../devices/use-forecast';

type Props = { readonly forecast: Forecasting; readonly isPast: boolean };

/** Typed, or a file of it: a line a time. */
export function ForecastField({ forecast: { text, problem, put }, isPast }: Props) {
  const notation = useAppSelector(selectNotation);
  const file = useRef<HTMLInputElement>(null);
  const help = problem ?? (isPast ? 'All of it is past: the shop is taken to stay as it is.' : undefined);
  return (
    <>
      <TextField
        label="The forecast, a line a time"
        placeholder={`2026-05-02 08:00, ${notation.startsWith('m') ? 12 : 54}, 70`}
        multiline
        fullWidth
        minRows={3}
        maxRows={10}
        value={text}
        error={problem !== null}
        helperText={help ?? `Date and time, temperature in ${temperatureUnit(notation)}, humidity in %`}
        onChange={({ target }) => put(target.value)}
        sx={{ mt: 1 }}
      />
      <Button sx={{ mt: 1 }} onClick={() => file.current?.click()}>
        Take a file of it
      </Button>
      <input
        ref={file}
        type="file"
        hidden
        accept=".csv,.txt"
        aria-label="A file of the forecast"
        onChange={({ target }) => void target.files?.[0]?.text().then(put, () => undefined)}
      />
    </>
  );
}
