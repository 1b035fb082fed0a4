import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Underlay } from '@kalotrope/core/lines';
import { NO_RECORDS, type LogEntry } from '@kalotrope/core/log';
import { demoProject, type Project } from '@kalotrope/core/project';
import { db } from '../storage/database';
import { addPictures, loadPicture, storeHeld, type Picture } from '../storage/pictures';
import { picturesIn, typeOf } from '../engine/carried-pictures';
import { takeBytes } from '../engine/take';
import { projectFileWithPictures } from './pictures';

const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
const JPEG = [0xff, 0xd8, 0xff, 0xe0];
/** Longer than a piece of what is turned to letters at once, with every byte in it. */
const picture: Picture = {
  id: 'scan-1',
  type: 'image/png',
  bytes: Uint8Array.from([...PNG, ...Array.from({ length: 20_000 }, (_, i) => (i * 7) % 256)]),
};
const underlay: Underlay = {
  id: 'scan-1',
  name: 'scan.png',
  view: 'profile',
  widthPx: 1200,
  heightPx: 400,
  left: 0,
  top: 700,
  mmPerPx: 3.6,
  turnDeg: 0.4,
  opacity: 0.6,
};
const tamsel = demoProject('tamsel', 'x');
const traced: Project = { ...tamsel, lines: { ...tamsel.lines, underlays: [underlay] } };
const take = (name: string, text: string) => takeBytes({ name, bytes: new TextEncoder().encode(text) });

beforeAll(() => addPictures([picture]));

describe('a picture', () => {
  it('is known by its first bytes, whatever its name', () => {
    expect(typeOf(Uint8Array.from(PNG))).toBe('image/png');
    expect(typeOf(Uint8Array.from(JPEG))).toBe('image/jpeg');
    for (const bytes of [[], [0x89], [0x47, 0x49, 0x46], PNG.slice(1)])
      expect(typeOf(Uint8Array.from(bytes))).toBeUndefined();
  });
  it('is kept in the browser byte for byte', async () => {
    expect((await loadPicture('scan-1'))?.bytes).toEqual(picture.bytes);
    expect(await loadPicture('another')).toBeUndefined();
  });
});

describe('a project’s file', () => {
  it('carries its pictures, and gives them back byte for byte', async () => {
    const text = await projectFileWithPictures(traced);
    expect(picturesIn(text)).toEqual([picture]);
    const taken = take('kept.kalotrope.json', text);
    // under an id of its own: a file may name any, that of another project's picture too
    const [own] = 'project' in taken ? (taken.pictures ?? []) : [];
    expect(own?.id).not.toBe(picture.id);
    expect('project' in taken && taken.project.lines.underlays).toEqual([{ ...underlay, id: own?.id }]);
    expect('project' in taken && taken.pictures).toEqual([{ ...picture, id: own?.id }]);
  });
  it('that the store refuses is kept in this window, and stored when it takes it', async () => {
    const refused = vi.spyOn(db.pictures, 'add').mockRejectedValueOnce(new Error('full'));
    const late: Picture = { ...picture, id: 'late' };
    expect(await addPictures([late])).toBe(false);
    expect((await loadPicture('late'))?.bytes).toEqual(picture.bytes);
    expect(await storeHeld()).toBe(true);
    refused.mockRestore();
    expect((await db.pictures.get('late'))?.bytes).toEqual(picture.bytes);
  });
  it('never writes over a picture that is stored', async () => {
    await addPictures([{ ...picture, bytes: Uint8Array.from([...picture.bytes, 1]) }]);
    expect((await loadPicture(picture.id))?.bytes).toEqual(picture.bytes);
  });
  it('without pictures has none in it, and one whose picture is gone is written all the same', async () => {
    expect(await projectFileWithPictures(tamsel)).not.toContain('pictures');
    const lost = { ...tamsel, lines: { ...tamsel.lines, underlays: [{ ...underlay, id: 'gone' }] } };
    expect(await projectFileWithPictures(lost)).not.toContain('base64');
  });
  it.each([
    ['no letters of base64', { id: 'a', type: 'image/png', base64: '§§§' }],
    ['another kind of file', { id: 'a', type: 'image/png', base64: btoa('GIF89a') }],
    ['a kind that is not shown', { id: 'a', type: 'image/svg+xml', base64: btoa('<svg/>') }],
    ['no list at all', 'pictures'],
  ])('with %s for a picture opens without it', (_name, bad) => {
    const text = JSON.stringify({ ...tamsel, pictures: typeof bad === 'string' ? bad : [bad] });
    const taken = take('odd.kalotrope.json', text);
    expect('project' in taken && taken.pictures).toEqual([]);
  });
  it('carries its log with photographs and its revisions where asked for, under the new project’s id', async () => {
    const entry: LogEntry = {
      ...{ id: 'e', day: '2027-03-06', written: 1, kind: 'note', job: '', jobName: '', group: '', parts: [] },
      ...{ revision: 1, words: 'w', answer: '', minutes: 0, cents: 0, on: '', drawn: 0, found: 0 },
      ...{ pictures: ['scan-1'], corrects: '', isTakenBack: false },
    };
    const done = { ...NO_RECORDS, entries: [entry] };
    const old = { ...tamsel, revision: 7 };
    const revisions = [{ project: 'x', name: 'First', note: 'n', keptAt: 5, doc: old }];
    const text = await projectFileWithPictures(tamsel, { done, revisions });
    const taken = take('kept.kalotrope.json', text);
    if (!('project' in taken)) throw new Error(JSON.stringify(taken));
    const [own] = taken.pictures ?? [];
    expect(own?.bytes).toEqual(picture.bytes);
    expect(taken.done?.entries).toEqual([{ ...entry, pictures: [own?.id] }]);
    expect(taken.revisions).toEqual([{ name: 'First', note: 'n', keptAt: 5, doc: { ...old, id: taken.project.id } }]);
    // the design itself is as it was, and a reader that knows nothing of them passes them over
    expect({ ...taken.project, id: 'x' }).toEqual(tamsel);
    const plain = take('plain.kalotrope.json', await projectFileWithPictures(tamsel));
    expect('project' in plain && [plain.done, plain.revisions]).toEqual([undefined, undefined]);
  });
  it.each([
    ['no list', { revisions: 3 }],
    ['no boat', { revisions: [{ name: 'a', note: '', keptAt: 1, doc: { format: 'other' } }] }],
    ['no name', { revisions: [{ note: '', keptAt: 1, doc: tamsel }] }],
    ['a log that is none', { done: 'x' }],
  ])('with %s beside it opens without it', (_name, beside) => {
    const taken = take('odd.kalotrope.json', JSON.stringify({ ...tamsel, ...beside }));
    expect('project' in taken && [taken.done, taken.revisions]).toEqual([undefined, undefined]);
  });
});
