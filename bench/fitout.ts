/**
 * How far the flat edges of walls and the thicknesses of blocks are off their closed forms at most; how far the edges
 * of parts in a conical and a cylindrical side lie off the inside of the skin, and their bevels off the surface's own;
 * how far an outer stem's flat and a hanging knee's edge are off the planes that they lie on; and what the parts of
 * each demo boat cost, as a share of working all of it out anew.
 * `npx tsx bench/fitout.ts 9`
 */
import { readOffsets } from '@kalotrope/core/exchange';
import { createDerive, DEMO_IDS, demoProject } from '@kalotrope/core/project';
import { developPanels } from '@kalotrope/core/panels';
import { bendLines } from '@kalotrope/core/lines';
import { EXACT_SIDES } from '../core/src/frames/fixtures/exact-hulls';
import { overMiddle, placeOn } from '../core/src/fitout/lie';
import { shapeOf } from '../core/src/fitout/fitted';
import { blockOff } from '../core/src/fitout/blocks/fixtures/bent-transom';
import { plainInside } from '../core/src/fitout/plans';
import { kneesDiffer } from '../core/src/fitout/knees/fixtures/closed-form';
import { stemOff } from '../core/src/fitout/stems/fixtures/wedge';
import { EXACT_WALLS, mostOff } from '../core/src/fitout/walls/fixtures/exact-walls';
import { wallOf } from '../core/src/fitout/walls/fitted-wall';
import { insideAtFirst } from '../core/src/fitout/schema';

const SKIN = 6;
const DEG = 180 / Math.PI;
const times = Number(process.argv[2] ?? 9);

for (const [k, side] of EXACT_SIDES.entries()) {
  const read = readOffsets(side.csv);
  if (!read.ok) throw new Error('the fixture is not read');
  const { panels } = { panels: developPanels(bendLines(read.lines).value, { thickness: SKIN }).value };
  const low = k === 0 ? 0 : 430; // the cylinder's side lies lower
  for (const [name, height, radius] of [
    ['level', [330, 330], 0],
    ['sloping', [300, 420], 0],
    ['cambered', [420, 420], 3000],
    ['cambered and sloping', [400, 470], 2500],
  ] as const) {
    const [from, to] = [side.xs[0] ?? 0, side.xs[side.xs.length - 1] ?? 0];
    const plan = plainInside({
      ...{ id: 'p', name: 'P', kind: 'sole', from, to, gap: 0, camber: { radius } },
      height: { fore: height[0] - low, aft: height[1] - low, of: 'under' },
    });
    const { lie, edges } = shapeOf(plan, panels, { school: 'filleted', inside: SKIN, outside: 0, ends: [] });
    let [off, turned] = [0, 0];
    for (const face of ['top', 'under'] as const)
      for (const { flat, bevelDeg, space, mark } of edges[face].flat()) {
        if (mark.panel !== 'chine-sheer' || space[0] <= from || space[0] >= to) continue;
        const place = placeOn(lie, flat, overMiddle(lie, face));
        off = Math.max(off, Math.abs(side.depthOf(place) - SKIN));
        const [a, b] = [placeOn(lie, flat, 1), placeOn(lie, flat, -1)];
        const n = side.normalAt(place);
        const down = [0, 1, 2].reduce((sum, i) => sum + (n[i] ?? 0) * ((b[i] ?? 0) - (a[i] ?? 0)), 0) / 2;
        turned = Math.max(turned, Math.abs(bevelDeg - Math.asin(down) * DEG));
      }
    console.log(`${side.name}, ${name}: ${off.toFixed(4)} mm, ${turned.toFixed(4)}°`);
  }
}

for (const { name, plan, ...edges } of EXACT_WALLS) {
  const hull = createDerive()(demoProject('tamsel', 'x')).lines.value;
  const wall = wallOf(plan, { hull, parts: [], school: 'filleted', side: undefined });
  console.log(`${name}: ${mostOff(wall, edges).toFixed(4)} mm`);
}

for (const [radius, rake] of [
  [1200, 0],
  [1200, 0.26],
  [2500, 0.26],
] as const)
  console.log(`block on a transom bent to ${radius}, raked ${rake}: ${blockOff(radius, rake).toFixed(4)} mm`);

for (const [k, m] of [
  [0.5, 0],
  [0.5, 0.35],
  [0.2, 0.6],
] as const)
  console.log(`outer stem on planes, ${k} raked ${m}: ${stemOff(k, m).toFixed(4)} mm`);

const knee = kneesDiffer();
console.log(`hanging knee on planes: ${knee.offMm.toFixed(4)} mm, ${knee.bevelOff.toFixed(4)}°`);

const median = (all: number[]) => all.sort((a, b) => a - b)[all.length >> 1] ?? 0;
for (const id of DEMO_IDS) {
  const project = demoProject(id, 'x');
  if (project.fitout.parts.length === 0) continue;
  const bare = { ...project, fitout: insideAtFirst() };
  const timed = (of: typeof project) => {
    const start = performance.now();
    createDerive()(of);
    return performance.now() - start;
  };
  const [whole, without]: [number[], number[]] = [[], []];
  for (let i = 0; i < times; i++) {
    whole.push(timed(project));
    without.push(timed(bare));
  }
  console.log(`${id}: ${(median(whole) / median(without)).toFixed(2)} of the boat without them`);
}
