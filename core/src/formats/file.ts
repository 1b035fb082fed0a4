/** Files as they go out, and names that any file system takes. */

export type ExportFile = {
  readonly name: string;
  readonly content: string | Uint8Array;
  /** The builder's own copy of the project, from which all is made again. */
  readonly isProject?: boolean;
};

/** A table that goes out as CSV: `name` is the file's, without its ending; `title` says in words what it is. */
export type ExportTable = { readonly name: string; readonly title: string; readonly csv: string };

/** A name that any file system takes. */
export const fileName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9.-]+/g, '-')
    .replace(/^[-.]+|[-.]+$/g, '')
    .slice(0, 80) || 'part';
