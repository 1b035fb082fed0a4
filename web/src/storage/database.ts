/** The browser's own database. Nothing outside this folder knows Dexie. */
import Dexie, { type Table } from 'dexie';
import type { Project } from '@kalotrope/core/project';

export type ProjectRecord = {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: number;
  /** Raised by each save: a window that knows a lower number must not overwrite. */
  readonly saves: number;
  /** The window that saved it last. */
  readonly writer?: string;
  /** How many findings were to be checked when it was last worked out. */
  readonly open?: number;
  readonly doc: Project;
};

/** A project that was taken out, to be put back. */
export type Deletion = { readonly key?: number; readonly deletedAt: number; readonly record: ProjectRecord };

/** What can be undone and done again, as of one save of a project. */
export type History = {
  readonly id: string;
  readonly saves: number;
  readonly past: readonly unknown[];
  readonly future: readonly unknown[];
};

/** A scan or photo that lies under a view; the project names it by id and copies of the project share it. */
export type Picture = { readonly id: string; readonly type: 'image/png' | 'image/jpeg'; readonly bytes: Uint8Array };

/** A piece that is left of a sheet of some boat, ready for another. */
export type KeptOffcut = {
  readonly id: string;
  readonly name: string;
  readonly thickness: number;
  readonly kind: string;
  readonly width: number;
  readonly height: number;
  readonly outline: { readonly x: number; readonly y: number }[];
};

/** What was really mixed, and what of it was thrown away: only ever added to. Grams, minutes, clock times in ms. */
export type PotRecord = {
  readonly key?: number;
  readonly project: string;
  readonly at: number;
  readonly job: string;
  readonly number: number;
} & (
  | {
      readonly kind: 'mixed';
      readonly a: number;
      readonly b: number;
      readonly filler: number;
      /** As it was planned. */
      readonly planned: number;
      readonly potLife: number;
      readonly shopC: number;
      readonly by: 'scale' | 'typed';
    }
  /** Of the pot mixed at `of`: what was left in it, and so its end. */
  | { readonly kind: 'emptied'; readonly of: number; readonly thrown: number }
  /** Of the pot mixed at `of`: whether its sample came hard. */
  | { readonly kind: 'sample'; readonly of: number; readonly isHard: boolean }
);

class Database extends Dexie {
  projects!: Table<ProjectRecord, string>; // set by Dexie from the stores below, and so all of these
  marks!: Table<{ key: string; value: string }, string>;
  pictures!: Table<Picture, string>;
  deletions!: Table<Deletion, number>;
  histories!: Table<History, string>;
  offcuts!: Table<KeptOffcut, string>;
  pots!: Table<PotRecord, number>;
  constructor() {
    // strict: what is said to be saved is on the disk, should the power go
    super('kalotrope', { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ projects: 'id, updatedAt', marks: 'key' });
    this.version(2).stores({ pictures: 'id' });
    this.version(3).stores({ deletions: '++key, deletedAt', histories: 'id' });
    this.version(4).stores({ offcuts: 'id' });
    this.version(5).stores({ pots: '++key, project' });
  }
}

export const db = new Database();
