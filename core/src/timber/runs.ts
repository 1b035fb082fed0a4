/**
 * All long pieces of the boat as a job to be planned: members along the hull, the timbers of sawn frames, what lies
 * under parts inside, and what the builder adds. A member whose hardest bend is tighter than its depth takes is
 * laminated.
 *
 * Layers: timber of thickness t bends to a radius of so many times t (a setting); a member of depth d and hardest bend
 * R is made of the fewest layers with d/n no thicker than R takes. Glued up they spring back by about 1/n² of the
 * bend, so that the mould's radius is R (1 − 1/n²). Rules of thumb, and said as such.
 */
import type { FramesValue } from '../frames';
import type { CutInside } from '../fitout';
import { formatThickness, type Notation } from '../measure';
import { CLEAR_OF_BEND } from './constants';
import type { TimberJob } from './job';
import type { TimberPart } from './schema';

export type Layers = {
  readonly count: number;
  readonly eachMm: number;
  readonly radiusMm: number;
  /** Of the mould, so that it springs back to the radius. */
  readonly mouldMm: number;
};

export type TimberRun = {
  readonly id: string;
  readonly name: string;
  readonly width: number;
  /** Of one piece as it is cut: of a laminated member that of a layer. */
  readonly depth: number;
  readonly length: number;
  readonly qty: number;
  readonly mayScarf: boolean;
  /** No scarf here: the hardest bend. From the forward end. */
  readonly clear: readonly (readonly [number, number])[];
  readonly layers?: Layers;
  /** A member of the frames stage, by its id. */
  readonly member?: string;
  /** Of the builder's own. */
  readonly own?: string;
};

/** Bends wider than this are none for a scarf. */
const GENTLE_MM = 12_000;

export function timberRuns(
  { members, frames, inside }: Pick<FramesValue, 'members' | 'frames'> & { readonly inside: readonly CutInside[] },
  part: Pick<TimberPart, 'own' | 'bendRatio'>,
): TimberRun[] {
  const along = members.map((member): TimberRun => {
    const { id, name, width, depth, lengthMm, isPair, bend, from, to } = member;
    const layers = bend && layersFor(depth, bend.radiusMm, part.bendRatio);
    const s = bend && to > from ? ((bend.x - from) / (to - from)) * lengthMm : 0;
    const near = CLEAR_OF_BEND.value;
    return {
      ...{ id: `member ${id}`, name, member: id, width, depth: layers ? layers.eachMm : depth, length: lengthMm },
      ...{ qty: (isPair ? 2 : 1) * (layers?.count ?? 1), mayScarf: true },
      clear: bend && bend.radiusMm < GENTLE_MM ? [[Math.max(0, s - near), Math.min(lengthMm, s + near)] as const] : [],
      ...(layers && { layers }),
    };
  });
  const sawn = frames.flatMap((frame) =>
    (frame.timbered?.timbers ?? []).map((timber): TimberRun => ({
      ...{ id: `timber ${frame.id} ${timber.id}`, name: `${frame.name}: ${timber.name}` },
      ...{ width: timber.breadthMm, depth: timber.thicknessMm, length: timber.lengthMm },
      ...{ qty: timber.isPair ? 2 : 1, mayScarf: false, clear: [] },
    })),
  );
  const own = part.own.map(({ id, name, width, depth, length, qty, mayScarf }): TimberRun => ({
    ...{ id: `own ${id}`, own: id, name: name || 'Without a name', width, depth, length, qty, mayScarf, clear: [] },
  }));
  return [...along, ...sawn, ...inside.flatMap(underIt), ...own];
}

/** Cleats and bearers of a part inside: short, and cut in one piece. */
const underIt = ({ hand, supports }: CutInside): TimberRun[] =>
  supports.map(({ id, name, breadth, depth, lengthMm }) => ({
    ...{ id: `under ${id}`, name, width: breadth, depth, length: lengthMm },
    ...{ qty: hand === 'pair' ? 2 : 1, mayScarf: false, clear: [] },
  }));

/** Undefined where it bends in one piece. */
export function layersFor(depth: number, radiusMm: number, bendRatio: number): Layers | undefined {
  const count = Math.ceil((depth * bendRatio) / radiusMm - 1e-9);
  if (count < 2) return undefined;
  return { count, eachMm: depth / count, radiusMm, mouldMm: radiusMm * (1 - 1 / count ** 2) };
}

/** To a hundredth: sections that differ by less are one. */
export const sectionOf = ({ width, depth }: { readonly width: number; readonly depth: number }): string =>
  [Math.max(width, depth), Math.min(width, depth)].map((mm) => Number(mm.toFixed(2))).join('×');

/** A section in the boat's unit: 45 × 20 mm. */
export const sectionWords = (
  { width, depth }: { readonly width: number; readonly depth: number },
  notation: Notation,
): string =>
  `${formatThickness(Math.max(width, depth), notation)} × ${formatThickness(Math.min(width, depth), notation)}`;

/** The same of a stick of a plan, by the pieces of its section. */
export function sectionOfStick(runs: readonly TimberRun[], job: TimberJob, stock: string, notation: Notation): string {
  const section = job.stock.find(({ id }) => id === stock)?.section;
  const run = runs.find((one) => sectionOf(one) === section);
  return run ? sectionWords(run, notation) : '';
}

/** The job: every stick that is sold of every section is one of each section that is asked for. */
export function timberJob(runs: readonly TimberRun[], { kerf, scarfRatio, stock }: TimberPart): TimberJob {
  const sections = [...new Map(runs.map((run) => [sectionOf(run), run])).entries()];
  return {
    kerf,
    scarfRatio,
    stock: sections.flatMap(([section, run]) =>
      stock
        .filter((stick) => stick.width === 0 || stick.depth === 0 || sectionOf(stick) === section)
        .map(({ id, length, qty, price }) => ({
          ...{ id: `${id} ${section}`, section, length },
          ...(qty > 0 && { qty }),
          // of a stick of any section no one price can be known: by the timber in it
          ...(price > 0 ? { price } : { price: Math.round((length * run.width * run.depth) / 1e3) / 1e3 }),
        })),
    ),
    runs: runs.map((run) => ({
      ...{ id: run.id, section: sectionOf(run), length: run.length, qty: run.qty, scarf: run.mayScarf },
      ...{
        thickness: Math.min(run.width, run.depth),
        clear: run.clear.map(([from, to]): [number, number] => [from, to]),
      },
    })),
  };
}
