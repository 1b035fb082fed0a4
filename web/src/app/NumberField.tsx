import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** A plain number: Enter or leaving the field commits, Esc restores. */
export function NumberField({
  label,
  value,
  onCommit,
}: {
  readonly label: string;
  readonly value: number;
  readonly onCommit: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const number = typed === null ? value : Number(typed.replace(',', '.'));
  const isBad = typed !== null && (typed.trim() === '' || !Number.isFinite(number));
  const commit = () => {
    if (typed !== null && !isBad && number !== value) onCommit(number);
    setTyped(null);
  };
  return (
    <TextField
      label={label}
      value={typed ?? String(Number(value.toFixed(4)))}
      error={isBad}
      helperText={isBad ? 'Expected a number' : undefined}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setTyped(null);
      }}
      slotProps={{ htmlInput: { className: 'figure', inputMode: 'decimal' } }}
    />
  );
}
