/** Saving, against a store that is slow, refuses, or is asked by many edits at once; the clock is the test's own. */
import { describe, expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import type { KnownSaves, Saved, ToSave } from '../storage/projects';
import { createSaver } from './saver';

const project = demoProject('orrin', 'boat');
const standing = (version: number, id = 'boat') => ({
  project: { ...project, id, name: `v${version}` },
  version,
  past: [],
  future: [],
});
const tick = async (times = 20) => {
  for (let i = 0; i < times; i++) await Promise.resolve();
};

/** A store whose answers are given by hand, and which notes what it was asked. */
function slowStore() {
  const asked: { name: string; known: KnownSaves; answer: (saved: Saved) => void }[] = [];
  const waits: { ms: number; end: () => void }[] = [];
  const told: string[] = [];
  const saver = createSaver({
    save: ({ project: { name } }: ToSave, known) =>
      new Promise<Saved>((answer) => {
        asked.push({ name, known, answer });
      }),
    onSaved: ({ saveState, version }) => told.push(`${saveState} ${version}`),
    wait: (ms) => new Promise((end) => waits.push({ ms, end: () => end() })),
  });
  return { saver, asked, waits, told };
}

describe('saving', () => {
  it('begins with the first edit, one save after another, and ends with the newest', async () => {
    const { saver, asked, waits, told } = slowStore();
    saver.open('boat', 3);
    for (const version of [1, 2, 3]) saver.change(standing(version));
    expect(asked.map(({ name, known }) => [name, known])).toEqual([['v1', 3]]);
    saver.change(standing(4));
    asked[0]!.answer({ saves: 4, saveState: 'saved' });
    await tick();
    expect(waits.map(({ ms }) => ms <= 1000)).toEqual([true]);
    waits[0]!.end();
    await tick();
    expect(asked.map(({ name, known }) => [name, known])).toEqual([
      ['v1', 3],
      ['v4', 4],
    ]);
    asked[1]!.answer({ saves: 5, saveState: 'saved' });
    await saver.settled();
    expect(told).toEqual(['saved 1', 'saved 4']);
    expect(saver.savesOf('boat')).toBe(5);
  });
  it('goes on under edits without a pause: no more than one save and one rest pass before the next', async () => {
    const { saver, asked, waits } = slowStore();
    saver.open('boat', 0);
    for (let version = 1; version <= 50; version++) {
      saver.change(standing(version));
      asked[asked.length - 1]!.answer({ saves: version, saveState: 'saved' });
      await tick();
      for (const wait of waits.splice(0)) wait.end();
      await tick();
    }
    expect(asked.length).toBeGreaterThan(25);
  });
  it('keeps what the store refuses and tries again, the newest first, less and less often', async () => {
    const { saver, asked, waits, told } = slowStore();
    saver.open('boat', 0);
    saver.change(standing(1));
    const waited: number[] = [];
    for (let round = 0; round < 6; round++) {
      asked[round]!.answer({ saves: 0, saveState: 'failed', reason: 'full' });
      await saver.settled(); // nobody waits for a store that is full
      const [wait] = waits.splice(0);
      waited.push(wait!.ms);
      if (round === 2) saver.change(standing(2));
      else wait!.end();
      await tick();
    }
    expect(waited).toEqual([...waited].sort((a, b) => a - b));
    expect(asked.map(({ name }) => name)).toEqual(['v1', 'v1', 'v1', 'v2', 'v2', 'v2', 'v2']);
    expect(told.every((word) => word.startsWith('failed'))).toBe(true);
  });
  it('never writes what was refused over what was saved after it', async () => {
    const { saver, asked, waits, told } = slowStore();
    saver.open('boat', 0);
    for (const version of [1, 2]) {
      saver.change(standing(version));
      asked[version - 1]!.answer({ saves: 0, saveState: 'failed', reason: 'full' });
      await saver.settled();
    }
    // one that is tried again while a newer one is on its way
    saver.change(standing(3));
    for (const wait of waits.splice(0)) wait.end();
    await tick();
    asked[2]!.answer({ saves: 1, saveState: 'saved' });
    await saver.settled();
    for (const wait of waits.splice(0)) wait.end();
    await tick();
    expect(asked.map(({ name }) => name)).toEqual(['v1', 'v2', 'v3']);
    expect(told[told.length - 1]).toBe('saved 3');
  });
  it('keeps two boats apart', async () => {
    const { saver, asked } = slowStore();
    saver.open('boat', 3);
    saver.change(standing(1));
    saver.open('other', 8);
    saver.change(standing(2, 'other'));
    asked[0]!.answer({ saves: 4, saveState: 'saved' });
    await tick();
    expect(saver.savesOf('boat')).toBe(4);
    expect(saver.savesOf('other')).toBe(8);
  });
});
