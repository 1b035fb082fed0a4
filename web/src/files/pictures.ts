/** Pictures under the views: taken from files, shown, and carried along in the project's own file. */
import { z } from 'zod';
import { writeProjectFile } from '@kalotrope/core/exchange';
import type { Project } from '@kalotrope/core/project';
import { loadPicture, type Picture } from '../storage/pictures';

export type TakenPicture =
  | { readonly ok: true; readonly picture: Picture; readonly widthPx: number; readonly heightPx: number }
  | { readonly ok: false; readonly reason: string };

const LARGEST_BYTES = 20_000_000;
const LARGEST_PX = 20_000;

/** A PNG or JPEG that the browser can show, or why not. */
export async function takePicture(file: File): Promise<TakenPicture> {
  const refuse = (found: string): TakenPicture => ({ ok: false, reason: `${file.name}: ${found}` });
  if (file.size > LARGEST_BYTES) return refuse(`${file.size} bytes; expected 20 MB at most`);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const type = typeOf(bytes);
  if (!type) return refuse('not a PNG or JPEG picture; expected one of the two');
  try {
    const { width, height } = await createImageBitmap(new Blob([bytes], { type }));
    if (width > LARGEST_PX || height > LARGEST_PX)
      return refuse(`${width} × ${height} pixels; expected ${LARGEST_PX} at most`);
    return { ok: true, picture: { id: crypto.randomUUID(), type, bytes }, widthPx: width, heightPx: height };
  } catch {
    return refuse('a picture that this browser cannot show; expected a whole PNG or JPEG');
  }
}

/** By the first bytes, whatever the file is called. */
export function typeOf(bytes: Uint8Array): Picture['type'] | undefined {
  const starts = (...head: readonly number[]) => head.every((byte, i) => bytes[i] === byte);
  if (starts(0x89, 0x50, 0x4e, 0x47)) return 'image/png';
  return starts(0xff, 0xd8, 0xff) ? 'image/jpeg' : undefined;
}

const carriedSchema = z.object({
  pictures: z
    .array(z.object({ id: z.string().max(60), type: z.enum(['image/png', 'image/jpeg']), base64: z.string() }))
    .max(6),
});

/** The project's file with its pictures in it. */
export async function projectFileWithPictures(project: Project): Promise<string> {
  const stored = await Promise.all(project.lines.underlays.map(({ id }) => loadPicture(id)));
  const pictures = stored.flatMap((picture) =>
    picture ? [{ id: picture.id, type: picture.type, base64: toBase64(picture.bytes) }] : [],
  );
  const text = writeProjectFile(project);
  if (pictures.length === 0) return text;
  return `${JSON.stringify({ ...(JSON.parse(text) as object), pictures }, null, 2)}\n`;
}

/** The pictures that came in a project's file; what is not whole is passed over. */
export function picturesIn(text: string): Picture[] {
  const read = carriedSchema.safeParse(JSON.parse(text));
  if (!read.success) return [];
  return read.data.pictures.flatMap(({ id, type, base64 }): Picture[] => {
    const bytes = fromBase64(base64);
    return bytes && typeOf(bytes) === type ? [{ id, type, bytes }] : [];
  });
}

/**
 * The pictures under ids that no other project has, and the project with them: a file may carry any id, that of another
 * project's picture too.
 */
export function withOwnPictures(project: Project, pictures: readonly Picture[]) {
  const ids = new Map(pictures.map(({ id }) => [id, crypto.randomUUID() as string]));
  const own = (id: string) => ids.get(id) ?? id;
  const underlays = project.lines.underlays.map((underlay) => ({ ...underlay, id: own(underlay.id) }));
  return {
    project: { ...project, lines: { ...project.lines, underlays } },
    pictures: pictures.map((picture): Picture => ({ ...picture, id: own(picture.id) })),
  };
}

function toBase64(bytes: Uint8Array): string {
  let text = '';
  const PIECE = 8192; // more arguments than this are too many for some browsers
  for (let i = 0; i < bytes.length; i += PIECE) text += String.fromCharCode(...bytes.subarray(i, i + PIECE));
  return btoa(text);
}

function fromBase64(text: string): Uint8Array | undefined {
  try {
    return Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
  } catch {
    return undefined;
  }
}
