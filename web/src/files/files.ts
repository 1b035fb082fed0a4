/** Files in and out of the browser. */
import { strToU8, zipSync } from 'fflate';
import { boatWord, type ExportFile } from '@kalotrope/core/formats';
import { decodeText, problemText, readLinesDxf, readOffsets, readProjectFile } from '@kalotrope/core/exchange';
import type { Picture } from '../storage/pictures';
import { picturesIn, withOwnPictures } from './pictures';
import { newProject, type Project } from '@kalotrope/core/project';

export type Taken =
  | { readonly ok: true; readonly project: Project; readonly said: string; readonly pictures?: readonly Picture[] }
  | { readonly ok: false; readonly title: string; readonly problems: readonly string[] };

const LARGEST_BYTES = 20_000_000;

/** A table of offsets or a project file as a new project: nothing that is there is touched. */
export async function takeFile(file: File): Promise<Taken> {
  if (file.size > LARGEST_BYTES)
    return {
      ok: false,
      title: file.name,
      problems: [`The file has ${file.size} bytes; expected 20 MB at most.`],
    };
  const decoded = decodeText(new Uint8Array(await file.arrayBuffer()), asUtf8);
  if (!decoded.ok)
    return {
      ok: false,
      title: file.name,
      problems: [
        'This is not a text file. Expected a table of offsets (.csv), a drawing (.dxf) or a Kalotrope project.',
      ],
    };
  const { text } = decoded;
  if (/\.dxf$/i.test(file.name) || /^\s*0\s*\r?\n\s*SECTION\b/.test(text)) return takeDrawing(file.name, text);
  return /\.json$/i.test(file.name) || text.trimStart().startsWith('{')
    ? takeProject(file.name, text)
    : takeOffsets(file.name, text);
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
  const read = readProjectFile(text);
  if (!read.ok) return { ok: false, title: name, problems: read.problems };
  const { project, pictures } = withOwnPictures(read.project, picturesIn(text));
  return {
    ok: true,
    project: { ...project, id: crypto.randomUUID() },
    said: `${project.name} opened from ${name}`,
    pictures,
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

const projectFrom = (file: string, { lines, notation }: Pick<Project, 'lines' | 'notation'>): Project =>
  newProject({
    id: crypto.randomUUID(),
    name: file.replace(/\.[^.]*$/, '').slice(0, 100) || 'New boat',
    notation,
    lines,
  });

const KINDS: Readonly<Record<string, string>> = {
  svg: 'image/svg+xml',
  pdf: 'application/pdf',
  json: 'application/json',
};

export function saveFile({ name, content }: ExportFile): void {
  const type = KINDS[name.slice(name.lastIndexOf('.') + 1)] ?? 'text/plain';
  saveBlob(name, new Blob([content as BlobPart], { type })); // bytes made here, never of a shared buffer
}

/** All of a boat's files as one. */
export function saveZip(boat: string, files: readonly ExportFile[]): void {
  const bytes = zipSync(
    Object.fromEntries(
      files.map((file) => [file.name, typeof file.content === 'string' ? strToU8(file.content) : file.content]),
    ),
  );
  saveBlob(`${boatWord(boat)}.zip`, new Blob([bytes as BlobPart], { type: 'application/zip' }));
}

function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
