import TextField from '@mui/material/TextField';
import { useState } from 'react';

type Props = {
  readonly label: string;
  /** 2027-03-01; empty: none. */
  readonly value: string;
  readonly onCommit: (value: string) => void;
};

/** A day, by the browser’s own field for one; half typed it is kept as it was. */
export function DateField({ label, value, onCommit }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    if (typed !== null && typed !== value) onCommit(typed);
    setTyped(null);
  };
  return (
    <TextField
      label={label}
      type="date"
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setTyped(null);
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { max: '9999-12-31', 'data-at-rest': typed === null } }}
      sx={{ '& input': { fontSize: 14 } }}
    />
  );
}
