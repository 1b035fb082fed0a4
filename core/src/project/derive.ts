/**
 * From a project to everything that follows from it, stage by stage, with a memory.
 *
 * A stage reads the project and the earlier results through a reader that notes what is read (stage/reader.ts): as long
 * as all of that is the same, its last answer stands, and so does the one before it, for what is undone. What a stage
 * makes in parts it remembers itself (stage/remember.ts).
 */
import type { Finding, StageResult } from '../findings';
import { ANSWERS_KEPT, createMemory, readerOf, type Memory, type Reader } from '../stage';
import type { ChainStage, Derived, Found } from './chain';
import { CHAIN, type Project } from './document';
import { wholeOf } from './whole';

export type Derive = ((project: Project) => Derived) & {
  /** What the last call computed anew: stages by name, and their parts by what the stages call them. */
  readonly lastComputed: () => readonly string[];
};

type Sources = { readonly project: Project; readonly values: Readonly<Record<string, unknown>> };
type Last = { readonly reader: Reader<Sources>; readonly result: StageResult<unknown> };
type Link = { readonly stage: ChainStage<Project>; readonly memory: Memory; last: readonly Last[] };

/** Values of the project's parts are handed out field by field, earlier results whole. */
const DEPTHS = { project: 3, values: 2 };

/** A chain with its own memory; keep one for each open project. */
export function createDerive(stages: readonly ChainStage<Project>[] = CHAIN): Derive {
  let computed: string[] = [];
  const links = stages.map((stage): Link => ({
    stage,
    memory: createMemory((id) => computed.push(id)),
    last: [],
  }));
  const derive = (project: Project): Derived => {
    computed = [];
    const results: Record<string, StageResult<unknown>> = {};
    const values: Record<string, unknown> = {};
    for (const link of links) {
      const { name } = link.stage;
      const result = resultOf(link, { project, values: { ...values } }, () => computed.push(name));
      results[name] = result;
      values[name] = result.value;
    }
    return results as unknown as Derived; // a result a stage, by the names of the list
  };
  return Object.assign(derive, { lastComputed: () => computed });
}

function resultOf(link: Link, sources: Sources, onMade: () => void): StageResult<unknown> {
  const holds = link.last.find(({ reader }) => reader.stillHolds(sources));
  if (holds) {
    link.last = [holds, ...link.last.filter((one) => one !== holds)];
    return holds.result;
  }
  const { stage, memory } = link;
  const reader = readerOf(sources, DEPTHS);
  const { project } = reader.view;
  const part = project[stage.name] as never; // its own part, by its own name
  const before = reader.view as Parameters<typeof stage.run>[1]; // later values are not there yet, and not read
  const result = stage.run(part, before, memory.remember);
  memory.settle();
  link.last = [{ reader, result }, ...link.last].slice(0, ANSWERS_KEPT);
  onMade();
  return result;
}

/** All findings in the order of the stages, with what is judged of searches that have found something. */
export function allFindings(
  derived: Derived,
  searched?: { readonly project: Project; readonly found: Found },
): Finding[] {
  return CHAIN.flatMap(({ name }) => findingsOf(name, derived, searched));
}

/** Those of one stage. */
export function findingsOf(
  name: keyof Derived,
  derived: Derived,
  searched?: { readonly project: Project; readonly found: Found },
): Finding[] {
  const stage = CHAIN.find((other) => other.name === name);
  const own: readonly Finding[] = derived[name].findings;
  if (!stage?.judgeFound || !searched) return [...own];
  return [...own, ...stage.judgeFound(wholeOf(searched.project, derived, searched.found))];
}

/** A search of every stage that has one, by so many rounds: exactly repeatable. */
export function searchAll(project: Project, derived: Derived, rounds: number): Found {
  const whole = wholeOf(project, derived, {});
  return Object.fromEntries(CHAIN.flatMap(({ name, search }) => (search ? [[name, search(whole, rounds)]] : [])));
}
