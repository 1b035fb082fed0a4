/** A block from its side: its straight face below, its thicker edge cut, the thinner one drawn on it. */
import { profileOf, type FittedBlock } from '@kalotrope/core/fitout';
import type { ReactNode } from 'react';
import { SideDrawing } from '../SideDrawing';

type Props = { readonly block: FittedBlock; readonly corner: ReactNode };

export const BlockDrawing = ({ block, corner }: Props) => (
  <SideDrawing name={block.name} {...profileOf(block)} words="From its side; the straight face below" corner={corner} />
);
