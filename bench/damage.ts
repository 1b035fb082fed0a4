/**
 * Damaged files of every kind that is read, made from good ones by seeded chance: each is read or refused in a
 * sentence, with the longest time that any took. And projects changed at random leaves, through the whole chain:
 * nothing is thrown and no figure is lost. Run: npx tsx bench/damage.ts [files of each kind] [projects] [seed]
 */
import { readFileSync } from 'node:fs';
import { at, random } from '@kalotrope/core/geometry';
import { readLinesDxf, readOffsets, readProjectFile, writeProjectFile } from '@kalotrope/core/exchange';
import { allFindings, createDerive, DEMO_IDS, demoProject, readProject, sentence } from '@kalotrope/core/project';
import { readNestJob } from '@kalotrope/core/sheets';

const [files = 500, projects = 300, seed = 1] = process.argv.slice(2).map(Number);
const chance = random(seed);
const whole = (below: number) => Math.floor(chance() * below);
const sample = (name: string) => readFileSync(new URL(`../docs/samples/${name}`, import.meta.url), 'utf8');

const WORDS = ['', '-1', '1e999', 'NaN', '__proto__', '../..', '"', '\0', '=1+1', '9'.repeat(400), '[[', '{"a":', 'ж'];
const HARMS: readonly ((text: string) => string)[] = [
  (text) => text.slice(0, whole(text.length)),
  (text) => {
    const i = whole(text.length);
    return text.slice(0, i) + text.slice(i + 1 + whole(300));
  },
  (text) => {
    const lines = text.split('\n');
    lines[whole(lines.length)] = at(WORDS, whole(WORDS.length));
    return lines.join('\n');
  },
  (text) => {
    const i = whole(text.length);
    return text.slice(0, i) + at(WORDS, whole(WORDS.length)) + text.slice(i + whole(4));
  },
  (text) => {
    const [i, j] = [whole(text.length), whole(text.length)];
    return text.slice(0, i) + text.slice(j);
  },
  (text) => text.repeat(2 + whole(3)),
];

type Kind = readonly [string, string, (text: string) => { readonly ok: boolean }];
const job = JSON.stringify({
  ...{ gap: 6, margin: 8, sheets: [{ id: 'A', width: 2440, height: 1220, qty: 2 }] },
  parts: [
    {
      id: 'p',
      outline: [
        [0, 0],
        [400, 0],
        [400, 300],
      ],
      qty: 3,
      rotations: [0, 180],
    },
  ],
});
const KINDS: readonly Kind[] = [
  ['DXF', sample('tamsel-lines.dxf'), readLinesDxf],
  ['CSV, long form', sample('tamsel.csv'), readOffsets],
  ['CSV, table form', sample('tamsel-table.csv'), readOffsets],
  ['project', writeProjectFile(demoProject('veyra', 'x')), readProjectFile],
  [
    'nesting job',
    job,
    (text) => {
      try {
        return readNestJob(JSON.parse(text));
      } catch (error) {
        if (error instanceof SyntaxError) return { ok: false };
        throw error;
      }
    },
  ],
];
for (const [name, good, read] of KINDS) {
  let [taken, thrown, longest] = [0, 0, 0];
  for (let i = 0; i < files; i++) {
    const bad = at(HARMS, i % HARMS.length)(good);
    const begun = performance.now();
    try {
      if (read(bad).ok) taken += 1;
    } catch (error) {
      thrown += 1;
      console.log(name, i, error);
    }
    longest = Math.max(longest, performance.now() - begun);
  }
  const refusals = files - taken - thrown;
  console.log(`${name}: ${taken} read, ${refusals} refused, ${thrown} thrown; longest ${longest.toFixed(0)} ms`);
}

/** A copy with one to five of its figures and words changed to others that the schema may or may not allow. */
function mutated(project: unknown): unknown {
  const copy = structuredClone(project);
  for (let left = 1 + whole(5); left > 0; left--) change(copy);
  return copy;
}

function change(node: unknown): void {
  if (typeof node !== 'object' || node === null) return;
  const keys = Object.keys(node);
  if (keys.length === 0) return;
  const key = at(keys, whole(keys.length));
  const list = node as Record<string, unknown>; // an object: checked above
  const inner = list[key];
  if (typeof inner === 'object' && inner !== null && chance() < 0.93) change(inner);
  else if (typeof inner === 'number')
    list[key] = at([0, -inner, inner * 1000, inner / 1000, inner + 25.4, 1e5, -1e5], whole(7));
  else if (typeof inner === 'boolean') list[key] = !inner;
  else if (Array.isArray(inner)) list[key] = inner.slice(0, whole(inner.length));
  else if (typeof inner === 'string' && key !== 'id' && key !== 'format')
    list[key] = at(['', 'a', '½', 'x'.repeat(300)], whole(4));
}

/** Figures that are none, by their place. */
function lostFigures(value: unknown, place: string, found: string[]): void {
  if (typeof value === 'number' && !Number.isFinite(value)) found.push(`${place} is ${value}`);
  if (typeof value !== 'object' || value === null || found.length > 3) return;
  for (const [key, inner] of Object.entries(value)) lostFigures(inner, `${place}.${key}`, found);
}

let [worked, refused, faults, slowest] = [0, 0, 0, 0];
for (let i = 0; worked < projects && i < 20 * projects; i++) {
  const read = readProject(mutated(demoProject(at(DEMO_IDS, i % DEMO_IDS.length), 'x')));
  if (!read.ok) {
    refused += 1;
    continue;
  }
  worked += 1;
  const begun = performance.now();
  try {
    const derived = createDerive()(read.project);
    const lost: string[] = [];
    lostFigures(derived, 'derived', lost);
    for (const finding of allFindings(derived)) {
      const said = sentence(finding, read.project.notation);
      if (/NaN|undefined|Infinity/.test(said)) lost.push(said);
    }
    if (lost.length > 0) {
      faults += 1;
      console.log(`project ${i}: ${lost.slice(0, 3).join('; ')}`);
    }
  } catch (error) {
    faults += 1;
    console.log(`project ${i}:`, error);
  }
  slowest = Math.max(slowest, performance.now() - begun);
}
console.log(`${worked} changed projects worked out, ${refused} more refused`);
console.log(`${faults} with a fault; longest ${slowest.toFixed(0)} ms`);
