import TextField from '@mui/material/TextField';
import { useState, type KeyboardEvent } from 'react';
import { DIVISION_MM, formatFine, parseLength } from '@kalotrope/core/measure';
import { selectNotation } from './selectors';
import { useAppSelector } from './store';

type Props = {
  readonly label: string;
  readonly mm: number;
  readonly onCommit: (mm: number) => void;
  readonly isBare?: boolean;
};

/** A length in any notation: shows what it understood; Enter commits, Esc restores, arrows step by the rule's division. */
export function LengthField({ label, mm, onCommit, isBare }: Props) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? formatFine(mm, notation);
  const parsed = typed === null ? null : parseLength(typed, notation);
  const commit = () => {
    if (parsed?.ok && parsed.mm !== mm) onCommit(parsed.mm);
    setTyped(null);
  };
  const key = (event: KeyboardEvent) => {
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') setTyped(null);
    const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    setTyped(null);
    onCommit((parsed?.ok ? parsed.mm : mm) + by * DIVISION_MM[notation]);
  };
  const help = parsed === null ? undefined : parsed.ok ? parsed.understood : `Expected ${parsed.expected}`;
  return (
    <TextField
      label={isBare ? undefined : label}
      value={shown}
      error={parsed !== null && !parsed.ok}
      helperText={help}
      onChange={(event) => setTyped(event.target.value)}
      onKeyDown={key}
      onBlur={commit}
      variant={isBare ? 'standard' : 'outlined'}
      slotProps={{
        htmlInput: { 'aria-label': label, className: 'figure', spellCheck: false },
        input: isBare ? { disableUnderline: parsed === null } : {},
      }}
      sx={{ width: isBare ? 84 : '100%', '& input': { fontSize: 14, py: isBare ? 0.1 : undefined } }}
    />
  );
}
