/** Edits of one person, each with what it is called in the list of what can be undone. */
import { PEOPLE_PATH, type PersonPlan } from '@kalotrope/core/fitout';
import { useListEdit } from '../use-list-edit';

export const usePersonEdit = (plan: Pick<PersonPlan, 'id' | 'name'>) => useListEdit(PEOPLE_PATH, plan);
