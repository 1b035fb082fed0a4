/** What the trade's words mean: one of them with its drawing, beside the list of all. */
import { lazy, Suspense } from 'react';
import { useAppSelector } from '../state/store';

const OpenWords = lazy(() => import('./OpenWordsDialog'));

export function WordsDialog() {
  const word = useAppSelector((state) => state.screen.word);
  if (word === null) return null;
  return (
    <Suspense fallback={null}>
      <OpenWords id={word} />
    </Suspense>
  );
}
