import TextField from '@mui/material/TextField';
import { memo, useRef, useState, type KeyboardEvent } from 'react';
import { useStable } from './use-stable';
import { DIVISION_MM, formatFine, parseLength } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Props = {
  readonly label: string;
  readonly mm: number;
  readonly onCommit: (mm: number) => void;
};

/**
 * A length in any notation: shows what it understood; Enter commits, Esc restores, arrows step by the rule's
 * division.
 */
export function LengthField({ label, mm, onCommit }: Props) {
  const { value, isWrong, help, act } = useLengthTyping(mm, onCommit);
  return <Field label={label} value={value} isWrong={isWrong} help={help} act={act} />;
}

/** What is typed into a field of a length, how it is understood, and the keys; `mm` null is an empty field. */
export function useLengthTyping(mm: number | null, onCommit: (mm: number) => void) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null || typed.trim() === '' ? null : parseLength(typed, notation);
  // a key may commit and move the focus at once: leaving the field then finds nothing left to commit
  const pending = useRef<string | null>(null);
  const type = (text: string | null) => {
    pending.current = text;
    setTyped(text);
  };
  const act: Act = (what) => {
    if (what.kind === 'type') return type(what.text);
    const isTyped = pending.current !== null;
    if (what.kind === 'commit' && isTyped && parsed?.ok && parsed.mm !== mm) onCommit(parsed.mm);
    if (what.kind === 'step') onCommit((parsed?.ok ? parsed.mm : (mm ?? 0)) + what.by * DIVISION_MM[notation]);
    type(null);
  };
  const stable = useStable(act);
  return {
    value: typed ?? (mm === null ? '' : formatFine(mm, notation)),
    isWrong: parsed !== null && !parsed.ok,
    help: parsed === null ? undefined : parsed.ok ? parsed.understood : `Expected ${parsed.expected}`,
    act: stable,
  };
}

/** Enter commits, Esc restores, arrows step by the rule's division. */
export const lengthKeys = (act: Act) => (event: KeyboardEvent) => {
  if (event.altKey) return;
  if (event.key === 'Enter') act({ kind: 'commit' });
  if (event.key === 'Escape') act({ kind: 'restore' });
  if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
  event.preventDefault();
  act({ kind: 'step', by: event.key === 'ArrowUp' ? 1 : -1 });
};

export type Act = (
  what:
    | { readonly kind: 'type'; readonly text: string }
    | { readonly kind: 'step'; readonly by: 1 | -1 }
    | { readonly kind: 'commit' | 'restore' },
) => void;

type FieldProps = {
  readonly label: string;
  readonly value: string;
  readonly isWrong: boolean;
  readonly help: string | undefined;
  readonly act: Act;
};

/** The field itself, drawn again only when what it shows is another: there are many of them on a screen. */
const Field = memo(function Field({ label, value, isWrong, help, act }: FieldProps) {
  return (
    <TextField
      label={label}
      value={value}
      error={isWrong}
      helperText={help}
      fullWidth
      onChange={(event) => act({ kind: 'type', text: event.target.value })}
      onKeyDown={lengthKeys(act)}
      onBlur={() => act({ kind: 'commit' })}
      slotProps={{ htmlInput: { 'aria-label': label, className: 'figure', spellCheck: false } }}
      sx={{ '& input': { fontSize: 14 } }}
    />
  );
});
