/** What lies inside fitted: each part after what it stands on. */
import { FIT_PART, FIT_PART_M } from '../constants';
import { dry, lower, MM_PER_M, type BoatToBuild } from './boat';
import { after } from './epoxy-work';
import type { WorkJob } from './job';

/** The ids of all. */
export function insideFitted({ inside, plans }: BoatToBuild, jobs: WorkJob[]): string[] {
  const own = inside.filter(({ pieces, supports }) => pieces.length > 0 || supports.length > 0);
  const onto = (plan: string): string | null | undefined =>
    plans.walls.find(({ id }) => id === plan)?.lower.onPart ?? plans.knees.find(({ id }) => id === plan)?.onPart;
  const fitted = own.map(({ id, plan, name, hand, pieces, supports }): WorkJob => {
    const skinM = pieces.flatMap(({ atSkin }) => atSkin).reduce((sum, { lengthMm }) => sum + lengthMm, 0) / MM_PER_M;
    const underM = supports.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / MM_PER_M;
    const on = onto(plan);
    return dry({
      ...{ does: 'fit', id: `fit.${id}`, name: `Fit ${lower(name)}`, group: 'inside', parts: [name] },
      minutes: (FIT_PART.value + FIT_PART_M.value * (skinM + underM)) * (hand === 'pair' ? 2 : 1),
      needs: [
        after('turn.back'),
        ...(jobs.some((job) => job.id === `cut.inside.${id}`) ? [after(`cut.inside.${id}`)] : []),
        ...(jobs.some((job) => job.id === 'saw') ? [after('saw')] : []),
        ...own.filter((other) => other.plan === on && other.id !== id).map((other) => after(`fit.${other.id}`)),
      ],
    });
  });
  jobs.push(...fitted);
  return fitted.map(({ id }) => id);
}
