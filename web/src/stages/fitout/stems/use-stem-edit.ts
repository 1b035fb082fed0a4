/** Edits of one outer stem, each with what it is called in the list of what can be undone. */
import { STEMS_PATH, type StemPlan } from '@kalotrope/core/fitout';
import { useListEdit } from '../use-list-edit';

export const useStemEdit = (plan: Pick<StemPlan, 'id' | 'name'>) => useListEdit(STEMS_PATH, plan);
