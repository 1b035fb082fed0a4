/** Everything that there is to draw and print from: the project, what was derived, what searches found. */
import type { ExportTable, PaperSheets, SheetPaper } from '../formats';
import { isImperial, type Notation } from '../measure';
import type { Panel } from '../panels';
import type { Derived, Found, StageName, Values, Whole } from './chain';
import { CHAIN, type Project } from './document';
import { shoppingList, shoppingSheets, shoppingTable } from './shopping-list';

/** What sheets are printed on, and when: as the place and the day of printing have it. */
export type Printing = {
  readonly paper?: SheetPaper | undefined;
  readonly date?: string | undefined;
  /** The address at which the application is, for what leads back to it. */
  readonly home?: string | undefined;
};

/** What is common where lengths are in this notation. */
export const usualPaper = (notation: Notation): SheetPaper => (isImperial(notation) ? 'Letter' : 'A4');

export function wholeOf(project: Project, derived: Derived, found: Found, printing: Printing = {}): Whole<Project> {
  const { name: boat, revision, notation } = project;
  const entries = CHAIN.map(({ name }) => [name, derived[name].value]);
  const values = Object.fromEntries(entries) as unknown as Values; // a value a stage, by the names of the list
  const whole: Whole<Project> = {
    project,
    values,
    found,
    sheetHead: { boat, revision, notation, paper: printing.paper ?? usualPaper(notation), date: printing.date ?? '' },
    marksOn: (panel: Panel) => CHAIN.flatMap(({ marksOn }) => marksOn?.(panel, whole) ?? []),
  };
  return whole;
}

/** All that is bought for the boat stands with the last of the stages that buy. */
const buysLast = (stage: StageName): boolean => [...CHAIN].reverse().find(({ buys }) => buys)?.name === stage;

/** What a stage gives to take to the shop. */
export const sheetsOfStage = (stage: StageName, whole: Whole<Project>): readonly PaperSheets[] => [
  ...(CHAIN.find(({ name }) => name === stage)?.sheets?.(whole) ?? []),
  ...(buysLast(stage) ? [shoppingSheets(whole)] : []),
];

/** The tables that it prints. */
export const tablesOfStage = (stage: StageName, whole: Whole<Project>): readonly ExportTable[] => [
  ...(CHAIN.find(({ name }) => name === stage)?.tables?.(whole) ?? []),
  ...(buysLast(stage) ? [shoppingTable(shoppingList(whole))] : []),
];
