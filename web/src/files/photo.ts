/** A photograph made no larger than is looked at: a telephone's own would fill the store in a few weeks. */
import { takePicture, type TakenPicture } from './pictures';

const LONGEST_PX = 1600;
const QUALITY = 0.8;

/** The picture, smaller where it was large; as it is where this browser cannot make it smaller. */
export async function takePhoto(file: File): Promise<TakenPicture> {
  const taken = await takePicture(file);
  if (!taken.ok) return taken;
  const { picture, widthPx, heightPx } = taken;
  const over = Math.max(widthPx, heightPx) / LONGEST_PX;
  if (over <= 1) return taken;
  try {
    const [width, height] = [Math.round(widthPx / over), Math.round(heightPx / over)];
    // bytes of the file that was chosen
    const image = await createImageBitmap(new Blob([picture.bytes as BlobPart], { type: picture.type }));
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')?.drawImage(image, 0, 0, width, height);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    return { ...taken, picture: { ...picture, type: 'image/jpeg', bytes }, widthPx: width, heightPx: height };
  } catch {
    return taken;
  }
}
