/**
 * What is done in the shop, a step at a time: as a page or a phone shows it to hands in gloves.
 *
 * Plain data, with every figure in the boat's own unit already: it is shown, ticked and read off elsewhere. What a tick
 * or a reading changes is said by the stage, by the ids.
 */
import type { Edit } from '../findings';
import type { Vec2 } from '../geometry';

/** `isLength`: in the boat's unit, which is said once. */
export type TaskFigure = { readonly label: string; readonly value: string; readonly isLength?: true };

/** What is measured at a step; lengths mm. `expects` says it in words. */
export type TaskReading = {
  readonly kind: 'length' | 'degrees';
  readonly should: number;
  readonly expects: string;
};

export type TaskStep = {
  /** Stable while the step is the same one of its task. */
  readonly id: string;
  readonly say: string;
  /** Shown large, a few at most. */
  readonly figures: readonly TaskFigure[];
  readonly hint?: string;
  readonly reading?: TaskReading;
  /** Where it is on the task's picture. */
  readonly places?: readonly Vec2[];
  /** On it, the outline of what is spoken of. */
  readonly shape?: readonly Vec2[];
  /** As long as a clock runs for it. */
  readonly minutes?: number;
};

/** What is in a pot of glue once a step of its task is ticked: kept in the record of pots. Grams, minutes, °C. */
export type TaskPot = {
  readonly step: string;
  readonly job: string;
  readonly number: number;
  readonly a: number;
  readonly b: number;
  readonly filler: number;
  readonly planned: number;
  readonly potLife: number;
  readonly shopC: number;
};

export type Task = {
  /** Stable while the task is the same; unlike any other of its stage. */
  readonly id: string;
  readonly name: string;
  /** Which hand: what is for port and what is for starboard are never one task. */
  readonly hand?: 'port' | 'starboard';
  /** What it is of, small, as it lies before one; y up. */
  readonly picture?: readonly Vec2[];
  /** What is done to it: tasks of one kind stand together. */
  readonly kind: string;
  readonly steps: readonly TaskStep[];
  readonly pot?: TaskPot;
};

/** A reading at a step: what was found, or that it was looked at and is on its mark. */
export type TaskRead = { readonly task: string; readonly step: string; readonly value: number | 'true' };

/** What a stage keeps in the project of a task that is done, or of a reading: edits; nothing where it keeps none. */
export type KeepsTasks<Part> = {
  readonly done?: (part: Part, task: string, isDone: boolean) => readonly Edit[];
  readonly read?: (part: Part, read: TaskRead) => readonly Edit[];
};
