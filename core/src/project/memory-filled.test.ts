/** What is derived with a memory is what is derived without one, where every list and choice is filled. */
import { describe, expect, it } from 'vitest';
import { BOATS, dealt, filled, isOfPoint, oneOfEach, pathsOf, SEED, tried, wrongLeaves } from './fixtures/filled';

describe('the memory of what is derived', () => {
  // in halves: there are hundreds, and each works a whole boat out anew
  it.each(BOATS.flatMap((demo) => [0, 1].map((half) => [demo, half] as const)))(
    'of %s with every list and choice filled: likewise, half %i',
    (demo, half) => {
      const project = filled(demo);
      const kinds = oneOfEach(tried(project, SEED + 1).filter((leaf) => !isOfPoint(leaf)));
      const leaves = dealt(demo, kinds, BOATS.length).filter((_, i) => i % 2 === half);
      expect(pathsOf(wrongLeaves(project, leaves))).toEqual([]);
    },
  );
});
