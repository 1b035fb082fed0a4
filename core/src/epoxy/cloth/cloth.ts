/**
 * Cloth as it is cut: the lengths that cover the sheathed panels and what is glassed flat, and where each lies on the
 * roll. Lengths mm.
 *
 * Method: along a panel in as few widths as cover it, of even width, each over the next by the lap; one for each hand.
 * The lengths are laid out by the search that lays parts on sheets, on a sheet as wide as the roll and as long as all
 * of them one after the other; half turns keep the warp along the roll. Cut larger all round by what is left to trim.
 */
import {
  area,
  boundsOf,
  boxOutline,
  counterClockwise,
  hashOf,
  intersectionOf,
  widened,
  type Outline,
} from '../../geometry';
import type { Frame, Girder } from '../../frames';
import type { InsideValue } from '../../fitout';
import type { Hull } from '../../lines';
import type { Panel, Transom } from '../../panels';
import { nest, placedOutline, type NestJob, type NestResult } from '../../sheets';
import type { EpoxyPart } from '../schema';
import { coveredIn, type Covered } from '../covered';

/** A length of cloth, along x as it lies along the panel. */
export type ClothCut = { readonly id: string; readonly name: string; readonly outline: Outline };

export type ClothToLay = {
  readonly cuts: readonly ClothCut[];
  readonly job: NestJob;
  /** A layout belongs to the job whose key it carries. */
  readonly key: string;
};

/** What a search found. */
export type ClothLayout = { readonly key: string; readonly result: NestResult };

/** Off the roll, and where each length lies: from the roll's end, and from its lower edge. */
export type LaidCloth = { readonly rollMm: number; readonly cuts: readonly ClothCut[] };

export type ClothWhole = {
  readonly project: { readonly epoxy: EpoxyPart };
  readonly values: {
    readonly lines: Pick<Hull, 'lines'>;
    readonly panels: { readonly panels: readonly Panel[]; readonly transoms: readonly Transom[] };
    readonly frames: { readonly frames: readonly Frame[]; readonly girders: readonly Girder[] };
    readonly fitout: InsideValue;
  };
  readonly found: { readonly epoxy?: ClothLayout | undefined };
};

/** In more widths than this nobody covers a panel: the lap is nearly the roll. */
const MOST_WIDTHS = 12;
/** A shred less than this is none, mm². */
const LEAST_MM2 = 400;
/** Over the roll's width and length, so that what fills them goes in. */
const SPARE_MM = 0.01;

/** What is to be cut, and laid out; undefined where nothing is sheathed, or a lap leaves nothing of the roll. */
export function clothToLay({ project: { epoxy: part }, values }: Omit<ClothWhole, 'found'>): ClothToLay | undefined {
  const covered = coveredIn({
    lines: values.lines.lines,
    ...values.panels,
    ...values.frames,
    inside: values.fitout.all,
    part,
  });
  const lists = covered.map((one) => cutsOf(one, part.glass));
  const cuts = lists.flatMap((list) => list ?? []);
  if (cuts.length === 0 || lists.includes(undefined)) return undefined;
  const long = cuts.reduce((sum, { outline }) => sum + lengthOf(outline) + SPARE_MM, 0);
  const job: NestJob = {
    ...{ gap: 0, margin: 0 },
    sheets: [{ id: 'roll', width: long, height: part.glass.clothWidth + SPARE_MM, qty: 1 }],
    parts: cuts.map(({ id, outline }) => ({
      ...{ id, outline: outline.map(([x, y]): [number, number] => [x, y]), holes: [], qty: 1 },
      ...{ rotations: [0, 180], mirror: false },
    })),
  };
  return { cuts, job, key: hashOf(job) };
}

const lengthOf = (outline: Outline): number => {
  const { minX, maxX } = boundsOf(outline);
  return maxX - minX;
};

/** Undefined: the lap leaves too little of the roll's width. */
function cutsOf(
  { id, name, outline: net, copies }: Covered,
  { clothWidth, lap, trim }: EpoxyPart['glass'],
): ClothCut[] | undefined {
  const along = lyingAlong(trim > 0 ? (widened(counterClockwise(net), trim)[0] ?? net) : net);
  const { minX, minY, maxX, maxY } = boundsOf(along);
  const deep = maxY - minY;
  const widths = deep <= clothWidth ? 1 : 1 + Math.ceil((deep - clothWidth) / Math.max(1e-3, clothWidth - lap));
  if (widths > MOST_WIDTHS) return undefined;
  const each = (deep + (widths - 1) * lap) / widths;
  const bands = Array.from({ length: widths }, (_, k) => {
    const from = minY + k * (each - lap);
    return boxOutline({ minX: minX - 1, maxX: maxX + 1, minY: from, maxY: from + each });
  });
  const pieces = widths === 1 ? [along] : bands.flatMap((band) => intersectionOf([along], [band]));
  const kept = pieces.filter((piece) => Math.abs(area(piece)) >= LEAST_MM2).map(counterClockwise);
  return copies.flatMap(({ called, isTurned }) =>
    kept.map((outline, k): ClothCut => ({
      id: `${id}${called} ${k + 1}`,
      name: `${name}${called}${kept.length > 1 ? `, ${k + 1} of ${kept.length}` : ''}`,
      outline: isTurned ? outline.map(([x, y]) => [-x, y] as const) : outline,
    })),
  );
}

/** Its longer way along x. */
function lyingAlong(outline: Outline): Outline {
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  return maxX - minX >= maxY - minY ? outline : outline.map(([x, y]) => [y, -x] as const);
}

/** A layout by so many rounds: exactly repeatable. */
export function layCloth(toLay: ClothToLay | undefined, rounds: number): ClothLayout {
  const none: NestResult = { sheets: [], unplaced: [], sheetsUsed: 0, density: 0 };
  return { key: toLay?.key ?? '', result: toLay ? nest(toLay.job, { seed: SEED, rounds }) : none };
}

const SEED = 1;

/** The layout that belongs to what is to be cut now; undefined where none was found yet. */
export function laidCloth(toLay: ClothToLay | undefined, found: ClothLayout | undefined): LaidCloth | undefined {
  if (!toLay || found?.key !== toLay.key || found.result.unplaced.length > 0) return undefined;
  const placed = found.result.sheets.flatMap(({ placements }) => placements);
  const cuts = toLay.cuts.flatMap(({ id, name, outline }): ClothCut[] => {
    const placement = placed.find(({ part }) => part === id);
    return placement ? [{ id, name, outline: placedOutline(outline, placement) }] : [];
  });
  const box = boundsOf(cuts.flatMap(({ outline }) => outline));
  return { rollMm: box.maxX - Math.min(0, box.minX), cuts };
}

export const clothOf = (whole: ClothWhole): LaidCloth | undefined => laidCloth(clothToLay(whole), whole.found.epoxy);

/** Off the roll, m: as it is laid out, or by the rule until it is. */
export const clothMetres = (byRule: number, laid: LaidCloth | undefined): number =>
  laid ? laid.rollMm / 1000 : byRule;
