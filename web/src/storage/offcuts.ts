/** The rack of offcuts: what is left of sheets, for the boats after. It is the workshop's, not any one boat's. */
import { db, type KeptOffcut } from './database';

export type { KeptOffcut } from './database';

export const offcutsOnRack = (): Promise<KeptOffcut[]> => db.offcuts.toArray();

export const putOnRack = async (offcut: KeptOffcut): Promise<void> => {
  await db.offcuts.put(offcut);
};

/** Gone from the rack: it is in a boat's stock now, or thrown away. */
export const takeOffRack = async (id: string): Promise<void> => {
  await db.offcuts.delete(id);
};
