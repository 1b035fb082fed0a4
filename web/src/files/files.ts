/** Files in and out of the browser. */
import type { ExportFile } from '@kalotrope/core/formats';
import { engine } from '../engine/client';
import { refuseBySize, type Taken } from '../engine/take';

/** A table of offsets, a drawing or a project file as a new project, read apart: nothing that is there is touched. */
export async function takeFile(file: File, signal: AbortSignal): Promise<Taken | 'stopped'> {
  const tooLarge = refuseBySize(file.name, file.size);
  if (tooLarge) return tooLarge;
  const refuse = (problem: string): Taken => ({ ok: false, title: file.name, problems: [problem] });
  try {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const answer = await engine.run('take', { name: file.name, bytes }, { signal });
    if (answer.kind === 'cancelled') return 'stopped';
    return answer.kind === 'ok' ? answer.value : refuse(`It could not be read: ${answer.message}.`);
  } catch (error) {
    return refuse(`The browser could not read it: ${error instanceof Error ? error.message : String(error)}.`);
  }
}

const KINDS: Readonly<Record<string, string>> = {
  svg: 'image/svg+xml',
  pdf: 'application/pdf',
  json: 'application/json',
  zip: 'application/zip',
  html: 'text/html',
  ics: 'text/calendar',
};

export function saveFile({ name, content }: ExportFile): void {
  const type = KINDS[name.slice(name.lastIndexOf('.') + 1)] ?? 'text/plain';
  saveBlob(name, new Blob([content as BlobPart], { type })); // bytes made here, never of a shared buffer
}

function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
