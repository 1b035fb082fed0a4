/** Words of the trade in a sentence: their meaning when the pointer rests on them, and the whole of it on a click. */
import { memo, type MouseEvent } from 'react';
import { wordsIn, type Word } from '@kalotrope/core/words';
import { wordAsked } from '../state/screen-slice';
import { useAppDispatch } from '../state/store';

type Props = {
  readonly text: string;
  /** Within something that is clicked itself: the meaning is shown, and nothing opened. */
  readonly isInert?: boolean;
};

export const Terms = memo(function Terms({ text, isInert = false }: Props) {
  return wordsIn(text).map(({ text: run, word }, i) =>
    word ? <Term key={i} text={run} word={word} isInert={isInert} /> : run,
  );
});

type TermProps = { readonly text: string; readonly word: Word; readonly isInert: boolean };

/** Out of the order of Tab: there are many, and by keyboard each is found by its name. */
function Term({ text, word, isInert }: TermProps) {
  const dispatch = useAppDispatch();
  if (isInert)
    return (
      <span className="term" title={word.meaning}>
        {text}
      </span>
    );
  const open = (event: MouseEvent) => {
    event.preventDefault();
    dispatch(wordAsked(word.id));
  };
  return (
    <a href={`#${word.id}`} tabIndex={-1} className="term" title={word.meaning} onClick={open}>
      {text}
    </a>
  );
}
