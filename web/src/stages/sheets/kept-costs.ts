/** What a layout came to that others are compared with, for as long as the page is open. */
import type { WhereItGoes } from '@kalotrope/core/sheets';

export type KeptCosts = { readonly sheets: number; readonly price: string; readonly area: WhereItGoes };

const kept = new Map<string, KeptCosts>();

export const keptCosts = (project: string): KeptCosts | null => kept.get(project) ?? null;

export function keepCosts(project: string, costs: KeptCosts | null): void {
  if (costs) kept.set(project, costs);
  else kept.delete(project);
}
