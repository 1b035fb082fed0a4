import TextField from '@mui/material/TextField';
import { memo, useRef, useState, type KeyboardEvent } from 'react';
import type { Edit } from '@kalotrope/core/findings';
import { useRefusal, type Refuse } from './use-refusal';
import { useStable } from './use-stable';
import { DIVISION_MM, formatFine, parseLength } from '@kalotrope/core/measure';
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
  const { value, isWrong, help, act } = useLengthTyping(mm, onCommit, useRefusal(path));
  return <Field label={label} value={value} isWrong={isWrong} help={help} act={act} />;
}

/** What is typed into a field of a length, how it is understood, and the keys; `mm` null is an empty field. */
export function useLengthTyping(mm: number | null, onCommit: (mm: number) => void, refuse: Refuse = takeAny) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null || typed.trim() === '' ? null : parseLength(typed, notation);
  const refused = parsed?.ok ? refuse(parsed.mm) : undefined;
  // a key may commit and move the focus at once: leaving the field then finds nothing left to commit
  const pending = useRef<string | null>(null);
  const type = (text: string | null) => {
    pending.current = text;
    setTyped(text);
  };
  const act: Act = (what) => {
    if (what.kind === 'type') return type(what.text);
    const isTyped = pending.current !== null;
    // what is refused stays in the field, with why
    if (what.kind === 'commit' && refused !== undefined) return undefined;
    if (what.kind === 'commit' && isTyped && parsed?.ok && parsed.mm !== mm) onCommit(parsed.mm);
    if (what.kind === 'step') onCommit((parsed?.ok ? parsed.mm : (mm ?? 0)) + what.by * DIVISION_MM[notation]);
    return type(null);
  };
  const stable = useStable(act);
  return {
    value: typed ?? (mm === null ? '' : formatFine(mm, notation)),
    isWrong: parsed !== null && (!parsed.ok || refused !== undefined),
    help: refused ?? (parsed === null ? undefined : parsed.ok ? parsed.understood : `Expected ${parsed.expected}`),
    act: stable,
  };
}

const takeAny: Refuse = () => undefined;

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
