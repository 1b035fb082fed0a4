/**
 * What to buy: resin and glass for seams, sealing, sheathing and glue lines, each line with what it was counted from.
 *
 * Method: a fillet's section in each stretch of its seam, by its angle there (seams/fillet.ts); times length and
 * density, less the filler's share. Glass takes resin in proportion to its weight. Waste is a share of what is mixed,
 * so the sum is divided by one less that share.
 */
import type { Hull } from '../lines';
import {
  FILL_COAT,
  FILL_COATS,
  MIX_DENSITY,
  RESIN_PER_BIAXIAL,
  RESIN_PER_WOVEN,
  SEAL_FIRST_COAT,
  SEAL_NEXT_COAT,
} from './constants';
import type { EpoxyFinding, EpoxyResult } from './findings';
import { coveredIn } from './covered';
import { facesGlassed, flatParts } from './flat-parts';
import { glassToBuy, type GlassToBuy } from './glass';
import { facesOf, glueLines, type Glued } from './glue';
import { judgeGlass, judgePurchase } from './judge';
import { jobsOf, planPots, type Job, type PotPlan } from './jobs';
import type { TakeoffLine } from './line';
import { purchaseOf, type Purchase } from './purchase';
import type { EpoxyPart } from './schema';
import { filletArea, filletIn, findSeams, isWithin, scheduleOf, tapeWidths, type Seam, type SeamsOf } from './seams';
import { fillersOf, type FillerNeed } from './others/fillers';
import { judgeGlues } from './others/judge';
import {
  coatsOf,
  finishLines,
  glueFor,
  otherGlueLines,
  productsOf,
  type Coat,
  type OtherLine,
  type OtherProduct,
} from './others/others';
import { bothSides, sheathedPanels, sheathingFindings } from './sheathing';

export type Takeoff = {
  readonly seams: readonly Seam[];
  /** Panels under cloth, by their ids. */
  readonly sheathed: readonly string[];
  readonly lines: readonly TakeoffLine[];
  readonly resin: number;
  readonly resinWithWaste: number;
  readonly filler: number;
  readonly clothM2: number;
  readonly tapeM: number;
  /** What it all adds to the boat, g: resin and filler in place, and glass. */
  readonly weight: number;
  /** In the order in which they are done. */
  readonly jobs: readonly Job[];
  /** As they are mixed at the shop's own temperature. */
  readonly plan: PotPlan;
  readonly purchase: Purchase;
  readonly glass: GlassToBuy;
  readonly fillers: readonly FillerNeed[];
  /** Other glues, and finishes. */
  readonly others: readonly OtherLine[];
  readonly products: readonly OtherProduct[];
  readonly coats: readonly Coat[];
};

export type TakeoffInput = SeamsOf &
  Glued & {
    /** The lines that the panels lie between, lowest first. */
    readonly lines: Hull['lines'];
    readonly part: EpoxyPart;
    /** Where they are known already. */
    readonly seams?: readonly Seam[];
  };

/** The whole list. Quantities for both sides of the boat. */
export function takeOff(input: TakeoffInput): EpoxyResult<Takeoff> {
  const { part, seams = findSeams(input) } = input;
  const faces = facesOf(input);
  const lines = [
    ...seams.filter(({ isFilleted }) => isFilleted).map((seam) => filletLine(seam, part)),
    ...seams.flatMap((seam) => tabLines(seam, part)),
    ...seams.flatMap((seam) => tapeLines(seam, input)),
    ...sheathingLines(input),
    ...flatLines(input),
    ...sealingLines(input),
    ...glueLines(
      faces.filter(({ what }) => !glueFor(what, part)),
      part,
    ),
  ].filter((line) => line.resin > 0 || line.clothM2 > 0);
  const sum = (key: 'resin' | 'filler' | 'clothM2' | 'tapeM') => lines.reduce((total, line) => total + line[key], 0);
  const resin = sum('resin');
  const glass = lines.reduce((total, line) => total + line.clothM2 * weightOf(line, part), 0);
  const jobs = jobsOf(lines, part);
  const { sheathed } = sheathedPanels(input);
  const plan = planPots(jobs, part, part.shop.tempC);
  const others = [...otherGlueLines(faces, part), ...finishLines(input, part.finishes)];
  const value = {
    ...{ jobs, plan, purchase: purchaseOf(plan.totals, part), sheathed: sheathed.map(({ id }) => id) },
    glass: glassToBuy(lines, coveredIn(input), part),
    ...{ others, products: productsOf(others, part), coats: coatsOf(others, part.finishes) },
    fillers: fillersOf(jobs, plan, part.fillers),
    ...{ seams, lines, resin, filler: sum('filler'), clothM2: sum('clothM2'), tapeM: sum('tapeM') },
    ...{ resinWithWaste: resin / (1 - part.waste), weight: resin + sum('filler') + glass },
  };
  const findings: EpoxyFinding[] = [
    { severity: 'note', code: 'epoxy-safety', where: { stage: 'epoxy' }, data: {} },
    ...sheathingFindings(input),
    ...plan.findings,
    ...judgePurchase(value.purchase),
    ...judgeGlass(part),
    ...judgeGlues(faces, part),
  ];
  return { value, findings, assumed: [] };
}

const weightOf = ({ group }: TakeoffLine, part: EpoxyPart): number =>
  group === 'tapes' || group === 'tabs' ? part.tapeWeight : part.sheathingWeight;

const none = { resin: 0, filler: 0, clothM2: 0, tapeM: 0 };

function filletLine(seam: Seam, part: EpoxyPart): TakeoffLine {
  const { fillet } = scheduleOf(seam, part);
  let [mm3, along, byLeg, radii] = [0, 0, 0, 0];
  for (const { length, angleRad } of seam.stretches) {
    const made = filletIn(fillet, angleRad);
    mm3 += filletArea(made.radius, angleRad) * length;
    radii += made.radius * length;
    along += length;
    if (made.ruledBy === 'leg') byLeg += length;
  }
  const mass = (mm3 * MIX_DENSITY.value) / 1000;
  return {
    ...{ ...none, group: 'fillets', work: 'fillet', item: seam.name, seam: seam.id },
    from: {
      ...{ kind: 'fillet', length: along, sectionMm2: along > 0 ? mm3 / along : 0 },
      ...{ radius: along > 0 ? radii / along : 0, angleDeg: seam.angleDeg },
      ruledBy: 2 * byLeg > along ? 'leg' : 'radius',
    },
    ...{ resin: mass * (1 - part.fillerShare), filler: mass * part.fillerShare },
  };
}

/** Short tapes across a bulkhead’s seam, in each of its corners, that hold it until it is filleted. */
function tabLines(seam: Seam, part: EpoxyPart): TakeoffLine[] {
  const { length, apart } = part.tabs;
  if (length === 0 || seam.kind !== 'bulkhead' || seam.length === 0) return [];
  const count = Math.max(1, Math.round(seam.length / apart)) * seam.corners;
  const { tapeWidth } = scheduleOf(seam, part);
  const clothM2 = (count * length * tapeWidth) / 1e6;
  return [
    {
      ...{ ...none, group: 'tabs', work: 'tape', item: seam.name, seam: seam.id, clothM2 },
      ...{ tapeM: (count * length) / 1000, from: { kind: 'tabs', count, length, width: tapeWidth } },
      resin: clothM2 * part.tapeWeight * perTape(part),
    },
  ];
}

const perTape = ({ glass }: EpoxyPart): number =>
  glass.tapeKind === 'woven' ? RESIN_PER_WOVEN.value : RESIN_PER_BIAXIAL.value;

/** A bulkhead or a part inside is taped in its own corners, and nothing of it is outside. */
function tapeLines(seam: Seam, { part, school }: TakeoffInput): TakeoffLine[] {
  const schedule = scheduleOf(seam, part);
  const isInBoat = isWithin(seam);
  const layers = {
    inside: isInBoat || school === 'filleted' ? schedule.inside : 0,
    outside: isInBoat ? 0 : schedule.outside,
  };
  return (['inside', 'outside'] as const).map((side) => {
    const widths = tapeWidths(layers[side], schedule);
    const length = seam.length * seam.corners;
    const clothM2 = widths.reduce((sum, width) => sum + (length * width) / 1e6, 0);
    const tapeM = (length * widths.length) / 1000;
    return {
      ...{ ...none, group: 'tapes', work: 'tape', item: seam.name, seam: seam.id, clothM2, tapeM },
      ...{ from: { kind: 'tape', side, length, widths }, resin: clothM2 * part.tapeWeight * perTape(part) },
    };
  });
}

function sheathingLines({ lines, panels, part }: TakeoffInput): TakeoffLine[] {
  const { sheathed } = sheathedPanels({ lines, panels, part });
  return sheathed.map((panel) => clothLine('sheathing', panel.name, bothSides(panel), part));
}

/** On the bench, before they go in. */
const flatLines = (input: TakeoffInput): TakeoffLine[] =>
  flatParts(input).map((one) => clothLine('flat', one.name, one.areaM2 * facesGlassed(one, input.part), input.part));

function clothLine(group: 'sheathing' | 'flat', item: string, clothM2: number, part: EpoxyPart): TakeoffLine {
  const perGlass = part.glass.clothKind === 'woven' ? RESIN_PER_WOVEN.value : RESIN_PER_BIAXIAL.value;
  const { sheathingWeight: weight } = part;
  const coats = FILL_COATS.value;
  return {
    ...{ ...none, group, work: 'sheathe', item, clothM2 },
    ...{ from: { kind: 'cloth', areaM2: clothM2, weight, coats } },
    resin: clothM2 * (weight * perGlass + coats * FILL_COAT.value),
  };
}

/** g/m² of all coats of sealing together. */
const sealingRate = ({ sealingCoats: coats }: EpoxyPart): number =>
  coats === 0 ? 0 : SEAL_FIRST_COAT.value + (coats - 1) * SEAL_NEXT_COAT.value;

/** Where the hull is sealed when it stands, not under what was sheathed. */
function sealingLines({ lines, panels, transoms, frames, girders, inside, part }: TakeoffInput): TakeoffLine[] {
  const { sheathed } = sheathedPanels({ lines, panels, part });
  const line = (item: string, faceM2: number, faces: 0 | 1 | 2 = 2): TakeoffLine => ({
    ...{ ...none, group: 'sealing', work: 'seal', item, resin: faces * faceM2 * sealingRate(part) },
    from: { kind: 'faces', areaM2: faces * faceM2, coats: part.sealingCoats, faces },
  });
  const skin = panels.map((panel) =>
    line(panel.name, bothSides(panel), part.coating === 'hull' && sheathed.includes(panel) ? 1 : 2),
  );
  const open = { 0: 2, 1: 1, 2: 0 } as const;
  const within = flatParts({ transoms, frames, girders, inside }).map((one) =>
    line(one.name, one.areaM2, open[facesGlassed(one, part)]),
  );
  return [...skin, ...within];
}
