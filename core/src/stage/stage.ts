/**
 * What a stage is: everything that the rest of the program needs to know of it, in one object.
 *
 * `Before` and `Whole` are written by each stage as what it needs of the project and of other stages' results; that the
 * chain can give it is checked where the list is (project/chain.ts), so a stage knows no list and no stage after it.
 */
import type { z } from 'zod';
import type { Catalogue, Edit, Finding, FindingsOf, StageResult } from '../findings';
import type { Drawing, DrawnPath, DrawnText, ExportTable, PaperSheets, Triangle } from '../formats';
import type { Notation } from '../measure';
import type { BuyLine } from './buy';
import type { Constants } from './constant';
import type { Remember } from './remember';
import type { KeepsTasks, Task } from './task';

/** What is marked on a panel by other stages than the one that develops it. */
export type Marks = { readonly paths: readonly DrawnPath[]; readonly texts: readonly DrawnText[] };

export type Stage<
  Name extends string,
  Schema extends z.ZodType,
  Sentences extends Catalogue,
  Value,
  Finds,
  Needs extends StageNeeds,
> = {
  /** Also the name of its part in the project's file and of its folders. */
  readonly name: Name;
  /** As screens and documents call it. */
  readonly title: string;
  readonly schema: Schema;
  /** Its part of a new project, at the usual values of the builder's own rule, beside the parts before it. */
  readonly begin: (others: Needs['others'], notation: Notation) => z.infer<Schema>;
  readonly catalogue: Sentences;
  readonly constants: Constants;
  /** Pure. `part` and `before` note what is read of them: that alone decides whether the answer is worked out anew. */
  readonly run: (
    part: Readonly<z.infer<Schema>>,
    before: Needs['before'],
    remember: Remember,
  ) => StageResult<Value, FindingsOf<Sentences>>;
  /** What else edits of its part have to move, told the part before and after them. */
  readonly follow?: (change: {
    readonly before: z.infer<Schema>;
    readonly after: z.infer<Schema>;
    readonly edits: readonly Edit[];
  }) => readonly Edit[];
  /** A long search on its value, repeatable by its rounds; what it finds is kept beside the value. */
  readonly search?: (whole: Needs['whole'], rounds: number) => Finds;
  /** What was done is kept beside the project and handed to the stage as what a search finds; this is none of it. */
  readonly records?: Finds;
  /** Judges what a search found, or what was done, for the value as it now is. */
  readonly judgeFound?: (whole: Needs['whole']) => readonly FindingsOf<Sentences>[];
  /** What it draws at full size. */
  readonly drawings?: (whole: Needs['whole']) => readonly Drawing[];
  /** What one takes to the shop on paper. */
  readonly sheets?: (whole: Needs['whole']) => readonly PaperSheets[];
  /** What there is to do for it in the shop, a step at a time. */
  readonly tasks?: (whole: Needs['whole']) => readonly Task[];
  /** What of that it keeps in the project. */
  readonly keeps?: KeepsTasks<z.infer<Schema>>;
  /** What it marks on a panel that another stage draws. */
  readonly marksOn?: (panel: Needs['panel'], whole: Needs['whole']) => Marks;
  /** The tables it prints. */
  readonly tables?: (whole: Needs['whole']) => readonly ExportTable[];
  /** What is bought for it, as far as its searches have found it. */
  readonly buys?: (whole: Needs['whole']) => readonly BuyLine[];
  /** What it adds to a mesh of the boat. */
  readonly triangles?: (whole: Needs['whole']) => readonly Triangle[];
};

/** What a stage needs: of other parts to begin, of what came before to run, of the whole to draw. */
export type StageNeeds = {
  readonly others: object;
  readonly before: object;
  readonly whole: object;
  readonly panel: object;
};

/** Fixes a stage's name and types as they are written. */
export const defineStage =
  <Needs extends Partial<StageNeeds>>() =>
  <const Name extends string, Schema extends z.ZodType, Sentences extends Catalogue, Value, Finds = never>(
    stage: Stage<Name, Schema, Sentences, Value, Finds, FullNeeds<Needs>>,
  ) =>
    stage;

type FullNeeds<N extends Partial<StageNeeds>> = {
  [K in keyof StageNeeds]: N[K] extends object ? N[K] : object;
};

/** The findings of a stage's catalogue. */
export type FindingOf<S> = S extends { readonly catalogue: infer C extends Catalogue } ? FindingsOf<C> : Finding;
