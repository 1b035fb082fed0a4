/** Pictures under the views: taken from files, shown, and carried along in the project's own file. */
import { writeProjectFile } from '@kalotrope/core/exchange';
import type { LogRecords } from '@kalotrope/core/log';
import type { Project } from '@kalotrope/core/project';
import { typeOf } from '../engine/carried-pictures';
import { loadPicture, type Picture } from '../storage/pictures';
import type { KeptRevision } from '../storage/revisions';

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

/** What is kept beside a project. */
export type Beside = { readonly done: LogRecords; readonly revisions: readonly KeptRevision[] };

/** The project's file with its pictures in it; with what is kept beside it too, where that is given. */
export async function projectFileWithPictures(project: Project, beside?: Beside): Promise<string> {
  const done = beside?.done;
  const ids = [
    ...project.lines.underlays.map(({ id }) => id),
    ...(done?.entries.flatMap((entry) => entry.pictures) ?? []),
  ];
  const stored = await Promise.all([...new Set(ids)].map((id) => loadPicture(id)));
  const pictures = stored.flatMap((picture) =>
    picture ? [{ id: picture.id, type: picture.type, base64: toBase64(picture.bytes) }] : [],
  );
  const text = writeProjectFile(project);
  if (pictures.length === 0 && !beside) return text;
  const more = {
    ...(done && { done: { entries: done.entries, pots: done.pots, parts: done.parts } }),
    ...(beside && { revisions: beside.revisions.map(({ name, note, keptAt, doc }) => ({ name, note, keptAt, doc })) }),
    ...(pictures.length > 0 && { pictures }),
  };
  return `${JSON.stringify({ ...(JSON.parse(text) as object), ...more }, null, 2)}\n`;
}

function toBase64(bytes: Uint8Array): string {
  let text = '';
  const PIECE = 8192; // more arguments than this are too many for some browsers
  for (let i = 0; i < bytes.length; i += PIECE) text += String.fromCharCode(...bytes.subarray(i, i + PIECE));
  return btoa(text);
}
