/** The grain of plywood as a texture, drawn and not fetched: streaks along x, of a few widths, on nearly white. */
import { CanvasTexture, RepeatWrapping, SRGBColorSpace } from 'three';
import { random } from '@kalotrope/core/geometry';

/** What one picture of it covers, mm along the grain and across it. */
export const GRAIN_MM = { along: 1100, across: 260 } as const;
const PIXELS = { along: 512, across: 256 } as const;
const STREAKS = 150;
const SEED = 7;

let made: CanvasTexture | undefined;
/** One for all that is drawn, made when it is first wanted; null where there is no canvas to draw on. */
export const grain = (): CanvasTexture | null => (made ??= drawn()) ?? null;

function drawn(): CanvasTexture | undefined {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [PIXELS.along, PIXELS.across];
  const pen = canvas.getContext('2d');
  if (!pen) return undefined;
  pen.fillStyle = '#FFFFFF';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  const next = random(SEED);
  for (let i = 0; i < STREAKS; i++) {
    const [x, y, length] = [next() * canvas.width, next() * canvas.height, (0.25 + next() * 0.8) * canvas.width];
    pen.strokeStyle = `rgba(120, 74, 26, ${0.03 + next() * 0.1})`;
    pen.lineWidth = 0.6 + next() * next() * 4;
    // over both sides, so that the picture joins on to itself
    for (const shift of [0, -canvas.width]) {
      pen.beginPath();
      pen.moveTo(x + shift, y);
      pen.bezierCurveTo(
        ...([x + shift + length / 3, y + (next() - 0.5) * 7] as const),
        ...([x + shift + (2 * length) / 3, y + (next() - 0.5) * 7] as const),
        ...([x + shift + length, y] as const),
      );
      pen.stroke();
    }
  }
  const texture = new CanvasTexture(canvas);
  texture.wrapS = texture.wrapT = RepeatWrapping;
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = 4;
  return texture;
}
