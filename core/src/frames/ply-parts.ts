import type { Region } from '../geometry';
import type { Frame } from './frame';
import type { Girder } from './girder/girder';
import type { Rim } from './rims';

/** A part of plywood that goes on another: gusset, doubler, lid. */
export type PlyPart = {
  readonly id: string;
  readonly name: string;
  readonly isPair: boolean;
  readonly region: Region;
  readonly thicknessMm: number;
  /** One for each; none where it is on neither face, as a lid. */
  readonly faces: readonly ('fore' | 'aft')[];
};

const onNoFace = (rim: Rim): PlyPart => ({ ...rim, faces: [] });

/** What goes on a frame, with ids and names that no other's have. */
export const plyPartsOfFrame = (frame: Pick<Frame, 'id' | 'name' | 'timbered' | 'face' | 'rims'>): PlyPart[] => [
  ...(frame.timbered?.plates ?? []).map(({ id, name, isPair, outline, thicknessMm, faces }): PlyPart => ({
    ...{ isPair, thicknessMm, region: { outline, holes: [] } },
    id: `${frame.id}.${id}`,
    name: `${frame.name}, ${name.toLowerCase()}`,
    faces: faces > 1 ? ['fore', 'aft'] : [frame.face],
  })),
  ...frame.rims.map(onNoFace),
];

export const rimsOfGirder = ({ rims }: Pick<Girder, 'rims'>): PlyPart[] => rims.map(onNoFace);
