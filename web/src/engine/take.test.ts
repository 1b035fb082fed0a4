import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { writeProjectFile } from '@kalotrope/core/exchange';
import { demoProject } from '@kalotrope/core/project';
import { boatNameOf, takeBytes } from './take';

const file = (name: string, text: string) => new File([text], name);
const sample = (name: string) => readFileSync(new URL(`../../../docs/samples/${name}`, import.meta.url), 'utf8');

const takeFile = async (from: File) => takeBytes({ name: from.name, bytes: new Uint8Array(await from.arrayBuffer()) });

describe('a file, read into a project', () => {
  it.each([
    ['tamsel.csv', 'mm', 3],
    ['orrin.csv', 'ft-in-8ths', 2],
  ] as const)('makes a new project of %s', async (name, notation, lines) => {
    const taken = await takeFile(file(name, sample(name)));
    if (!('project' in taken)) throw new Error(JSON.stringify(taken));
    expect(taken.project.name).toBe(boatNameOf(name));
    expect(taken.project.notation).toBe(notation);
    expect(taken.project.lines.longitudinals).toHaveLength(lines);
    expect(taken.project.frames.frames.length).toBeGreaterThan(0);
    expect(taken.said).toMatch(/list of points/);
  });
  it.each([
    ['tamsel-table.csv', /a table of heights and half-breadths/],
    ['tamsel-slips.csv', /a list of points/],
    ['tamsel-lines.dxf', /3 lines from the drawing/],
  ])('takes the sample %s and says what it read', async (name, said) => {
    const taken = await takeFile(file(name, sample(name)));
    expect('said' in taken && taken.said).toMatch(said);
    const chine = 'project' in taken ? taken.project.lines.longitudinals.find(({ id }) => id === 'chine') : undefined;
    expect(chine?.points.find((p) => p.station === '4')).toMatchObject({
      x: expect.closeTo(2400, 1),
      halfBreadth: expect.closeTo(548.5, 1),
      height: expect.closeTo(161, 1),
    });
  });
  it('knows a drawing by what is in it, and refuses one that has no lines with what it looked for', async () => {
    const empty = ['0', 'SECTION', '2', 'ENTITIES', '0', 'ENDSEC', '0', 'EOF', ''].join('\n');
    const taken = await takeFile(file('plan.txt', empty));
    expect(taken.ok ? '' : taken.problems.join()).toMatch(/Expected a layer a line and view/);
  });
  it('takes a project file under a new id, so that nothing is overwritten', async () => {
    const project = demoProject('orrin', 'same');
    const taken = await takeFile(file('x.kalotrope.json', writeProjectFile(project)));
    expect('project' in taken && { ...taken.project, id: 'same' }).toEqual(project);
    expect('project' in taken && taken.project.id).not.toBe('same');
  });
  it.each([
    ['a picture', file('boat.png', 'PNG\0\0'), /not a text file/],
    ['a heap', file('big.csv', 'x'.repeat(20_000_001)), /20 MB at most/],
    ['half a project', file('p.json', '{"format":'), /Expected JSON/],
    ['a letter', file('letter.csv', 'Dear all,\n'), /row 1/],
  ])('refuses %s', async (_name, bad, wanted) => {
    const taken = await takeFile(bad);
    expect(taken.ok ? '' : taken.problems.join()).toMatch(wanted);
  });
});

describe('the name of a boat from a file', () => {
  it.each([
    ['tamsel.csv', 'Tamsel'],
    ['marsh-skiff_2 (1).csv', 'Marsh skiff 2'],
    ['Öre.2026.dxf', 'Öre.2026'],
    ['  .csv', 'New boat'],
    ['.csv', 'New boat'],
    ['船底.csv', '船底'],
    ['X'.repeat(300), 'X'.repeat(100)],
  ])('%s gives %s', (file, name) => expect(boatNameOf(file)).toBe(name));
});
