/** An outer stem as it lies on its board, and the sharp edge of the sides that is planed off. */
import { stemOnBoard, type FittedStem } from '@kalotrope/core/fitout';
import type { ReactNode } from 'react';
import { SideDrawing } from '../SideDrawing';

type Props = { readonly stem: FittedStem; readonly corner: ReactNode };

export function StemDrawing({ stem, corner }: Props) {
  const { cut, edge } = stemOnBoard(stem);
  const words = 'From its side; its upper end is left';
  return <SideDrawing name={stem.name} cut={cut} marks={[edge]} words={words} corner={corner} />;
}
