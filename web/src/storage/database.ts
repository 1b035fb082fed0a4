/** The browser's own database. Nothing outside this folder knows Dexie. */
import Dexie, { type Table } from 'dexie';
import type { LogEntry, PartRecord, PotEntry } from '@kalotrope/core/log';
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

/** A pot of some boat: only ever added to. */
export type PotRecord = PotEntry & { readonly key?: number; readonly project: string };

/** An entry of some boat's log: only ever added to. */
export type LogRecord = { readonly key?: number; readonly project: string; readonly entry: LogEntry };

/** What became of a part of some boat: only ever added to. */
export type PartLine = { readonly key?: number; readonly project: string; readonly record: PartRecord };

/** A boat as it was when somebody kept it so; never written over. */
export type KeptRevision = {
  readonly key?: number;
  readonly project: string;
  readonly name: string;
  readonly note: string;
  readonly keptAt: number;
  readonly doc: Project;
};

class Database extends Dexie {
  projects!: Table<ProjectRecord, string>; // set by Dexie from the stores below, and so all of these
  marks!: Table<{ key: string; value: string }, string>;
  pictures!: Table<Picture, string>;
  deletions!: Table<Deletion, number>;
  histories!: Table<History, string>;
  offcuts!: Table<KeptOffcut, string>;
  pots!: Table<PotRecord, number>;
  log!: Table<LogRecord, number>;
  parts!: Table<PartLine, number>;
  revisions!: Table<KeptRevision, number>;
  constructor() {
    // strict: what is said to be saved is on the disk, should the power go
    super('kalotrope', { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ projects: 'id, updatedAt', marks: 'key' });
    this.version(2).stores({ pictures: 'id' });
    this.version(3).stores({ deletions: '++key, deletedAt', histories: 'id' });
    this.version(4).stores({ offcuts: 'id' });
    this.version(5).stores({ pots: '++key, project' });
    this.version(6).stores({ log: '++key, project', parts: '++key, project' });
    this.version(7).stores({ revisions: '++key, project' });
  }
}

export const db = new Database();
