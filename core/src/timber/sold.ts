/**
 * In which sections timber is sold, and which of them a piece comes out of: planed timber is thinner than its name.
 *
 * Of the sections that hold a piece, either way round, those that take the least timber for all that are wanted: out of
 * each as many are ripped, side by side and over one another, as fit with a kerf between. Lengths mm.
 */
import { MM_PER_INCH } from '../measure';
import { INCH_PLANED, PLANED_OFF, SAWN } from './constants';
import type { SoldIn } from './schema';

export type SoldSection = {
  /** As one asks for it. */
  readonly name: string;
  /** As it is: planed. */
  readonly width: number;
  readonly depth: number;
};

/** Of a section that is sold, with how many pieces come out of it. */
export type SoldFor = SoldSection & { readonly each: number };

const crossed = <T>(all: readonly T[], thin: (one: T) => number, make: (thick: T, wide: T) => SoldSection) =>
  all.flatMap((thick) => all.filter((wide) => thin(wide) >= thin(thick)).map((wide) => make(thick, wide)));

const SECTIONS: Readonly<Record<Exclude<SoldIn, 'drawn'>, readonly SoldSection[]>> = {
  inch: crossed(
    INCH_PLANED.value,
    ({ actualIn }) => actualIn,
    (thick, wide) => ({
      name: `${thick.nominal} × ${wide.nominal}`,
      width: wide.actualIn * MM_PER_INCH,
      depth: thick.actualIn * MM_PER_INCH,
    }),
  ),
  sawn: crossed(
    SAWN.value,
    (mm) => mm,
    (thick, wide) => ({
      name: `${thick} × ${wide} sawn`,
      width: wide - PLANED_OFF.value,
      depth: thick - PLANED_OFF.value,
    }),
  ),
};

/** A hair, so that what is drawn as large as it is sold comes out of it, whatever the unit was. */
const HAIR_MM = 0.05;

type Asked = { readonly sold: SoldIn; readonly kerf: number };

/**
 * @param qty pieces wanted, in the lengths in which they are bought
 * @returns undefined where sections are bought as they are drawn, or none is so large
 */
export function soldFor(
  { width, depth }: { readonly width: number; readonly depth: number },
  qty: number,
  { sold, kerf }: Asked,
): SoldFor | undefined {
  if (sold === 'drawn') return undefined;
  const fits = (room: number, mm: number) => Math.floor((room + kerf + HAIR_MM) / (mm + kerf));
  let best: { readonly section: SoldFor; readonly timber: number } | undefined;
  for (const section of SECTIONS[sold]) {
    const each = Math.max(
      fits(section.width, width) * fits(section.depth, depth),
      fits(section.width, depth) * fits(section.depth, width),
    );
    if (each === 0) continue;
    const timber = section.width * section.depth * Math.ceil(qty / each);
    // for as much timber the one with the fewer rips
    if (!best || timber < best.timber - HAIR_MM || (timber < best.timber + HAIR_MM && each < best.section.each))
      best = { section: { ...section, each }, timber };
  }
  return best?.section;
}
