import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { CONSTANTS, madeDocs } from './docs';
import { run } from './run';

const docs = (name: string) => fileURLToPath(new URL(`../../docs/${name}`, import.meta.url));

describe('the made parts of docs/', () => {
  it.each(Object.entries(madeDocs()))('%s is what `npm run docs` writes', (name, text) => {
    expect(readFileSync(docs(name), 'utf8')).toBe(text);
  });

  it.each(
    Object.entries(CONSTANTS).flatMap(([stage, all]) =>
      Object.entries(all).map(([name, c]) => [stage, name, c] as const),
    ),
  )('%s: %s has a source, a unit and a note', (_stage, _name, { source, unit, note }) => {
    expect(source.length).toBeGreaterThan(8);
    expect(unit).not.toBe('');
    expect(note.length).toBeGreaterThan(8);
  });

  it('have a sample project from which quantities are taken off', () => {
    let out = '';
    const code = run(['takeoff', docs('samples/tamsel.kalotrope.json'), '--json'], {
      out: (text) => (out += text),
      err: (text) => expect(text).toBe(''),
      now: () => 0,
    });
    expect(code).toBe(0);
    const { lines, timber } = JSON.parse(out) as Record<'lines' | 'timber', Record<string, unknown>[]>;
    expect(lines.length).toBeGreaterThan(5);
    // a pair of stringers of 3.9 m and one of clamps of 4.3, each on the shortest stick that will do
    const [along, under] = [false, true].map((isUnder) =>
      timber.filter(({ from }) => /cleat|bearer|board/.test(String(from)) === isUnder),
    ) as [typeof timber, typeof timber];
    expect(under.length).toBeGreaterThan(0);
    expect(along.map(({ group, item, qty, unit, from }) => [group, item, qty, unit, from])).toEqual([
      ['timber', '30 mm × 18 mm, 4200 mm', 2, 'sticks', 'Side stringer'],
      ['timber', '35 mm × 18 mm, 4800 mm', 2, 'sticks', 'Sheer clamp'],
    ]);
  });
});
