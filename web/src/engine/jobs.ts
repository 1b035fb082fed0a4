/** The table of jobs: name → pure core function. What the worker runs, and what tests may run directly. */
import {
  cardOfPanel,
  changesBetween,
  createDerive,
  type CardOfPanel,
  type Derived,
  type Project,
  type RevisionChanges,
} from '@kalotrope/core/project';
import { bendCard, type Bent, type Card, type CardProblem } from '@kalotrope/core/bend';
import { cardModel, type CardModel, type CardOptions } from '@kalotrope/core/exchange';
import type { LinesTable } from '@kalotrope/core/lines';
import { movedParts } from '@kalotrope/core/log';
import { planeOf } from '@kalotrope/core/frames';
import { findRemedies, gapsOfBoat, thicknessOf, type Gaps, type PanelRemedy } from '@kalotrope/core/panels';
import {
  cutFileOf,
  faultsOf,
  findJointPlans,
  jointPlansInput,
  nest,
  readCutFile,
  runCutter,
  type CutRun,
  type JointPlans,
  type NestJob,
  type NestResult,
  type SheetsPart,
  type UsedSheet,
} from '@kalotrope/core/sheets';
import { planTimber, type TimberJob, type TimberResult } from '@kalotrope/core/timber';

import type { TileLayout } from '@kalotrope/core/formats';
import type { CardPdf, ExportAsk, ExportFrom, ExportList } from './exports';
import { takeBytes } from './take';

export type NestInput = { readonly job: NestJob; readonly seed: number; readonly seconds: number };
export type NestProgress = { readonly result: NestResult; readonly round: number };

export type JointPlansAsk = { readonly project: Project; readonly seed: number; readonly seconds: number };

export type CutterAsk = {
  readonly sheets: readonly { readonly sheet: UsedSheet; readonly job: NestJob }[];
  readonly machine: SheetsPart['machine'];
};
/** What the cutter did on a sheet, and the part that each contour of its file is of. */
export type CutSheet = { readonly run: CutRun; readonly parts: readonly string[] };
export type CutFileRun = { readonly ok: true; readonly run: CutRun } | { readonly ok: false; readonly problem: string };
export type TimberAsk = { readonly job: TimberJob; readonly seconds: number };

export type CardEdges =
  | { readonly ok: true; readonly edges: Pick<Bent, 'lower' | 'upper'> }
  | { readonly ok: false; readonly problem: CardProblem };

const derive = createDerive();

export const JOBS = {
  /** A file read into a project. */
  take: takeBytes,
  derive: (project: Project): Derived => derive(project),
  /** What would cure a panel that does not develop. */
  remedies: ({ lines, panel }: { readonly lines: LinesTable; readonly panel: string }): PanelRemedy[] =>
    findRemedies(lines, panel),
  /** How well the panels will meet. */
  gaps: (project: Project): Gaps => {
    const { lines, panels, frames } = createDerive()(project);
    const held = frames.value.frames.map((frame) => ({ id: frame.id, plane: planeOf(frame) }));
    return gapsOfBoat(
      { project, hull: lines.value, value: panels.value, frames: held },
      { builds: BUILDS, seed: BUILDS_SEED },
    );
  },
  /** A panel of the boat as a card. */
  cardOf: ({ project, panel }: { readonly project: Project; readonly panel: string }): CardOfPanel => {
    const { lines, panels, frames } = createDerive()(project);
    const own = panels.value.panels.find(({ id }) => id === panel);
    const thickness = thicknessOf(own ?? {}, project.panels.thickness);
    const xs = frames.value.frames.map(({ x }) => x).sort((a, b) => a - b);
    return cardOfPanel(lines.value, { panel, frames: xs, thickness });
  },
  /** The edges of a card as it is bent, fine enough for a table. */
  cardEdges: (card: Card): CardEdges => {
    const made = bendCard(card);
    if (!made.ok) return made;
    const { problem, lower, upper } = made.bent;
    if (problem !== undefined) return { ok: false, problem: { why: 'other', words: problem } };
    return { ok: true, edges: { lower, upper } };
  },
  card: ({ project, options }: { readonly project: Project; readonly options: CardOptions }): CardModel =>
    cardModel(project, createDerive()(project), options),
  exportList: async (from: ExportFrom): Promise<ExportList> => (await import('./exports')).listExports(from),
  exportFile: async ({ from, ask }: { readonly from: ExportFrom; readonly ask: ExportAsk }) =>
    (await import('./exports')).makeExport(from, ask),
  exportPages: async ({
    from,
    ...ask
  }: {
    readonly from: ExportFrom;
    readonly file: string;
    readonly layout: TileLayout;
  }) => (await import('./exports')).countPages(from, ask),
  cardPdf: async (input: CardPdf) => (await import('./exports')).makeCardPdf(input),
  /** What changed from one revision of a boat to another. */
  revisions: ({ was, now }: { readonly was: Project; readonly now: Project }): RevisionChanges => {
    const worked = (project: Project) => ({ project, derived: createDerive()(project) });
    return changesBetween(worked(was), worked(now));
  },
  /** Cut parts against the boat as it is drawn now. */
  compareParts: movedParts,
  nest: ({ job, seed, seconds }: NestInput, onProgress: (progress: NestProgress) => void): NestResult => {
    const start = performance.now();
    const result = nest(job, {
      seed,
      rounds: 1e9,
      isOver: () => performance.now() - start > seconds * 1000,
      onProgress: (best, round) => onProgress({ result: best, round }),
    });
    const faults = faultsOf(job, result);
    if (faults.length > 0) throw new Error(`The layout found breaks its own rules: ${faults[0]}`);
    return result;
  },
  /** Where the panels might be joined instead, so that fewer sheets do. */
  jointPlans: ({ project, seed, seconds }: JointPlansAsk, onProgress: (plans: JointPlans) => void): JointPlans => {
    const start = performance.now();
    const { panels, frames, fitout, setup } = createDerive()(project);
    const values = { panels: panels.value, frames: frames.value, fitout: fitout.value, setup: setup.value };
    const input = jointPlansInput({ project, values });
    const isOver = () => performance.now() - start > seconds * 1000;
    return findJointPlans(input, { seed, most: MOST_PLANS, isOver, onProgress });
  },
  /** A simulated cutter run over every sheet. */
  cutter: ({ sheets, machine }: CutterAsk): CutSheet[] =>
    sheets.map(({ sheet, job }) => {
      const file = cutFileOf(sheet, job, machine, []);
      return { run: runCutter(file, machine), parts: file.contours.map(({ part }) => part ?? '') };
    }),
  /** The same over a file of a machine's, wherever it was made. */
  cutterFile: ({ text, machine }: { readonly text: string; readonly machine: SheetsPart['machine'] }): CutFileRun => {
    const read = readCutFile(text);
    return read.ok ? { ok: true, run: runCutter(read.file, machine) } : { ok: false, problem: read.problem };
  },
  /** What sticks to buy, by a solver that is fetched when it is first asked for. */
  timber: async ({ job, seconds }: TimberAsk): Promise<TimberResult> => {
    const start = performance.now();
    const solve = await (await import('./load-solver')).loadSolver();
    const gone = () => (performance.now() - start) / 1000;
    return planTimber(job, { solve, seconds, rounds: TIMBER_ROUNDS, gone });
  },
};

/** Boats built by chance, always the same ones. */
const BUILDS = 200;
const BUILDS_SEED = 1;

const TIMBER_ROUNDS = 20_000;

/** More than are tried in the longest time that is asked for. */
const MOST_PLANS = 400;

export type JobName = keyof typeof JOBS;
export type JobInput<K extends JobName> = Parameters<(typeof JOBS)[K]>[0];
export type JobOutput<K extends JobName> = Awaited<ReturnType<(typeof JOBS)[K]>>;
export type JobProgress<K extends JobName> =
  Parameters<(typeof JOBS)[K]> extends [unknown, (progress: infer P) => void] ? P : never;

/** What comes of asking for a job. */
export type JobResult<T> =
  | { readonly kind: 'ok'; readonly value: T; readonly restarted?: string }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly message: string };
