/** Everything that there is to draw and print from: the project, what was derived, what searches found. */
import type { Panel } from '../panels';
import type { Derived, Found, Values, Whole } from './chain';
import { CHAIN, type Project } from './document';

export function wholeOf(project: Project, derived: Derived, found: Found): Whole<Project> {
  const entries = CHAIN.map(({ name }) => [name, derived[name].value]);
  const values = Object.fromEntries(entries) as unknown as Values; // a value a stage, by the names of the list
  const whole: Whole<Project> = {
    project,
    values,
    found,
    marksOn: (panel: Panel) => CHAIN.flatMap(({ marksOn }) => marksOn?.(panel, whole) ?? []),
  };
  return whole;
}
