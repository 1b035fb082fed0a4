import InputBase from '@mui/material/InputBase';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { plainText } from '@kalotrope/core/measure';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  /** No name is an answer too. */
  readonly mayBeEmpty?: true;
  readonly onCommit: (name: string) => void;
  /** A field of a form, or the name itself where it stands. */
  readonly look?: 'field' | 'in-place';
};

/** A name: Enter or leaving the field commits, Esc restores; an empty one is not taken. */
export function NameField({ label, value, most, mayBeEmpty, onCommit, look = 'field' }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const name = plainText(typed ?? '');
    if (typed !== null && (name || mayBeEmpty) && name !== value) onCommit(name);
    setTyped(null);
  };
  const common = {
    value: typed ?? value,
    onChange: (event: { readonly target: { readonly value: string } }) => setTyped(event.target.value),
    onBlur: commit,
    onKeyDown: (event: { readonly key: string }) => {
      if (event.key === 'Enter') commit();
      if (event.key === 'Escape') setTyped(null);
    },
  };
  const input = { maxLength: most, spellCheck: false, 'data-at-rest': typed === null };
  if (look === 'field') return <TextField label={label} {...common} slotProps={{ htmlInput: input }} />;
  const size = Math.max(LEAST_LETTERS, (typed ?? value).length);
  return (
    <InputBase
      {...common}
      slotProps={{ input: { ...input, size, 'aria-label': label } }}
      sx={{
        ...{ fontSize: 15, fontWeight: 600, px: 0.75, borderRadius: 1, border: 1, borderColor: 'transparent' },
        ...{ maxWidth: 300, minWidth: 0, '&:hover': { borderColor: 'divider' } },
        '&:focus-within': { borderColor: 'primary.main', bgcolor: 'background.paper' },
      }}
    />
  );
}

const LEAST_LETTERS = 6;
