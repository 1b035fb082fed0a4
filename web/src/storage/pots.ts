/** The record of pots, beside the project: only added to, so that an undo of the design takes nothing out of it. */
import { db, type PotRecord } from './database';

export type { PotRecord } from './database';
export type MixedPot = Extract<PotRecord, { kind: 'mixed' }>;

/** In the order in which they were mixed. */
export const potsOf = (project: string): Promise<PotRecord[]> => db.pots.where('project').equals(project).sortBy('at');

export const addPotRecord = async (record: PotRecord): Promise<void> => {
  await db.pots.add(record);
};

const WEATHER_KEY = 'forecast';

/** The forecast as it was pasted: the workshop's, not any one boat's. */
export const keptForecast = async (): Promise<string> => (await db.marks.get(WEATHER_KEY))?.value ?? '';
export const keepForecast = async (value: string): Promise<void> => {
  await db.marks.put({ key: WEATHER_KEY, value });
};

const boughtKey = (project: string): string => `bought ${project}`;

/** Ids of the lines of the shopping list that are bought. */
export async function boughtFor(project: string): Promise<readonly string[]> {
  const kept = (await db.marks.get(boughtKey(project)))?.value;
  return kept === undefined ? [] : kept.split('\n');
}
export const keepBought = async (project: string, ids: readonly string[]): Promise<void> => {
  await db.marks.put({ key: boughtKey(project), value: ids.join('\n') });
};
