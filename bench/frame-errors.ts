/**
 * How far sections and bevels lie from closed forms: on a cone and a leaning cylinder, at three stations each, upright
 * and raked, less no skin and 6 mm; and the rolling bevel of the chine of two cones. By the batch command's own JSON.
 * Run: npx tsx bench/frame-errors.ts
 */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { run } from '../cli/src/run';
import { EXACT_SIDES, TWO_CONES } from '../core/src/frames/fixtures/exact-hulls';

const folder = mkdtempSync(join(tmpdir(), 'frame-errors-'));
function kalo<T>(...args: string[]): T {
  let out = '';
  run([...args, '--json'], { out: (text) => (out += text), err: (text) => console.error(text), now: () => 0 });
  return JSON.parse(out) as T;
}
type Frames = {
  frames: { x: number; edges: { between: string[]; points: { y: number; z: number; bevelDeg: number }[] }[] }[];
};

for (const { name, csv, between, depthOf, normalAt, xs } of EXACT_SIDES) {
  const path = join(folder, 'side.csv');
  writeFileSync(path, csv);
  for (const skin of [0, 6]) {
    let [far, turned] = [0, 0];
    for (const rake of [-15, -8, 0, 8, 15, 20]) {
      const asked = ['--at', xs.join(','), '--skin', String(skin), '--frame', '12', '--rake', String(rake)];
      const { frames } = kalo<Frames>('frames', path, ...asked);
      const [c, s] = [Math.cos((rake * Math.PI) / 180), Math.sin((rake * Math.PI) / 180)];
      for (const { x, edges } of frames)
        for (const { y, z, bevelDeg } of edges.find(
          (edge) => edge.between[0] === between[0] && edge.between[1] === between[1],
        )?.points ?? []) {
          const place = [x + z * s, y, z * c] as const;
          const [nx, , nz] = normalAt(place);
          far = Math.max(far, Math.abs(depthOf(place) - skin));
          turned = Math.max(turned, Math.abs(bevelDeg - (Math.asin(nx * c - nz * s) * 180) / Math.PI));
        }
    }
    console.log(`${name}, skin ${skin} mm: section within ${far.toFixed(4)} mm, bevel within ${turned.toFixed(4)}°`);
  }
}
const path = join(folder, 'cones.csv');
writeFileSync(path, TWO_CONES.csv);
const { rows } = kalo<{ rows: { x: number; dihedralDeg: number }[] }>(
  'bevels',
  path,
  '--line',
  TWO_CONES.line,
  '--step',
  '50',
);
const off = Math.max(...rows.map(({ x, dihedralDeg }) => Math.abs(dihedralDeg - TWO_CONES.dihedralDeg(x))));
console.log(`chine of two cones, ${rows.length} rows: within ${off.toFixed(4)}°`);
rmSync(folder, { recursive: true });
