/** A newer plan of the same boat, taken from a file: whether it is one, and the edits by which it is taken. */
import type { Edit } from '../../findings';
import { logStage } from '../../log';
import { planStage } from '../../plan';
import { isSame } from '../../stage';
import type { Project } from '../document';
import { backTo } from './changes';

const named = ({ name }: Project): string => name.trim().toLowerCase();

/** Of the same name, and not the very same plan. */
export const isOtherPlanOf = (came: Project, present: Project): boolean =>
  named(came) === named(present) && !isSame({ ...came, id: '' }, { ...present, id: '' });

/** How one works oneself, and not how the boat is drawn. */
const OWN: readonly string[] = [planStage.name, logStage.name];

/** The plan as the next revision. What was read of this boat, one's own hours, jobs that are done and budget stay. */
export function newerPlan(came: Project, present: Project): Edit[] {
  const { readings, faults, sides, floor } = present.setup;
  const drawn = { ...came, setup: { ...came.setup, readings, faults, sides, floor } };
  return backTo(drawn, present).filter(({ path }) => !OWN.some((name) => name === path[0]));
}
