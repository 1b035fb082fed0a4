/** Dry fit, spreaders, and what is decided of faults. */
import { describe, expect, it } from 'vitest';
import { sectionBy } from '../surface';
import { createDerive, demoProject, sentence, type Project } from '../project';
import { dryFits } from './dry-fit';
import { isSettled, toldFaults } from './faults-judge';
import { gapWords } from './fault-words';
import { orderSteps, stockFor } from './order';
import type { Fault, SetupPart } from './schema';

const derive = createDerive();
const withPart = (project: Project, part: Partial<SetupPart>): Project => ({
  ...project,
  setup: { ...project.setup, ...part },
});

describe('a dry fit', () => {
  const { panels, lines } = derive(demoProject('tamsel', 'x'));
  const part = demoProject('tamsel', 'x').panels;

  it('of a strip bent to an arc of 60° comes short by arc less chord', () => {
    const radius = 1000;
    const arc = Array.from({ length: 61 }, (_, deg) => {
      const angle = (deg * Math.PI) / 180;
      return { flat: [radius * angle, 0], space: [radius * Math.sin(angle), 0, radius * (1 - Math.cos(angle))] };
    });
    const upper = arc.map(({ flat, space }) => ({ flat: [flat[0], 200], space: [space[0], 200, space[2]] }));
    const panel = {
      ...{ id: 'a-b', name: 'Side', spansCentreline: false },
      rulings: [],
      edges: [
        { line: 'a', length: 0, points: arc },
        { line: 'b', length: (radius * Math.PI) / 3, points: upper },
      ],
    } as never;
    const stitches = { ...part.stitches, spacing: 0 };
    const [fit] = dryFits([panel], { ...part, stitches });
    const short = (radius * Math.PI) / 3 - radius; // the chord of 60° is the radius
    expect(fit!.edges.map(({ shortMm }) => shortMm)).toEqual([expect.closeTo(short, 1), expect.closeTo(short, 1)]);
    expect([fit!.ties, fit!.clamps]).toEqual([0, 5]);
  });
  it('never finds an end farther off than it was flat', () => {
    for (const { edges, diagonals } of dryFits(panels.value.panels, part)) {
      for (const { shortMm } of edges) expect(shortMm).toBeGreaterThan(-0.5);
      for (const { flatMm, bentMm } of diagonals) expect(flatMm - bentMm).toBeGreaterThan(-0.5);
    }
    expect(lines.value.lines.length).toBe(3);
  });
});

describe.each(['tamsel', 'orrin', 'veyra', 'ilven'] as const)('with no jig, %s', (id) => {
  const project = withPart(demoProject(id, 'x'), { way: 'no-jig' });
  const { setup, panels } = derive(project);
  const { noJig, jig, frames } = setup.value;
  it('has a spreader a frame as long as the boat is wide inside, at the sheer', () => {
    expect(noJig!.spreaders.map(({ name }) => name).sort()).toEqual(frames.map(({ name }) => name).sort());
    expect(jig.pieces).toEqual([]);
    const side = panels.value.panels[panels.value.panels.length - 1]!;
    for (const { id: frame, lengthMm, leanDeg } of noJig!.spreaders) {
      const { set } = frames.find((one) => one.id === frame)!;
      const plane = { normal: [1, 0, 0] as const, level: set.centre[0] };
      const outer = sectionBy(side.rulings, plane).at(-1)!.space;
      const inner = sectionBy(side.rulings, plane, project.panels.thickness);
      // along the inside face to the sheer’s height; it is nearly straight there
      const [a, b] = [inner.at(-2)!.space, inner.at(-1)!.space];
      const y = b[1] + ((outer[2] - b[2]) * (b[1] - a[1])) / (b[2] - a[2]);
      expect(Math.abs(lengthMm / 2 - y)).toBeLessThan(0.3);
      expect(Math.abs(leanDeg)).toBeLessThan(45);
    }
  });
  it('lets frames out one at a time but for those at the ends', () => {
    expect(noJig!.mayComeOut.length).toBe(Math.max(0, frames.length - 2));
    expect(noJig!.first).toBe(frames[0]!.name);
  });
});

describe('is it good enough', () => {
  const project = demoProject('tamsel', 'x');
  const { frames } = derive(project).frames.value;
  const frame = frames[0]!;
  const edge = frame.edges[frame.edges.length - 1]!;
  const fault = (given: Partial<Fault>): Fault => ({
    ...{ id: 'fault.1', frame: frame.id, edge: edge.panel, kind: 'short', value: 3, choice: 'open' },
    ...given,
  });
  const told = (given: Partial<Fault>, fillet = 5) =>
    toldFaults(frames, { faults: [fault(given)], limits: { fillet, glued: 1 } })[0]!;

  it.each([
    [3, 'leave'],
    [8, 'fill'],
    [15, 'shim'],
    [40, 'again'],
  ])('cut %d mm short it is best to %s, at a limit of 5 mm', (value, choice) => {
    expect(told({ value }).offered).toBe(choice);
  });
  it('offers to press what is out of its plane, and to plane a bevel that is too flat', () => {
    expect(told({ kind: 'plumb', value: 60 }).offered).toBe('press');
    expect(told({ kind: 'bevel', value: 30 }, 0.1).offered).toMatch(/plane|again/);
  });
  it('is told until it is decided, in the boat’s own unit; leaving too wide a gap stays told', () => {
    const of = (choice: Fault['choice'], notation: Project['notation'] = 'mm') => {
      const changed = { ...withPart(project, { faults: [fault({ value: 8, choice })] }), notation };
      return derive(changed).setup.findings.map((finding) => sentence(finding, notation));
    };
    expect(of('open')[0]).toMatch(/off the side, where 5(\.0)? mm is the most that you leave\. Fill it/);
    expect(of('leave')[0]).toMatch(/and it is left/);
    expect(of('fill')).toEqual([]);
    expect(of('open', 'in-16')[0]).not.toMatch(/\bmm\b/);
  });
  it('says what closes the gap, and what else moves', () => {
    expect(gapWords(told({ value: 8 }), 'mm')).toMatch(/A gap of \d\.\d mm, .* yours is 5(\.0)? mm .* ml closes it/);
    expect(gapWords(told({ value: 8 }), 'ft-in-8ths')).not.toMatch(/\bmm\b|\bml\b|0-0-0/);
    expect(gapWords(told({ kind: 'plumb', value: 6 }), 'mm')).toMatch(/Its mark at the upper edge goes aft by/);
    expect(gapWords(told({ value: 0 }), 'mm')).toMatch(/^No gap\./);
  });
  it('keeps, and does not tell, a fault of a frame that is no longer there', () => {
    const gone = withPart(project, { faults: [fault({ frame: 'frame.9', value: 50 })] });
    const { setup } = derive(gone);
    expect([setup.value.faults, setup.findings]).toEqual([[], []]);
    expect(isSettled(told({ value: 50, choice: 'again' }))).toBe(true);
  });
});

describe('the order of setting up', () => {
  const project = demoProject('tamsel', 'x');
  const stepsOf = (way: SetupPart['way'], notation: Project['notation'] = 'mm') => {
    const changed = withPart(project, { way });
    return orderSteps(derive(changed).setup.value, changed.setup, notation);
  };
  it('begins in the middle, and lets out those between the ends only', () => {
    for (const way of ['upside-down', 'upright'] as const) {
      const said = stepsOf(way).join(' ');
      expect(said).toMatch(/Bulkhead 2/);
      expect(said).toMatch(
        /may come out one at a time, none beside another: Bulkhead 2\. Bulkhead 1 and Bulkhead 3 stay/,
      );
    }
    expect(stepsOf('no-jig')).toEqual([]);
    expect(stepsOf('upright', 'in-16').join(' ')).not.toMatch(/\bmm\b/);
  });
  it('is bought by section: all that is cut, a tenth over', () => {
    const { jig } = derive(project).setup.value;
    const metres = stockFor(jig).reduce((sum, one) => sum + one.metres, 0);
    const cut = jig.pieces.reduce((sum, { qty, lengthMm }) => sum + (qty * lengthMm) / 1000, 0);
    expect(metres).toBeCloseTo(1.1 * cut, 9);
  });
});
