/** Pictures as a project's own file carries them. */
import { z } from 'zod';
import { readRecords, type LogRecords } from '@kalotrope/core/log';
import { readProject, type Project } from '@kalotrope/core/project';

export type CarriedPicture = {
  readonly id: string;
  readonly type: 'image/png' | 'image/jpeg';
  readonly bytes: Uint8Array;
};

/** Under the views, and of a log of some years. */
const MOST_PICTURES = 2000;

const carriedSchema = z.object({
  pictures: z
    .array(z.object({ id: z.string().max(60), type: z.enum(['image/png', 'image/jpeg']), base64: z.string() }))
    .max(MOST_PICTURES),
});

/** The pictures that came in a project's file; what is not whole is passed over. */
export function picturesIn(text: string): CarriedPicture[] {
  const read = carriedSchema.safeParse(JSON.parse(text));
  if (!read.success) return [];
  return read.data.pictures.flatMap(({ id, type, base64 }): CarriedPicture[] => {
    const bytes = fromBase64(base64);
    return bytes && typeOf(bytes) === type ? [{ id, type, bytes }] : [];
  });
}

/** What was done, as it came in a project's file. */
export function recordsIn(text: string): ReturnType<typeof readRecords> {
  const data = JSON.parse(text) as { readonly done?: unknown }; // an object: it was read as a project
  return readRecords(data.done);
}

const MOST_NAME = 60;
const MOST_NOTE = 2000;
const revisionsSchema = z.object({
  revisions: z.array(
    z.object({
      name: z.string().max(MOST_NAME),
      note: z.string().max(MOST_NOTE),
      keptAt: z.number().min(0).max(1e14),
      doc: z.unknown(),
    }),
  ),
});

export type CarriedRevision = {
  readonly name: string;
  readonly note: string;
  readonly keptAt: number;
  readonly doc: Project;
};

/** Revisions that came in a project's file, as those of the project that it became; what cannot be read is left out. */
export function revisionsIn(text: string, id: string): CarriedRevision[] {
  const read = revisionsSchema.safeParse(JSON.parse(text));
  if (!read.success) return [];
  return read.data.revisions.flatMap(({ doc, ...told }) => {
    const made = readProject(doc);
    return made.ok ? [{ ...told, doc: { ...made.project, id } }] : [];
  });
}

type Carried = { readonly project: Project; readonly done: LogRecords; readonly pictures: readonly CarriedPicture[] };

/**
 * The pictures under ids that no other project has, and the project and its log with them: a file may carry any id,
 * that of another project's picture too.
 */
export function withOwnPictures({ project, done, pictures }: Carried): Carried {
  const ids = new Map(pictures.map(({ id }) => [id, crypto.randomUUID() as string]));
  const own = (id: string) => ids.get(id) ?? id;
  const underlays = project.lines.underlays.map((underlay) => ({ ...underlay, id: own(underlay.id) }));
  return {
    project: { ...project, lines: { ...project.lines, underlays } },
    done: { ...done, entries: done.entries.map((entry) => ({ ...entry, pictures: entry.pictures.map(own) })) },
    pictures: pictures.map((picture): CarriedPicture => ({ ...picture, id: own(picture.id) })),
  };
}

/** By the first bytes, whatever the file is called. */
export function typeOf(bytes: Uint8Array): CarriedPicture['type'] | undefined {
  const starts = (...head: readonly number[]) => head.every((byte, i) => bytes[i] === byte);
  if (starts(0x89, 0x50, 0x4e, 0x47)) return 'image/png';
  return starts(0xff, 0xd8, 0xff) ? 'image/jpeg' : undefined;
}

function fromBase64(text: string): Uint8Array | undefined {
  try {
    return Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
  } catch {
    return undefined;
  }
}
