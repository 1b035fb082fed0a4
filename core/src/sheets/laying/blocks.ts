/**
 * What of a sheet is kept clear of: zones that are spoiled, and what an offcut lacks of its own rectangle.
 *
 * Parts keep the gap from these as from other parts. From the offcut's true edge they are to keep the margin: so the
 * edge is moved in by the margin less the gap first, and what lies beyond it, within the rectangle moved in likewise,
 * is a block.
 */
import { area, boundsOf, boxOutline, differenceOf, intersectionOf, widened, type Outline } from '../../geometry';
import type { NestJob } from '../schema';
import type { Standing } from './least-place';
import { poseOfBlock } from './poses';

/** A sliver is what the grid left. */
const SLIVER_MM2 = 1;

export const blocksOn = (stock: NestJob['sheets'][number], { gap, margin }: NestJob): Standing[] =>
  blockOutlines(stock, margin - gap).map((outline, k) => ({
    pose: poseOfBlock(outline, `block ${stock.id} ${k}`),
    at: [0, 0],
  }));

function blockOutlines({ width, height, outline, zones = [] }: NestJob['sheets'][number], inMm: number): Outline[] {
  const beyond = outline ? beyondEdge(outline, { width, height }, inMm) : [];
  return [...beyond, ...zones].filter((ring) => area(ring) > SLIVER_MM2);
}

function beyondEdge(outline: Outline, { width, height }: { width: number; height: number }, inMm: number): Outline[] {
  const whole = rectangle(inMm, inMm, width - inMm, height - inMm);
  const kept = widened(outline, -inMm);
  return differenceOf([whole], kept).flatMap((region) => {
    if (region.holes.length === 0) return [region.outline];
    // all round the offcut: as two halves, which have no hole
    const { minX, maxX } = boundsOf(region.holes.flat());
    const middle = (minX + maxX) / 2;
    const halves = [rectangle(-BEYOND_MM, -BEYOND_MM, middle, height + BEYOND_MM)];
    halves.push(rectangle(middle, -BEYOND_MM, width + BEYOND_MM, height + BEYOND_MM));
    return halves.flatMap((half) =>
      differenceOf(intersectionOf([region.outline], [half]), region.holes).map((one) => one.outline),
    );
  });
}

/** Beyond any sheet's edge. */
const BEYOND_MM = 1000;

const rectangle = (minX: number, minY: number, maxX: number, maxY: number): Outline =>
  boxOutline({ minX, minY, maxX, maxY });
