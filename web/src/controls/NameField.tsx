import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { plainText } from '@kalotrope/core/measure';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly onCommit: (name: string) => void;
};

/** A name: Enter or leaving the field commits, Esc restores; an empty one is not taken. */
export function NameField({ label, value, most, onCommit }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const name = plainText(typed ?? '');
    if (name && name !== value) onCommit(name);
    setTyped(null);
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setTyped(null);
      }}
      slotProps={{ htmlInput: { maxLength: most, spellCheck: false, 'data-at-rest': typed === null } }}
    />
  );
}
