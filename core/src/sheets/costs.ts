/** What layouts cost: sheets to be bought against those that are there, and where the wood goes. Areas mm². */
import { area, netArea } from '../geometry';
import type { Frame } from '../frames';
import type { JointedPanel } from '../joints';
import { isCutTwice, type Panel, type Transom } from '../panels';
import type { NestBatch } from './batches';
import { laidBatches, type Layout } from './layouts';
import { largestOffcut } from './offcut';
import type { CutPart } from './parts';
import type { StockSheet } from './schema';

/** Of one row of the stock. */
export type Bought = {
  readonly id: string;
  readonly name: string;
  readonly used: number;
  /** Of these so many are there already. */
  readonly there: number;
  readonly toBuy: number;
  /** Of what is to be bought; 0 where no price is said. */
  readonly cost: number;
};

/** Where the sheets' area goes: `parts` is what stays in the boat, the rest is waste by its cause. */
export type WhereItGoes = {
  readonly sheets: number;
  readonly parts: number;
  /** What lies double at joints. */
  readonly laps: number;
  /** Left on to be trimmed off, and round what is scribed. */
  readonly proud: number;
  /** Cut into dust, and kept clear beside the cut: half of the gap round every part. */
  readonly gap: number;
  /** The largest piece of the last sheet that is good for something. */
  readonly offcut: number;
  /** Between the shapes, and at the edges. */
  readonly shape: number;
};

export type Costs = {
  readonly bought: readonly Bought[];
  readonly cost: number;
  /** Sheets that must be bought and have no price. */
  readonly unpriced: number;
};

type Laid = { readonly batches: readonly NestBatch[]; readonly layouts: readonly Layout[] };

export type WoodOf = Laid & {
  readonly parts: readonly CutPart[];
  readonly jointed: readonly JointedPanel[];
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
};

/** Smaller pieces are not kept, mm. */
export const LEAST_OFFCUT_MM = 150;

const resultsOf = ({ batches, layouts }: Laid) =>
  laidBatches(batches, layouts).flatMap(({ batch, result }) => (result ? [{ batch, result }] : []));

export function costsOf(laid: Laid, stock: readonly StockSheet[]): Costs {
  const used = new Map<string, number>();
  for (const { result } of resultsOf(laid)) for (const { id } of result.sheets) used.set(id, (used.get(id) ?? 0) + 1);
  const bought = stock.flatMap(({ id, name, onHand, price }): Bought[] => {
    const count = used.get(id) ?? 0;
    if (count === 0) return [];
    const there = Math.min(count, onHand);
    return [{ id, name, used: count, there, toBuy: count - there, cost: (count - there) * price }];
  });
  const unpriced = bought.reduce((sum, { toBuy, cost }) => sum + (cost === 0 ? toBuy : 0), 0);
  return { bought, cost: bought.reduce((sum, one) => sum + one.cost, 0), unpriced };
}

/** The sheets' area by where it goes. */
export function whereItGoes(input: WoodOf): WhereItGoes {
  const laid = resultsOf(input);
  const sheets = sumOf(laid, ({ batch, result }) => sumOf(result.sheets, ({ id }) => sheetArea(batch, id)));
  const placed = laid.flatMap(({ batch, result }) =>
    result.sheets.flatMap(({ placements }) =>
      placements.flatMap(({ part }) => batch.job.parts.find(({ id }) => id === part) ?? []),
    ),
  );
  const cut = sumOf(placed, (part) => netArea(part));
  const gap = sumOf(laid, ({ batch, result }) =>
    sumOf(
      result.sheets.flatMap(({ placements }) => placements),
      ({ part: id }) => {
        const part = batch.job.parts.find((one) => one.id === id);
        return part ? (perimeter(part.outline) * batch.job.gap) / 2 : 0;
      },
    ),
  );
  const laps = sumOf(input.jointed, ({ joints: all, isPair }) =>
    sumOf(all, ({ lap, depth }) => lap * depth * (isPair ? 2 : 1)),
  );
  const offcut = sumOf(laid, ({ batch, result }) => {
    const last = result.sheets[result.sheets.length - 1];
    const left = last && largestOffcut(last, batch, LEAST_OFFCUT_MM);
    return left ? area(left.outline) : 0;
  });
  const proud = Math.min(cut, proudArea(input));
  const inBoat = Math.max(0, cut - laps - proud);
  return { sheets, parts: inBoat, laps, proud, gap, offcut, shape: Math.max(0, sheets - cut - gap - offcut) };
}

const sumOf = <T>(list: readonly T[], of: (one: T) => number): number => list.reduce((sum, one) => sum + of(one), 0);

function sheetArea({ job }: NestBatch, id: string): number {
  const stock = job.sheets.find((one) => one.id === id);
  if (!stock) return 0;
  return stock.outline ? area(stock.outline) : stock.width * stock.height;
}

const perimeter = (outline: CutPart['outline']): number =>
  outline.reduce((sum, [x, y], i) => {
    const next = outline[(i + 1) % outline.length] ?? [x, y];
    return sum + Math.hypot(next[0] - x, next[1] - y);
  }, 0);

/** Of all that is cut larger than it will be. */
function proudArea({ panels, transoms, frames, parts }: WoodOf): number {
  const skin = sumOf(panels, (panel) =>
    panel.proud ? (area(panel.proud.outline) - area(panel.outline)) * (isCutTwice(panel) ? 2 : 1) : 0,
  );
  const ends = sumOf(transoms, ({ outline, proud }) => (proud ? area(proud.outline) - area(outline) : 0));
  const within = sumOf(frames, ({ net, cut, material, hand }) =>
    net && material === 'plywood' ? Math.max(0, area(cut.outline) - area(net)) * (hand === 'pair' ? 2 : 1) : 0,
  );
  const scribed = sumOf(parts, ({ net, outline, isPair }) =>
    net ? (area(outline) - area(net)) * (isPair ? 2 : 1) : 0,
  );
  return skin + ends + within + scribed;
}
