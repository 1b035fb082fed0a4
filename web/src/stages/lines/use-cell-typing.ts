/** What is typed into a cell of the table: committed as a figure, as empty, or as it is, where it is no length. */
import { useRef, useState } from 'react';
import type { Entry } from '@kalotrope/core/lines';
import { DIVISION_MM, formatFine, parseLength } from '@kalotrope/core/measure';
import type { Act } from '../../controls/LengthField';
import { useStable } from '../../controls/use-stable';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

/** @param text what stands in the cell and is not understood */
export function useCellTyping(mm: number | null, text: string | undefined, onEnter: (entry: Entry) => void) {
  const notation = useAppSelector(selectNotation);
  const [typed, setTyped] = useState<string | null>(null);
  // a key may commit and move the focus at once: leaving the cell then finds nothing left to commit
  const pending = useRef<string | null>(null);
  const type = (next: string | null) => {
    pending.current = next;
    setTyped(next);
  };
  const shown = text ?? (mm === null ? '' : formatFine(mm, notation));
  const value = typed ?? shown;
  const parsed = value.trim() === '' ? null : parseLength(value, notation);
  const commit = (now: string) => {
    if (now === shown) return;
    if (now === '') onEnter({ kind: 'empty' });
    else if (!parsed?.ok) onEnter({ kind: 'text', text: now });
    else if (parsed.mm !== mm || text !== undefined) onEnter({ kind: 'figure', mm: parsed.mm });
  };
  const act: Act = (what) => {
    if (what.kind === 'type') return type(what.text);
    if (what.kind === 'commit' && pending.current !== null) commit(pending.current.trim());
    // out of a cell that is not understood Esc brings back the figure that holds until it is
    if (what.kind === 'restore' && pending.current === null && text !== undefined)
      onEnter(mm === null ? { kind: 'empty' } : { kind: 'figure', mm });
    if (what.kind === 'step' && parsed?.ok)
      onEnter({ kind: 'figure', mm: parsed.mm + what.by * DIVISION_MM[notation] });
    return type(null);
  };
  const isWrong = parsed !== null && !parsed.ok;
  return {
    ...{ value, isWrong },
    /** Something is typed and not entered yet. */
    isTyped: typed !== null,
    help: isWrong ? `Expected ${parsed.expected}` : typed !== null && parsed?.ok ? parsed.understood : undefined,
    act: useStable(act),
  };
}
