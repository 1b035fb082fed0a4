/**
 * What each job wants beside its parts: tools, what is used up, a place to work, clamps, moulds; and of wet work how
 * warm, how dry, how long a pot lasts and how long it cures. Areas to a hundredth of a square metre, grams to ten.
 */
import { boundsOf } from '../../geometry';
import type { CutPart } from '../../sheets';
import { CLAMP_EVERY, CLAMPS_A_PART, PAINT_DAMPEST } from '../constants';
import type { BoatToBuild } from './boat';
import type { WorkJob, WorkKind } from './job';

export type Material = {
  readonly what: string;
  /** Of plywood. */
  readonly thicknessMm?: number;
  readonly areaM2?: number;
  readonly grams?: number;
  readonly ml?: number;
  readonly runM?: number;
  readonly pieces?: number;
};

export type Cure = {
  readonly leastC: number;
  /** Per cent. */
  readonly dampest: number;
  /** The shortest pot lasts so long; none: out of a tin. */
  readonly potMin?: number;
  readonly pots: number;
  /** Until it may be worked on, and until it bears its load, in the shop as it is; not under its least warmth. */
  readonly hardH: number;
  readonly curedH: number;
};

export type Wants = {
  readonly tools: readonly string[];
  readonly materials: readonly Material[];
  /** The largest single piece that lies on the bench, mm. */
  readonly bench?: readonly [number, number];
  /** Clamps, weights or screws with pads: of those that hold at one time. */
  readonly clamps: number;
  readonly moulds: readonly string[];
  /** Of wet work. */
  readonly cure?: Cure;
};

const MARKING = ['rule, square and awl', 'batten with pins'];
const CUTTING = ['fine saw for plywood', 'sharp block plane', 'mask, ears and eyes covered'];
const FITTING = ['pencil and bevel gauge', 'sharp block plane', 'saw', 'spirit level'];
const MIXING = ['scale or pumps', 'pots and sticks', 'gloves, eyes covered', 'rags and a bin with a lid'];

const TOOLS: Readonly<Record<WorkKind, readonly string[]>> = {
  cut: [...MARKING, ...CUTTING],
  // a frame of sawn timber is put together on the drawing of its section
  'sawn frame': ['board with the section drawn on it', 'saw', 'sharp block plane', 'bevel gauge', 'drill and driver'],
  'sheet joints': ['sharp plane or router', 'long straight edge', 'clamps', 'mask'],
  saw: ['rip saw or table saw', 'plane', 'mask, ears and eyes covered', 'push stick'],
  strongback: ['saw', 'drill and driver', 'spirit level', 'taut string', 'long straight edge'],
  stand: ['plumb line', 'spirit level', 'taut string', 'tape', 'drill and driver'],
  members: [...FITTING, 'batten', 'drill and driver'],
  hang: ['drill', 'pliers and ties, or driver and screws', 'clamps', 'tape for the diagonals'],
  turn: ['pads and blankets', 'strong helpers with gloves'],
  round: ['block plane', 'sanding block', 'mask'],
  fair: ['long sanding board', 'low lamp', 'filling knife', 'mask'],
  fit: [...FITTING, 'drill and driver'],
  paint: ['roller and brush', 'tray', 'tack cloth', 'mask for fumes, fresh air'],
  join: [...MIXING, 'film that does not stick', 'weights or clamps with straight bars'],
  seal: [...MIXING, 'squeegee', 'foam roller and tray'],
  glue: [...MIXING, 'film that does not stick', 'clamps', 'spreader'],
  fillet: [...MIXING, 'fillet tool of its radius', 'bag to squeeze from', 'masking tape'],
  tack: [...MIXING, 'bag to squeeze from'],
  tape: [...MIXING, 'scissors', 'brush and small roller'],
  sheathe: [...MIXING, 'scissors', 'squeegee', 'roller', 'knife for the trim'],
};

const MM2_PER_M2 = 1e6;
const hundredth = (value: number): number => Math.round(value * 100) / 100;
const tens = (grams: number): number => 10 * Math.ceil(grams / 10 - 1e-9);

export function wantsOf(job: WorkJob, boat: BoatToBuild): Wants {
  const own = piecesOf(job, boat);
  const wet = boat.takeoff.jobs.find(({ id }) => id === job.id);
  const bench = benchFor(own);
  const cure = job.isPaint ? paintCure(job, boat) : job.isWet ? epoxyCure(job, boat) : undefined;
  return {
    tools: TOOLS[job.does],
    materials: wet ? mixed(wet, boat) : [...plywood(own), ...painted(job), ...timberFor(job, boat)],
    ...(bench && { bench }),
    clamps: clampsFor(job, boat),
    moulds: job.does === 'stand' || job.does === 'hang' ? mouldsIn(boat) : [],
    ...(cure && { cure }),
  };
}

/** What is cut in it. */
const piecesOf = ({ does, parts }: WorkJob, { cut }: BoatToBuild): readonly CutPart[] =>
  does === 'cut' ? cut.filter(({ name }) => parts.includes(name)) : [];

function plywood(own: readonly CutPart[]): Material[] {
  const by = new Map<number, number>();
  for (const { thickness, outline, isPair } of own) {
    const { minX, minY, maxX, maxY } = boundsOf(outline);
    const area = ((maxX - minX) * (maxY - minY) * (isPair ? 2 : 1)) / MM2_PER_M2;
    by.set(thickness, (by.get(thickness) ?? 0) + area);
  }
  return [...by].map(([thicknessMm, areaM2]) => ({ what: 'plywood', thicknessMm, areaM2: hundredth(areaM2) }));
}

type Mixed = BoatToBuild['takeoff']['jobs'][number];

function mixed(job: Mixed, { takeoff }: BoatToBuild): Material[] {
  const filler = job.grams * job.fillerShare;
  const lines = takeoff.lines.filter((line) => goesOnIn(job.id, line));
  const [clothM2, tapeM] = [sumOf(lines, 'clothM2'), sumOf(lines, 'tapeM')];
  return [
    { what: 'epoxy, mixed', grams: tens(job.grams - filler) },
    ...(filler > 0 ? [{ what: 'filler', grams: tens(filler) }] : []),
    ...(tapeM > 0 ? [{ what: 'glass tape', runM: hundredth(tapeM) }] : []),
    ...(clothM2 > 0 && tapeM === 0 ? [{ what: 'glass cloth', areaM2: hundredth(clothM2) }] : []),
  ];
}

const sumOf = (lines: BoatToBuild['takeoff']['lines'], what: 'clothM2' | 'tapeM'): number =>
  lines.reduce((sum, line) => sum + line[what], 0);

/** Cloth and tape are laid in one job each; the coats over them are resin alone. */
function goesOnIn(id: string, { group, from }: BoatToBuild['takeoff']['lines'][number]): boolean {
  if (from.kind === 'tape') return id === `tape.${from.side}`;
  return id === { tabs: 'tabs', sheathing: 'sheathe', flat: 'flat' }[group as 'tabs' | 'sheathing' | 'flat'];
}

const painted = ({ coat }: WorkJob): Material[] => (coat ? [{ what: coat.finish, ml: tens(coat.ml) }] : []);

function timberFor({ does }: WorkJob, { runs, setup }: BoatToBuild): Material[] {
  if (does === 'saw') {
    const sum = runs.reduce((all, { length, qty }) => all + length * qty, 0);
    return [
      { what: 'timber to rip', runM: hundredth(sum / 1000), pieces: runs.reduce((all, { qty }) => all + qty, 0) },
    ];
  }
  if (does !== 'strongback') return [];
  const { pieces } = setup.jig;
  const sum = pieces.reduce((all, { qty, lengthMm }) => all + qty * lengthMm, 0);
  return [{ what: 'straight timber', runM: hundredth(sum / 1000), pieces: pieces.reduce((all, p) => all + p.qty, 0) }];
}

function benchFor(own: readonly CutPart[]): readonly [number, number] | undefined {
  const sizes = own.map(({ outline }) => {
    const { minX, minY, maxX, maxY } = boundsOf(outline);
    return [maxX - minX, maxY - minY].sort((a, b) => b - a) as [number, number]; // two
  });
  if (sizes.length === 0) return undefined;
  return [Math.max(...sizes.map(([long]) => long)), Math.max(...sizes.map(([, short]) => short))].map(
    (mm) => BENCH_STEP * Math.ceil(mm / BENCH_STEP),
  ) as [number, number]; // two
}
/** Nobody looks for a bench to the millimetre. */
const BENCH_STEP = 50;

const along = (mm: number): number => Math.ceil(mm / CLAMP_EVERY.value);

function clampsFor({ does, parts }: WorkJob, { jointed, frames, school }: BoatToBuild): number {
  if (does === 'join')
    return jointed.reduce(
      (sum, { joints, isPair }) =>
        sum + joints.reduce((all, { depth, kind }) => all + (kind === 'butt' ? 0 : along(depth)), 0) * (isPair ? 2 : 1),
      0,
    );
  if (does === 'glue')
    return CLAMPS_A_PART.value * Math.max(0, ...frames.frames.map((f) => f.cleats.length + f.rims.length));
  if (does === 'members') return Math.max(0, ...frames.members.map(({ lengthMm }) => along(lengthMm)));
  if (does === 'hang') return school === 'filleted' ? 0 : CLAMPS_A_PART.value * (frames.frames.length + 2);
  return does === 'fit' ? CLAMPS_A_PART.value * parts.length : 0;
}

const mouldsIn = ({ frames }: BoatToBuild): string[] =>
  frames.frames.filter(({ kind }) => kind === 'mould').map(({ name }) => name);

function epoxyCure({ name }: WorkJob, { takeoff, hours, warmth }: BoatToBuild): Cure {
  const pots = takeoff.plan.pots.filter(({ job }) => job === name);
  return {
    ...{ leastC: warmth.leastC, dampest: warmth.dampest, pots: pots.length },
    ...(pots.length > 0 && { potMin: Math.max(1, Math.floor(Math.min(...pots.map(({ potLife }) => potLife)))) }),
    ...{ hardH: Math.ceil(hours.sand), curedH: Math.ceil(hours.cured) },
  };
}

function paintCure({ coat }: WorkJob, { paintPace, warmth }: BoatToBuild): Cure {
  const dries = Math.ceil((coat?.fromHours ?? 0) / paintPace);
  return {
    ...{ leastC: warmth.paintLeastC, dampest: PAINT_DAMPEST.value, pots: 0 },
    ...{ hardH: dries, curedH: dries },
  };
}
