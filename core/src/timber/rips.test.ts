import { describe, expect, it } from 'vitest';
import { createDerive, demoProject, type Project } from '../project';
import { judgeRips, ripsOf, type Rip } from './rips';

const project = demoProject('tamsel', 'x');
const derive = createDerive();
const log: Project['frames']['members'][number] = {
  ...{ id: 'log', name: 'Chine log', line: 'chine', away: 0, width: 40, depth: 20 },
  on: 'above',
  side: 'inside',
  ...{ from: null, to: null, isThrough: false, clearance: 0.5 },
};
const withMembers = (members: Project['frames']['members']): Project => ({
  ...project,
  frames: { ...project.frames, members },
});
const ripFor = (change: Partial<Project['frames']['members'][number]>): Rip | undefined =>
  derive(withMembers([{ ...log, ...change }])).timber.value.rips[0];

describe('the rip of a long piece', () => {
  it('in a corner is the bevel table’s one tilt, its blank wide enough for the wider face', () => {
    const { frames, timber } = derive(withMembers([log]));
    const bevel = frames.value.bevels.find(({ line }) => line === 'chine');
    const [rip] = timber.value.rips;
    expect(rip?.tiltDeg).toBeCloseTo(Math.abs(bevel?.ripDeg ?? 0), 9);
    expect(rip?.corner).toBe('Chine');
    const wider = (bevel?.ripDeg ?? 0) > 0 ? 20 * Math.tan(((bevel?.ripDeg ?? 0) * Math.PI) / 180) : 0;
    expect(rip?.blankWidth).toBeCloseTo(40 + wider, 9);
    // no bevel along it asks for less than the tilt takes off
    for (const { bevelDeg } of bevel?.rows ?? [])
      expect(Math.abs(bevelDeg)).toBeGreaterThan((rip?.tiltDeg ?? 90) - 1e-6);
    expect(rip?.leftMm).toBeCloseTo(20 * Math.tan(((bevel?.leftToPlaneDeg ?? 0) * Math.PI) / 180), 9);
  });
  it('away from a corner, outside, or on the centreline is square', () => {
    for (const change of [{ away: 100 }, { side: 'outside' }, { on: 'centre' }] as const)
      expect(ripFor(change)).toMatchObject({ tiltDeg: 0, wider: 'same', leftMm: 0, blankWidth: 40 });
  });
  it('of layers is square: they are bevelled as one', () => {
    const deep = { ...withMembers([{ ...log, depth: 60 }]), timber: { ...project.timber, bendRatio: 400 } };
    const [rip] = derive(deep).timber.value.rips;
    expect(rip).toMatchObject({ tiltDeg: 0, wider: 'same' });
    expect(rip?.depth).toBeLessThan(60);
  });
  it('has its narrow face on the skin where the corner is wider than square, else its wide one', () => {
    const run = {
      ...{ id: 'r', name: 'r', width: 40, depth: 20, length: 3000, qty: 2, mayScarf: true, clear: [], member: 'm' },
    };
    const member = { id: 'm', line: 'l', on: 'above', side: 'inside', away: 0 };
    const rip = (ripDeg: number) =>
      ripsOf({
        ...{ runs: [run], members: [member] },
        bevels: [
          {
            ...{ line: 'l', name: 'L', isOnCentreline: false, length: 3000, rows: [], ripDeg },
            ...{ leftToPlaneDeg: 3, wedgeMm: 1 },
          },
        ],
      })[0];
    expect(rip(30)).toMatchObject({ wider: 'inner', tiltDeg: 30 });
    expect(rip(30)?.blankWidth).toBeCloseTo(40 + 20 / Math.sqrt(3), 9);
    expect(rip(-30)).toMatchObject({ wider: 'skin', tiltDeg: 30, blankWidth: 40 });
    expect(rip(0.01)).toMatchObject({ wider: 'same', tiltDeg: 0, blankWidth: 40 });
  });
});

describe('a saw and a shop', () => {
  const rip: Rip = {
    ...{ run: 'r', name: 'Log', qty: 2, depth: 45, blankWidth: 60, tiltDeg: 30, wider: 'inner' },
    ...{ leftToPlaneDeg: 0, leftMm: 0 },
  };
  const stock = [{ id: 's', width: 0, depth: 0, length: 4800, qty: 0, price: 0 }];
  const said = (saw: { depth: number; room: number }, rips = [rip]) =>
    judgeRips(rips, { saw, stock }).map(({ code }) => code);
  it('too small for a rip are told; not said, they are large enough', () => {
    expect(said({ depth: 0, room: 0 })).toEqual([]);
    // 52 mm at 30° cuts 45.03 deep
    expect(said({ depth: 52, room: 9600 })).toEqual([]);
    expect(said({ depth: 51, room: 9599 })).toEqual(['rip-too-deep', 'rip-too-long']);
    expect(said({ depth: 51, room: 5000 }, [])).toEqual([]);
  });
});
