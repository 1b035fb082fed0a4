import TextField from '@mui/material/TextField';
import { memo, useCallback, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
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
export function LengthField({ label, mm, onCommit, isBare = false }: Props) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null ? null : parseLength(typed, notation);
  const act: Act = (what) => {
    if (what.kind === 'type') return setTyped(what.text);
    if (what.kind === 'commit' && parsed?.ok && parsed.mm !== mm) onCommit(parsed.mm);
    if (what.kind === 'step') onCommit((parsed?.ok ? parsed.mm : mm) + what.by * DIVISION_MM[notation]);
    setTyped(null);
  };
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  const stable = useCallback<Act>((what) => latest.current(what), []);
  return (
    <Field
      label={label}
      value={typed ?? formatFine(mm, notation)}
      isWrong={parsed !== null && !parsed.ok}
      help={parsed === null ? undefined : parsed.ok ? parsed.understood : `Expected ${parsed.expected}`}
      isBare={isBare}
      act={stable}
    />
  );
}

type Act = (
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
  readonly isBare: boolean;
  readonly act: Act;
};

/** The field itself, drawn again only when what it shows is another: there are many of them on a screen. */
const Field = memo(function Field({ label, value, isWrong, help, isBare, act }: FieldProps) {
  const key = (event: KeyboardEvent) => {
    if (event.key === 'Enter') act({ kind: 'commit' });
    if (event.key === 'Escape') act({ kind: 'restore' });
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    act({ kind: 'step', by: event.key === 'ArrowUp' ? 1 : -1 });
  };
  return (
    <TextField
      label={isBare ? undefined : label}
      value={value}
      error={isWrong}
      helperText={help}
      onChange={(event) => act({ kind: 'type', text: event.target.value })}
      onKeyDown={key}
      onBlur={() => act({ kind: 'commit' })}
      variant={isBare ? 'standard' : 'outlined'}
      slotProps={{
        htmlInput: { 'aria-label': label, className: 'figure', spellCheck: false },
        input: isBare ? { disableUnderline: help === undefined } : {},
      }}
      sx={{ width: isBare ? 84 : '100%', '& input': { fontSize: 14, py: isBare ? 0.1 : undefined } }}
    />
  );
});
