/** Everything that is decided of what lies inside and on top, and of who is there. */
import {
  BLOCKS_PATH,
  INSIDE_PATH,
  KNEES_PATH,
  PEOPLE_PATH,
  STEMS_PATH,
  WALLS_PATH,
  type BlockPlan,
  type InsidePlan,
  type KneePlan,
  type PersonPlan,
  type StemPlan,
  type WallPlan,
} from '@kalotrope/core/fitout';
import type { Edit } from '@kalotrope/core/findings';

export type InsidePlans = {
  readonly parts: readonly InsidePlan[];
  readonly walls: readonly WallPlan[];
  readonly blocks: readonly BlockPlan[];
  readonly stems: readonly StemPlan[];
  readonly knees: readonly KneePlan[];
  readonly people: readonly PersonPlan[];
};

type Listed = InsidePlan | WallPlan | BlockPlan | StemPlan | KneePlan | PersonPlan;

/** All of them, in the order of the lists. */
export const allPlans = ({ parts, walls, blocks, stems, knees, people }: InsidePlans): readonly Listed[] => [
  ...parts,
  ...walls,
  ...blocks,
  ...stems,
  ...knees,
  ...people,
];

/** Each list without one thing, where it has it. */
export function takenOut({ parts, walls, blocks, stems, knees, people }: InsidePlans, id: string): Edit[] {
  const lists: readonly { readonly path: Edit['path']; readonly list: readonly Listed[] }[] = [
    { path: INSIDE_PATH, list: parts },
    { path: WALLS_PATH, list: walls },
    { path: BLOCKS_PATH, list: blocks },
    { path: STEMS_PATH, list: stems },
    { path: KNEES_PATH, list: knees },
    { path: PEOPLE_PATH, list: people },
  ];
  return lists
    .filter(({ list }) => list.some((one) => one.id === id))
    .map(({ path, list }) => ({ path, value: list.filter((one) => one.id !== id) }));
}
