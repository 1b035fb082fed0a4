/**
 * Pictures in the browser's own database. One that is stored is never written over: whoever names it gets the same.
 * Never taken out, since an undo may bring it back. What the store refuses is kept in this window and tried again.
 */
import { db, type Picture } from './database';

export type { Picture } from './database';

const held = new Map<string, Picture>();

/** Whether all are stored; those that are not are held. */
export async function addPictures(pictures: readonly Picture[]): Promise<boolean> {
  for (const picture of pictures) held.set(picture.id, picture);
  return storeHeld();
}

/** Tries to store what is held; never rejects. */
export async function storeHeld(): Promise<boolean> {
  for (const picture of [...held.values()]) {
    try {
      if (!(await db.pictures.get(picture.id))) await db.pictures.add(picture);
      held.delete(picture.id);
    } catch {
      return false;
    }
  }
  return true;
}

export const loadPicture = async (id: string): Promise<Picture | undefined> => held.get(id) ?? db.pictures.get(id);
