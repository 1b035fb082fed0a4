import type { Frame } from '../frame';
import type { Plate } from './timbers';

/** The plates of a frame as parts of the boat: with ids and names that no other frame's have, and their faces. */
export const platesOfFrame = (
  frame: Pick<Frame, 'id' | 'name' | 'timbered' | 'face'>,
): (Omit<Plate, 'faces'> & { readonly faces: readonly ('fore' | 'aft')[] })[] =>
  (frame.timbered?.plates ?? []).map((plate) => ({
    ...plate,
    id: `${frame.id}.${plate.id}`,
    name: `${frame.name}, ${plate.name.toLowerCase()}`,
    faces: plate.faces > 1 ? ['fore', 'aft'] : [frame.face],
  }));
