import type { Underlay } from '@kalotrope/core/lines';
import { usePicture } from '../../drawing/use-picture';

/** Where a view's mm lie on the drawing; `squeeze` is what a length across is drawn as. */
export type Lying = {
  readonly across: (mm: number) => number;
  readonly up: (mm: number) => number;
  readonly squeeze: number;
};

/** The scan or photo itself, under its view. */
export function UnderlayPicture({ underlay, lying }: { readonly underlay: Underlay; readonly lying: Lying }) {
  const url = usePicture(underlay.id);
  if (url === null) return null;
  const { left, top, widthPx, heightPx, mmPerPx, turnDeg, opacity } = underlay;
  return (
    <image
      href={url}
      width={widthPx}
      height={heightPx}
      opacity={opacity}
      preserveAspectRatio="none"
      // the drawing runs downwards and so does the picture; a turn counter-clockwise is a negative one here
      transform={
        `translate(${lying.across(left)} ${-lying.up(top)}) scale(${lying.squeeze} 1) rotate(${-turnDeg}) ` +
        `scale(${mmPerPx})`
      }
      style={{ pointerEvents: 'none' }}
    />
  );
}
