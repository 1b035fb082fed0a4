/** What is looked at before a wet job is begun: once the pot is mixed there is no time to look for anything. */
import type { WorkJob } from './work/job';

const MOST_NAMED = 8;

export function beforeGlue({
  isWet,
  isPaint,
  isOneGo,
  parts,
}: Pick<WorkJob, 'isWet' | 'isPaint' | 'isOneGo' | 'parts'>): string[] {
  if (!isWet) return [];
  const named = parts.slice(0, MOST_NAMED);
  const more = parts.length - named.length;
  return [
    ...(named.length > 0
      ? [`There, fitted dry, clean and dull: ${named.join('; ')}${more > 0 ? `; ${more} more` : ''}.`]
      : []),
    ...(isPaint || isOneGo ? [] : ['Clamps, weights and film laid out, and tried on the dry joint.']),
    isPaint
      ? 'Dust wiped off; no wind, no damp, the surface warmer than the dew.'
      : 'The shop and the parts warm enough for the hardener, and to stay so until it is cured.',
    'Gloves, eyes covered, fresh air; no epoxy, dust or solvent on the skin, and the maker’s own sheet read.',
    ...(isOneGo ? ['All of it can be done before it sets: nobody is called away.'] : []),
  ];
}
