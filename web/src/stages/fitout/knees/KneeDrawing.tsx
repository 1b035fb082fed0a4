/** A hanging knee as it lies on its board, with its edges along the skin on both faces. */
import { faceUp, kneeOnBoard, type FittedKnee } from '@kalotrope/core/fitout';
import type { ReactNode } from 'react';
import { SideDrawing } from '../SideDrawing';

type Props = { readonly knee: FittedKnee; readonly corner: ReactNode };

export function KneeDrawing({ knee, corner }: Props) {
  const { cut, edges } = kneeOnBoard(knee);
  const words = `On its board, ${faceUp(knee)} up`;
  return <SideDrawing name={knee.name} cut={cut} marks={edges} words={words} corner={corner} />;
}
