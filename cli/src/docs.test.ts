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
    expect(JSON.stringify(JSON.parse(out))).toContain('resin');
  });
});
