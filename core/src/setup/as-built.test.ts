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
