/** Edits of one part, each with what it is called in the list of what can be undone. */
import { INSIDE_PATH, type InsidePlan } from '@kalotrope/core/fitout';
import { useListEdit } from './use-list-edit';

export const useInsideEdit = (plan: Pick<InsidePlan, 'id' | 'name'>) => useListEdit(INSIDE_PATH, plan);
