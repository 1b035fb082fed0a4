/**
 * How much denser real shapes lie than their boxes: the search against a good packer of rectangles, on the same parts,
 * in the same run; on the demo boats and two larger sets.
 * Run: npx tsx bench/nest-rectangles.ts [SECONDS]
 */
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { performance } from 'node:perf_hooks';
import { boundsOf, netArea, turned } from '../core/src/geometry';
import { createDerive, DEMO_IDS, demoProject } from '../core/src/project';
import { faultsOf, nest } from '../core/src/sheets/index';
import type { NestJob } from '../core/src/sheets/schema';
import { nestSets } from './nest-sets';

const [seconds = '20'] = process.argv.slice(2);

/** Boxes with the gap on two of their sides, on sheets larger by it; turned by quarters where the part may be. */
function packBoxes(job: NestJob): { sheets: number; density: number } {
  const [stock] = job.sheets;
  if (!stock) return { sheets: 0, density: 0 };
  const room = [stock.width, stock.height].map((mm) => mm - 2 * job.margin + job.gap) as [number, number];
  const boxes = job.parts.flatMap((part) => {
    const turns = part.rotations === 'any' ? [0, 90] : part.rotations;
    const best = turns
      .map((deg) => boundsOf(turned(part.outline, (deg * Math.PI) / 180)))
      .sort((a, b) => (a.maxX - a.minX) * (a.maxY - a.minY) - (b.maxX - b.minX) * (b.maxY - b.minY))[0];
    const canTurn = turns.some((deg) => deg % 180 !== 0);
    return Array.from({ length: part.qty }, () => ({
      ...{
        width: (best?.maxX ?? 0) - (best?.minX ?? 0) + job.gap,
        height: (best?.maxY ?? 0) - (best?.minY ?? 0) + job.gap,
      },
      ...{ x: 0, y: 0, allowRotation: canTurn, data: netArea(part) },
    }));
  });
  // its own several ways of choosing where a box goes, the best of them
  const tries = [0, 1].map((logic) => {
    const packer = new MaxRectsPacker(...room, 0, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
      logic,
    });
    packer.addArray(boxes.map((box) => ({ ...box })) as never);
    const reach = Math.max(0, ...(packer.bins[packer.bins.length - 1]?.rects ?? []).map((r) => r.x + r.width));
    const area = boxes.reduce((sum, { data }) => sum + data, 0);
    const used = (packer.bins.length - 1) * stock.width * stock.height + (reach + 2 * job.margin) * stock.height;
    return { sheets: packer.bins.length, density: area / used };
  });
  return tries.sort((a, b) => b.density - a.density)[0] ?? { sheets: 0, density: 0 };
}

const derive = createDerive();
const demos = DEMO_IDS.flatMap((id) =>
  derive(demoProject(id, 'x')).sheets.value.batches.map(({ thickness, job }) => ({
    name: `${id}, ${thickness} mm`,
    job,
  })),
);
const large = nestSets(1).filter(({ name }) => /60 parts|skiff/.test(name));
for (const { name, job } of [...demos, ...large]) {
  const boxes = packBoxes(job);
  const start = performance.now();
  let firstMs = 0;
  const found = nest(job, {
    ...{ seed: 1, rounds: 1e9, isOver: () => performance.now() - start > Number(seconds) * 1000 },
    onProgress: () => (firstMs ||= performance.now() - start),
  });
  const count = job.parts.reduce((sum, { qty }) => sum + qty, 0);
  console.log(
    `| ${name} | ${count} | ${boxes.sheets} | ${boxes.density.toFixed(3)} | ${found.sheetsUsed} | ` +
      `${found.density.toFixed(3)} | ${(found.density - boxes.density).toFixed(3)} | ${Math.round(firstMs)} | ` +
      `${faultsOf(job, found).length} |`,
  );
}
