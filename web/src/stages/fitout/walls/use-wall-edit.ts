/** Edits of one wall, each with what it is called in the list of what can be undone. */
import { WALLS_PATH, type WallPlan } from '@kalotrope/core/fitout';
import { useListEdit } from '../use-list-edit';

export const useWallEdit = (plan: Pick<WallPlan, 'id' | 'name'>) => useListEdit(WALLS_PATH, plan);
