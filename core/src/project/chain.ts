/**
 * The stages in the order of the work: the one list of them in the core.
 *
 * The project's document, what is derived from it, the findings and their sentences, what goes out as files and the
 * tables in the docs all follow from this list. A stage may use the results of those before it.
 */
import type { z } from 'zod';
import type { Notation } from '../measure';
import { epoxyStage } from '../epoxy';
import type { Catalogue, Edit, Finding, StageResult } from '../findings';
import type { Drawing, ExportTable, PaperSheets, SheetHead, Triangle } from '../formats';
import { framesStage } from '../frames';
import { fitoutStage } from '../fitout';
import { jointsStage } from '../joints';
import { linesStage } from '../lines';
import { logStage } from '../log';
import { panelsStage, type Panel } from '../panels';
import { planStage } from '../plan';
import { setupStage } from '../setup';
import { sheetsStage } from '../sheets';
import type { BuyLine, Constants, FindingOf, KeepsTasks, Marks, Remember, Task } from '../stage';
import { timberStage } from '../timber';
import { weightsStage } from '../weights';

export const STAGES = [
  linesStage,
  panelsStage,
  framesStage,
  setupStage,
  fitoutStage,
  jointsStage,
  sheetsStage,
  timberStage,
  epoxyStage,
  weightsStage,
  planStage,
  logStage,
] as const;

type Listed = (typeof STAGES)[number];
export type StageName = Listed['name'];

/** The stages' parts of what a project decides. */
export type Parts = { [S in Listed as S['name']]: z.infer<S['schema']> };

type ValueOf<S> = S extends { readonly run: (...args: never) => StageResult<infer V, infer _> } ? V : never;
/** What the stages make of it. */
export type Values = { readonly [S in Listed as S['name']]: ValueOf<S> };
/** The same with what they find. */
export type Derived = { readonly [S in Listed as S['name']]: StageResult<ValueOf<S>, FindingOf<S>> };

type FindsOf<S> = S extends { readonly search?: (...args: never) => infer Finds } ? Finds : never;
/** What long searches found and what was done, by stage; a stage is missing until there is something. */
export type Found = { readonly [S in Listed as [FindsOf<S>] extends [never] ? never : S['name']]?: FindsOf<S> };

/** Everything there is to draw and print from. */
export type Whole<Document> = {
  readonly project: Document;
  readonly values: Values;
  readonly found: Found;
  readonly marksOn: (panel: Panel) => readonly Marks[];
  /** Whose sheets of paper they are, and which paper. */
  readonly sheetHead: SheetHead;
};

/** A stage as the chain uses it: what it needs must be there, as the type of the list below shows. */
export type ChainStage<Document> = {
  readonly name: StageName;
  readonly title: string;
  readonly schema: z.ZodType;
  readonly begin: (others: Parts, notation: Notation) => unknown;
  readonly catalogue: Catalogue;
  readonly constants: Constants;
  readonly run: (
    part: never,
    before: { readonly project: Document; readonly values: Values },
    remember: Remember,
  ) => StageResult<unknown, Finding>;
  readonly follow?: (change: {
    readonly before: never;
    readonly after: never;
    readonly edits: readonly Edit[];
  }) => readonly Edit[];
  readonly search?: (whole: Whole<Document>, rounds: number) => unknown;
  readonly judgeFound?: (whole: Whole<Document>) => readonly Finding[];
  readonly drawings?: (whole: Whole<Document>) => readonly Drawing[];
  readonly sheets?: (whole: Whole<Document>) => readonly PaperSheets[];
  readonly tasks?: (whole: Whole<Document>) => readonly Task[];
  readonly keeps?: KeepsTasks<never>;
  readonly buys?: (whole: Whole<Document>) => readonly BuyLine[];
  readonly marksOn?: (panel: Panel, whole: Whole<Document>) => Marks;
  readonly tables?: (whole: Whole<Document>) => readonly ExportTable[];
  readonly triangles?: (whole: Whole<Document>) => readonly Triangle[];
};
