import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Edit } from '@kalotrope/core/findings';
import { useRefusal } from './use-refusal';

type Read = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly expected: string };
type Props = {
  readonly label: string;
  readonly value: number;
  readonly onCommit: (value: number) => void;
  /** How what is typed is understood; a plain number unless given. */
  readonly read?: (text: string) => Read;
  /** Where in the project it is kept, and what one shown unit is there: what would be refused is refused here. */
  readonly path?: Edit['path'];
  readonly unit?: number;
};

function readNumber(text: string): Read {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) ? { ok: true, value } : { ok: false, expected: 'a number' };
}

/** Reads a number within bounds, or says which would do. */
export const numberBetween =
  (min: number, max: number, isWhole = false): ((text: string) => Read) =>
  (text) => {
    const found = readNumber(text);
    const isIn = found.ok && found.value >= min && found.value <= max && (!isWhole || Number.isInteger(found.value));
    return isIn ? found : { ok: false, expected: `a ${isWhole ? 'whole ' : ''}number from ${min} to ${max}` };
  };

/** A figure that is no length: Enter or leaving the field commits, Esc restores. */
export function NumberField({ label, value, onCommit, read = readNumber, path, unit = 1 }: Props) {
  const refuse = useRefusal(path);
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null ? null : read(typed);
  const refused = parsed?.ok ? refuse(parsed.value * unit) : undefined;
  const commit = () => {
    // what is refused or not understood stays in the field, with why
    if (refused !== undefined || (typed?.trim() && parsed?.ok === false)) return;
    if (parsed?.ok && parsed.value !== value) onCommit(parsed.value);
    setTyped(null);
  };
  return (
    <TextField
      label={label}
      value={typed ?? String(Number(value.toFixed(4)))}
      error={parsed !== null && (!parsed.ok || refused !== undefined)}
      helperText={refused ?? (parsed !== null && !parsed.ok ? `Expected ${parsed.expected}` : undefined)}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setTyped(null);
      }}
      slotProps={{ htmlInput: { className: 'figure', inputMode: 'decimal', 'data-at-rest': typed === null } }}
      sx={{ '& input': { fontSize: 14 } }}
    />
  );
}
