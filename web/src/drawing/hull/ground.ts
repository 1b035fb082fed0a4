/** The soft shadow under what stands on the floor: its shapes from above, blurred, as a texture. */
import type { FoldedRuling } from '@kalotrope/core/panels';
import { CanvasTexture } from 'three';

const PIXELS = 256;
const BLUR_PX = 9;
const DARKNESS = 0.34;

/** A part of the floor, mm: its middle along the boat, and how long and how wide it is. */
export type Floor = { readonly x: number; readonly long: number; readonly wide: number };

export type GroundShadow = {
  readonly texture: CanvasTexture;
  readonly draw: (shapes: readonly Seen[], floor: Floor) => void;
};
/** A strip seen from above, to both sides of the boat. */
export type Seen = readonly FoldedRuling[];

/** Undefined where there is no canvas to draw on. */
export function groundShadow(): GroundShadow | undefined {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = PIXELS;
  const pen = canvas.getContext('2d');
  if (!pen) return undefined;
  const texture = new CanvasTexture(canvas);
  const draw = (shapes: readonly Seen[], { x, long, wide }: Floor) => {
    pen.clearRect(0, 0, PIXELS, PIXELS);
    pen.filter = `blur(${BLUR_PX}px)`;
    pen.fillStyle = `rgba(40, 34, 22, ${DARKNESS})`;
    pen.beginPath();
    for (const shape of shapes)
      for (const hand of [1, -1]) {
        const ring = [...shape.map(({ p }) => p), ...shape.map(({ q }) => q).reverse()];
        ring.forEach((p, i) => {
          const [px, py] = [((p[0] - x) / long + 0.5) * PIXELS, ((hand * p[1]) / wide + 0.5) * PIXELS];
          if (i === 0) pen.moveTo(px, py);
          else pen.lineTo(px, py);
        });
        pen.closePath();
      }
    pen.fill();
    texture.needsUpdate = true;
  };
  return { texture, draw };
}
