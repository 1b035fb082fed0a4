/** What becomes of a part, from the sheet to the boat: each step a record, with the shape that it was cut to. */
import { z } from 'zod';
import type { Outline } from '../../geometry';
import { dayNumber } from '../../plan';

/** In the order of the work. */
export const PART_STATES = ['to-cut', 'cut', 'sealed', 'dry-fitted', 'glued'] as const;
export type PartState = (typeof PART_STATES)[number];

export const STATE_WORDS: Readonly<Record<PartState, string>> = {
  'to-cut': 'to cut',
  cut: 'cut',
  sealed: 'sealed',
  'dry-fitted': 'dry-fitted',
  glued: 'glued',
};

const place = z.tuple([z.number().min(-1e6).max(1e6), z.number().min(-1e6).max(1e6)]);
const ring = z.array(place).max(20_000);

export const partRecordSchema = z.object({
  id: z.string().min(1).max(60),
  /** By its id among the parts to cut; its name as it was. */
  part: z.string().min(1).max(160),
  name: z.string().max(160),
  state: z.enum(PART_STATES),
  day: z.string().refine((iso) => dayNumber(iso) !== undefined),
  written: z.number().int().min(0).max(1e14),
  revision: z.number().int().min(1).max(9999),
  /** As it was drawn then, mm. */
  outline: ring,
  holes: z.array(ring).max(400),
});

export type PartRecord = z.infer<typeof partRecordSchema>;
export type PartShape = { readonly outline: Outline; readonly holes?: readonly Outline[] | undefined };

/** Of a drawing no more is kept than a saw can follow a thousand times over, mm. */
const KEPT_STEP_MM = 1e-3;
const kept = (rings: readonly Outline[]): [number, number][][] =>
  rings.map((points) =>
    points.map(([x, y]): [number, number] => [
      Math.round(x / KEPT_STEP_MM) * KEPT_STEP_MM,
      Math.round(y / KEPT_STEP_MM) * KEPT_STEP_MM,
    ]),
  );

/** A part's shape as a record keeps it. */
export const keptShape = ({ outline, holes = [] }: PartShape): Pick<PartRecord, 'outline' | 'holes'> => ({
  outline: kept([outline])[0] ?? [],
  holes: kept(holes),
});

/** How a part stands: its last record; and the one with which it was cut, since it was last to be cut. */
export type PartLife = { readonly last: PartRecord; readonly cut: PartRecord | undefined };

export function livesOf(records: readonly PartRecord[]): ReadonlyMap<string, PartLife> {
  const lives = new Map<string, PartLife>();
  for (const record of records) {
    const before = lives.get(record.part)?.cut;
    const cut = record.state === 'to-cut' ? undefined : before && record.state !== 'cut' ? before : record;
    lives.set(record.part, { last: record, cut });
  }
  return lives;
}

export const stateOf = (lives: ReadonlyMap<string, PartLife>, part: string): PartState =>
  lives.get(part)?.last.state ?? 'to-cut';
