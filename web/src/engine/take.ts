/**
 * A file's bytes as a new project: a table of offsets, a drawing of lines, or a project's own file. What the worker
 * that reads files runs; it looks at nothing but the bytes, and changes nothing.
 */
import {
  decodeText,
  problemText,
  readGivenBack,
  readLinesDxf,
  readOffsets,
  readProjectFile,
  type GivenBack,
} from '@kalotrope/core/exchange';
import type { LogRecords } from '@kalotrope/core/log';
import { newProject, type Project } from '@kalotrope/core/project';
import {
  picturesIn,
  recordsIn,
  revisionsIn,
  withOwnPictures,
  type CarriedPicture,
  type CarriedRevision,
} from './carried-pictures';

export type TakenProject = Extract<Taken, { readonly project: Project }>;

export type Taken =
  /** From a book: it goes into the boat that it is of. */
  | { readonly ok: true; readonly given: GivenBack }
  | {
      readonly ok: true;
      readonly project: Project;
      readonly said: string;
      readonly pictures?: readonly CarriedPicture[];
      /** What was done on the boat, where its file says so. */
      readonly done?: LogRecords;
      readonly revisions?: readonly CarriedRevision[];
    }
  | { readonly ok: false; readonly title: string; readonly problems: readonly string[] };

export type NamedBytes = { readonly name: string; readonly bytes: Uint8Array };

const MB = 1_000_000;
/** A project's file may carry some hundred photographs. */
const LARGEST_MB = { project: 200, other: 20 };
const isJson = (name: string): boolean => /\.json$/i.test(name);

/** Refuses by size alone, before a file is read; undefined where it is not too large. */
export const refuseBySize = (name: string, size: number): Extract<Taken, { ok: false }> | undefined =>
  size > largestOf(name) * MB
    ? { ok: false, title: name, problems: [`The file has ${size} bytes; expected ${largestOf(name)} MB at most.`] }
    : undefined;

const largestOf = (name: string): number => (isJson(name) ? LARGEST_MB.project : LARGEST_MB.other);

/** Never throws. */
export function takeBytes({ name, bytes }: NamedBytes): Taken {
  const tooLarge = refuseBySize(name, bytes.length);
  if (tooLarge) return tooLarge;
  const decoded = decodeText(bytes, asUtf8);
  if (!decoded.ok)
    return {
      ok: false,
      title: name,
      problems: [
        'This is not a text file. Expected a table of offsets (.csv), a drawing (.dxf) or a Kalotrope project.',
      ],
    };
  const { text } = decoded;
  if (/\.dxf$/i.test(name) || /^\s*0\s*\r?\n\s*SECTION\b/.test(text.slice(0, 1000))) return takeDrawing(name, text);
  return isJson(name) || text.slice(0, 1000).trimStart().startsWith('{')
    ? takeProject(name, text)
    : takeOffsets(name, text);
}

/** Undefined where the bytes are not UTF-8. */
function asUtf8(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

function takeProject(name: string, text: string): Taken {
  const back = readGivenBack(text);
  if (back) return back.ok ? back : { ok: false, title: name, problems: [back.problem] };
  const read = readProjectFile(text);
  if (!read.ok) return { ok: false, title: name, problems: read.problems };
  const { passedOver, ...came } = recordsIn(text);
  const { project, done, pictures } = withOwnPictures({
    project: read.project,
    done: came,
    pictures: picturesIn(text),
  });
  const lost = passedOver === 0 ? [] : [`${passedOver} of its log could not be read and was left out`];
  const id = crypto.randomUUID();
  const revisions = revisionsIn(text, id);
  return {
    ok: true,
    project: { ...project, id },
    ...(revisions.length > 0 && { revisions }),
    said: [`${project.name} opened from ${name}`, ...lost].join('. '),
    pictures,
    ...(done.entries.length + done.pots.length + done.parts.length > 0 && { done }),
  };
}

function takeOffsets(name: string, text: string): Taken {
  const read = readOffsets(text);
  if (!read.ok) return { ok: false, title: name, problems: read.problems.slice(0, 12).map(problemText) };
  const form = read.form === 'long' ? 'a list of points' : 'a table of heights and half-breadths';
  return { ok: true, project: projectFrom(name, read), said: [`Read ${name} as ${form}`, ...read.assumed].join('. ') };
}

function takeDrawing(name: string, text: string): Taken {
  const read = readLinesDxf(text);
  if (!read.ok) return { ok: false, title: name, problems: read.problems.slice(0, 12) };
  const count = read.lines.longitudinals.length;
  return {
    ok: true,
    project: projectFrom(name, read),
    said: [`Read ${count} lines from the drawing ${name}`, ...read.assumed].join('. '),
  };
}

/** `marsh-skiff_2 (1).csv` is of the Marsh skiff 2. */
export function boatNameOf(file: string): string {
  const words = file
    .replace(/\.[^.]*$/, '')
    .replace(/\(\d+\)$/, '')
    .replace(/[-_\s]+/g, ' ')
    .trim();
  return (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 100) || 'New boat';
}

const projectFrom = (file: string, { lines, notation }: Pick<Project, 'lines' | 'notation'>): Project =>
  newProject({
    id: crypto.randomUUID(),
    name: boatNameOf(file),
    notation,
    lines,
  });
