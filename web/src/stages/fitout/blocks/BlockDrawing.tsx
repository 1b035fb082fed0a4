/** A block from its side: its straight face below, its thicker edge cut, the thinner one drawn on it. */
import { profileOf, type FittedBlock } from '@kalotrope/core/fitout';
import type { ReactNode } from 'react';
import { SideDrawing } from '../SideDrawing';

type Props = { readonly block: FittedBlock; readonly corner: ReactNode };

export function BlockDrawing({ block, corner }: Props) {
  const { cut, mark } = profileOf(block);
  const words = 'From its side; the straight face below';
  return <SideDrawing name={block.name} cut={cut} marks={[mark]} words={words} corner={corner} />;
}
