/** Edits of one block, each with what it is called in the list of what can be undone. */
import { BLOCKS_PATH, type BlockPlan } from '@kalotrope/core/fitout';
import { useListEdit } from '../use-list-edit';

export const useBlockEdit = (plan: Pick<BlockPlan, 'id' | 'name'>) => useListEdit(BLOCKS_PATH, plan);
