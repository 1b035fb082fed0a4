/** New projects: every stage's part as it begins, around what is given. */
import type { Longitudinal } from '../lines';
import type { Notation } from '../measure';
import type { Parts } from './chain';
import { CHAIN, PROJECT_FORMAT, PROJECT_VERSION, type Project } from './document';

export type NewProject = {
  readonly id: string;
  readonly name: string;
  readonly notation: Notation;
} & Partial<Parts>;

/** A project around the parts given, such as a table of lines; the others begin as their stages say. */
export function newProject({ id, name, notation, ...given }: NewProject): Project {
  let parts = {} as Parts; // grows stage by stage to all of them
  for (const stage of CHAIN) parts = { ...parts, [stage.name]: given[stage.name] ?? stage.begin(parts, notation) };
  return {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    id,
    name,
    note: '',
    revision: 1,
    notation,
    school: 'filleted',
    ...parts,
  };
}

/** Rows of line, station, x, half-breadth, height as longitudinals, in the order in which the lines first come. */
export function longitudinalsOf(rows: readonly (readonly [string, string, number, number, number])[]): Longitudinal[] {
  const ids = [...new Set(rows.map(([line]) => line))];
  return ids.map((id) => ({
    id,
    name: id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' '),
    points: rows
      .filter(([line]) => line === id)
      .map(([, station, x, halfBreadth, height]) => ({ station, x, halfBreadth, height })),
  }));
}
