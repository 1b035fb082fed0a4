import TextField from '@mui/material/TextField';
import { memo, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Edit } from '@kalotrope/core/findings';
import { useRefusal, type Refuse } from './use-refusal';
import { useStable } from './use-stable';
import { DIVISION_MM, formatField, parseLength } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Props = {
  readonly label: string;
  readonly mm: number;
  readonly onCommit: (mm: number) => void;
  /** Where in the project it is kept: what would be refused there is refused here, and stays as it was typed. */
  readonly path?: Edit['path'];
};

/**
 * A length in any notation: shows what it understood; Enter commits, Esc restores, arrows step by the rule's
 * division.
 */
export function LengthField({ label, mm, onCommit, path }: Props) {
  const typing = useLengthTyping(mm, onCommit, useRefusal(path));
  return <Field label={label} {...typing} />;
}

/** What is typed into a field of a length, how it is understood, and the keys. */
function useLengthTyping(mm: number, onCommit: (mm: number) => void, refuse: Refuse) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null || typed.trim() === '' ? null : parseLength(typed, notation);
  const read = parsed?.ok ? parsed.mm : undefined;
  const refused = read === undefined ? undefined : refuse(read);
  // a key may commit and move the focus at once: leaving the field then finds nothing left to commit
  const pending = useRef<string | null>(null);
  const type = (text: string | null) => {
    pending.current = text;
    setTyped(text);
  };
  // keys may come faster than the figure that they change
  const stepped = useRef<number | null>(null);
  useEffect(() => {
    if (stepped.current === mm) stepped.current = null;
  }, [mm]);
  const act: Act = (what) => {
    if (what.kind !== 'step') stepped.current = null;
    if (what.kind === 'type') return type(what.text);
    const isTyped = pending.current !== null;
    // what is refused or not understood stays in the field, with why
    if (what.kind !== 'restore' && (refused !== undefined || parsed?.ok === false)) return undefined;
    if (what.kind === 'commit' && isTyped && read !== undefined && read !== mm) onCommit(read);
    if (what.kind === 'step') {
      stepped.current = (read ?? stepped.current ?? mm) + what.by * DIVISION_MM[notation];
      onCommit(stepped.current);
    }
    return type(null);
  };
  const stable = useStable(act);
  return {
    value: typed ?? formatField(mm, notation),
    isTyped: typed !== null,
    isWrong: parsed !== null && (!parsed.ok || refused !== undefined),
    help: refused ?? (parsed === null ? undefined : parsed.ok ? parsed.understood : `Expected ${parsed.expected}`),
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
  /** Something is typed and not entered yet. */
  readonly isTyped: boolean;
  readonly isWrong: boolean;
  readonly help: string | undefined;
  readonly act: Act;
};

/** The field itself, drawn again only when what it shows is another: there are many of them on a screen. */
const Field = memo(function Field({ label, value, isTyped, isWrong, help, act }: FieldProps) {
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
      slotProps={{
        htmlInput: { 'aria-label': label, className: 'figure', spellCheck: false, 'data-at-rest': !isTyped },
      }}
      sx={{ '& input': { fontSize: 14 } }}
    />
  );
});
