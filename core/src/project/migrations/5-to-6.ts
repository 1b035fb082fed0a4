import type { Json, Migration } from './migration';

/**
 * How transoms stand to the panels, which they capped till then; up to which line the bottom is sheathed. Holes nearer
 * than 20 mm, which were allowed till then, are none; of two lines or frames of one id the later gets one of its own.
 */
export const from5To6: Migration = (before) => ({
  ...before,
  version: 6,
  lines: withOwnIds(before['lines'], 'longitudinals'),
  frames: withOwnIds(before['frames'], 'frames'),
  panels: { ...withHoles(before['panels'] as Json | undefined), transomFit: 'caps', transomEnds: 'inner' },
  epoxy: { ...(before['epoxy'] as Json | undefined), sheatheTo: null },
});

function withHoles(panels: Json | undefined): Json {
  const stitches = panels?.['stitches'] as Json | undefined;
  const spacing = stitches?.['spacing'];
  const isTooClose = typeof spacing === 'number' && spacing > 0 && spacing < 20;
  return { ...panels, ...(isTooClose ? { stitches: { ...stitches, spacing: 0 } } : {}) };
}

function withOwnIds(part: unknown, key: string): unknown {
  if (typeof part !== 'object' || part === null) return part;
  const list = (part as Json)[key];
  if (!Array.isArray(list)) return part;
  const taken = new Set<unknown>();
  const own = list.map((item: unknown) => {
    if (typeof item !== 'object' || item === null) return item;
    const { id } = item as Json;
    let free = id;
    for (let k = 2; typeof id === 'string' && taken.has(free); k++) free = `${id.slice(0, 35)}-${k}`;
    taken.add(free);
    return free === id ? item : { ...item, id: free };
  });
  return { ...part, [key]: own };
}
