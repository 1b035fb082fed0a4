/** What the edges of the card are called: of a panel of the boat by her own lines. */
import { useMemo } from 'react';
import type { Card } from '@kalotrope/core/bend';
import { selectProject } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import type { EdgeName } from './change-card';

export type EdgeNames = Readonly<Record<EdgeName, string>>;

/** In small letters. */
export function useEdgeNames({ lines }: Card): EdgeNames {
  const known = useAppSelector((state) => selectProject(state)?.lines.longitudinals);
  return useMemo(() => {
    const nameOf = (id: string | undefined, usual: string) =>
      known?.find((line) => line.id === id)?.name.toLowerCase() ?? usual;
    return { lower: nameOf(lines?.lower, 'chine'), upper: nameOf(lines?.upper, 'sheer') };
  }, [known, lines]);
}

export const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
