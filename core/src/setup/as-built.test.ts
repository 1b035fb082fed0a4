import { describe, expect, it } from 'vitest';
import { seamsOf } from '../panels';
import { createDerive, demoProject, type Project } from '../project';
import { edgeChanges } from './edge-changes';
import { readingAfter, type Motion } from './motion';
import { CHECKS, type KeptReading } from './schema';
import { readingOf } from './standing';
import type { Stood } from './value';

const derive = createDerive();

/** A demo with a frame at every inner station, and readings of some of them after motions. */
function framed(id: 'tamsel' | 'orrin', way: Project['setup']['way'] = 'upside-down'): Project {
  const project = demoProject(id, 'x');
  const { stations } = derive(project).lines.value;
  const [first] = project.frames.frames;
  const inner = stations.filter(({ label }) => /^\d+$/.test(label));
  const frames = inner.map(({ x }, i) => ({
    ...first!,
    ...{ id: `f${i}`, name: `Frame ${i}`, x, openings: [], limbers: [], cleats: [], slots: [] },
  }));
  return {
    ...project,
    frames: { ...project.frames, frames, members: [], girders: [] },
    setup: { ...project.setup, way, asBuilt: true },
  };
}

function readAfter(project: Project, motions: Readonly<Record<string, Motion>>): Project {
  const { setup, lines } = derive(project);
  const asked = { fromX: lines.value.fromX, toX: lines.value.toX, part: project.setup };
  const of = (stood: Stood, motion: Motion): KeptReading[] =>
    CHECKS.map((what) => {
      const value = readingAfter(readingOf(stood, what, asked), stood.set, motion, stood.set.centre);
      return { id: `${stood.id}.${what}`, frame: stood.id, what, isTrue: false, value, turn: 1, firstTurn: 1 };
    });
  const readings = setup.value.frames.flatMap((stood) => (motions[stood.id] ? of(stood, motions[stood.id]!) : []));
  return { ...project, setup: { ...project.setup, readings } };
}

/** The same boat with the points of the frame's station moved in the table. */
function tableMoved(project: Project, frame: string, by: readonly [number, number, number]): Project {
  const { x } = project.frames.frames.find(({ id }) => id === frame)!;
  return {
    ...project,
    lines: {
      ...project.lines,
      longitudinals: project.lines.longitudinals.map((line) => ({
        ...line,
        points: line.points.map((p) =>
          Math.abs(p.x - x) < 1e-6
            ? { ...p, x: p.x + by[0], halfBreadth: p.halfBreadth + by[1], height: p.height + by[2] }
            : p,
        ),
      })),
    },
  };
}

const STILL: Motion = [0, 0, 0, 0, 0, 0];

describe.each([
  ['tamsel', 'upside-down'],
  ['tamsel', 'upright'],
  ['orrin', 'upside-down'],
] as const)('%s as built, %s', (id, way) => {
  const project = framed(id, way);
  const drawn = derive(project).panels.value.panels;
  // where the hull narrows: amidships a frame's place along matters little
  const fore = project.frames.frames[1]!.id;

  it('is as drawn where nothing was read, or all is true', () => {
    for (const motions of [{}, { [fore]: STILL }]) {
      const { built } = derive(readAfter(project, motions)).setup.value;
      expect(built.map(({ panel }) => panel.outline)).toEqual(drawn.map(({ outline }) => outline));
      expect(built.every(({ hand }) => hand === 'pair' || hand === 'across')).toBe(true);
    }
  });
  it('with a frame 10 mm forward has the panels of a table with that station moved, within 0.1 mm', () => {
    const { built } = derive(readAfter(project, { [fore]: [-10, 0, 0, 0, 0, 0] })).setup.value;
    const asked = derive(tableMoved(project, fore, [-10, 0, 0])).panels.value.panels;
    expect(built.length).toBe(asked.length);
    built.forEach(({ panel, hand }, k) => {
      expect(hand === 'pair' || hand === 'across').toBe(true);
      for (const { longerBy, offMm } of edgeChanges(panel, asked[k]!))
        expect(Math.max(Math.abs(longerBy), Math.abs(offMm))).toBeLessThan(0.1);
    });
    // it is no small thing
    const off = built.flatMap(({ changes }) => changes.map(({ offMm }) => Math.abs(offMm)));
    expect(Math.max(...off)).toBeGreaterThan(0.4);
  });
  it('with a frame 10 mm high in the set-up has it so far up or down in the boat', () => {
    const up = way === 'upright' ? 10 : -10;
    const { built } = derive(readAfter(project, { [fore]: [0, 0, 10, 0, 0, 0] })).setup.value;
    const asked = derive(tableMoved(project, fore, [0, 0, up])).panels.value.panels;
    built.forEach(({ panel }, k) => {
      for (const { longerBy, offMm } of edgeChanges(panel, asked[k]!))
        expect(Math.max(Math.abs(longerBy), Math.abs(offMm))).toBeLessThan(0.1);
    });
  });
  it('with a frame a hair to one side is cut by as much as drawn, at the keel too', () => {
    const { built } = derive(readAfter(project, { [fore]: [0, 3, 0, 0, 0, 0] })).setup.value;
    for (const { changes } of built)
      for (const { longerBy, offMm } of changes)
        expect(Math.max(Math.abs(longerBy), Math.abs(offMm))).toBeLessThan(3.2);
    const [one, other] = ['starboard', 'port'].map((hand) =>
      built.filter((it) => it.hand === hand).flatMap(({ changes }) => changes.map(({ longerBy }) => longerBy)),
    );
    // what one side gains the other loses
    one!.forEach((longer, k) => expect(Math.abs(longer + other![k]!)).toBeLessThan(0.3));
  });
  it('racked has two sides that differ, and the other way round when racked the other way', () => {
    const racked = (by: number) =>
      derive(readAfter(project, { [fore]: [0, 0, 0, 0, 0, by] })).setup.value.built.filter(
        ({ hand }) => hand !== 'across',
      );
    const [one, other] = [racked(0.02), racked(-0.02)];
    expect(new Set(one.map(({ hand }) => hand))).toEqual(new Set(['starboard', 'port']));
    for (const { panel, hand } of one) {
      const twin = other.find((the) => the.panel.id === panel.id && the.hand !== hand)!;
      for (const { longerBy, offMm } of edgeChanges(panel, twin.panel))
        expect(Math.max(Math.abs(longerBy), Math.abs(offMm))).toBeLessThan(0.05);
    }
  });
  it('keeps the seams of both sides of a line of one length', () => {
    const { built } = derive(readAfter(project, { [fore]: [3, 4, -5, 0.01, 0.02, -0.01] })).setup.value;
    for (const hand of ['starboard', 'port'] as const) {
      const side = built.filter((one) => one.hand === hand || (one.hand === 'across' && hand === 'starboard'));
      for (const seam of seamsOf(side.map(({ panel }) => panel))) expect(Math.abs(seam.difference)).toBeLessThan(0.01);
    }
  });
});

describe('sides measured as they are bent', () => {
  const project = framed('tamsel', 'no-jig');
  const { setup, lines } = derive(project);
  const sheer = project.lines.longitudinals[project.lines.longitudinals.length - 1]!;
  const stood = setup.value.frames.find(({ id }) => id === 'f2')!;
  const { x } = project.frames.frames.find(({ id }) => id === 'f2')!;
  const drawn = sheer.points.find((p) => Math.abs(p.x - x) < 1e-6)!;
  const { from, sign } = setup.value.heights;
  const measured = (wider: number) => {
    const along = x - (lines.value.fromX - project.setup.before);
    const side = {
      id: 's',
      line: sheer.id,
      along,
      breadth: 2 * (drawn.halfBreadth + wider),
      over: from + sign * drawn.height,
    };
    return derive({ ...project, setup: { ...project.setup, sides: [side] } });
  };

  it('as drawn give the frames as drawn', () => {
    const { fitted } = measured(0).setup.value;
    expect(fitted.map(({ id }) => id).sort()).toEqual(project.frames.frames.map(({ id }) => id).sort());
    for (const { id, starboard, port } of fitted) {
      const { outline } = derive(project).frames.value.frames.find((frame) => frame.id === id)!;
      expect([starboard, port]).toEqual([outline, outline]);
    }
  });
  it('5 mm out to either side give a frame that is so much wider at its top, and no wider at its keel', () => {
    const { fitted, built } = measured(5).setup.value;
    const frame = fitted.find(({ id }) => id === stood.id)!;
    const { outline } = derive(project).frames.value.frames.find(({ id }) => id === stood.id)!;
    const top = (points: readonly (readonly [number, number])[]) => Math.max(...points.map(([y]) => y));
    for (const half of [frame.starboard, frame.port]) {
      expect(Math.abs(top(half) - top(outline) - 5)).toBeLessThan(0.3);
      expect(half[0]).toEqual([expect.closeTo(outline[0]![0], 1), expect.closeTo(outline[0]![1], 1)]);
    }
    expect(built.every(({ hand }) => hand === 'pair' || hand === 'across')).toBe(true);
  });
});

describe('as built, with a memory', () => {
  const project = readAfter(framed('orrin'), { f1: [4, 3, -5, 0.01, 0.02, -0.01] });
  const { setup, panels, frames } = project;
  const [first, ...others] = frames.frames;
  it.each<[string, Project]>([
    [
      'a reading',
      { ...project, setup: { ...setup, readings: setup.readings.map((one) => ({ ...one, value: one.value + 1 })) } },
    ],
    ['the skin’s thickness', { ...project, panels: { ...panels, thickness: panels.thickness + 1 } }],
    ['a frame’s place', { ...project, frames: { ...frames, frames: [{ ...first!, x: first!.x + 7 }, ...others] } }],
    ['the way it stands', { ...project, setup: { ...setup, way: 'upright' } }],
    ['how panels meet', { ...project, panels: { ...panels, meeting: 'lapped' } }],
  ])('is what it is without one when %s was changed, and changed back', (_, changed) => {
    const kept = createDerive();
    const before = kept(project).setup;
    expect(kept(changed).setup).toEqual(createDerive()(changed).setup);
    expect(kept(project).setup).toEqual(before);
  });
});
