/**
 * What was done, as it is kept beside the project: entries of the log, pots and what becomes of parts,
 * each only ever added to, and the clock.
 */
import { z } from 'zod';
import { dayNumber, WORK_GROUPS } from '../plan';
import { partRecordSchema, type MovedPart, type PartRecord } from './life';

export const LOG_KINDS = ['hours', 'money', 'measured', 'mistake', 'doubt', 'note'] as const;

const clockMs = z.number().int().min(0).max(1e14);
const grams = z.number().min(0).max(1e7);

export const logEntrySchema = z.object({
  id: z.string().min(1).max(60),
  /** On which it was: 2027-03-01. */
  day: z.string().refine((iso) => dayNumber(iso) !== undefined),
  /** When it was written down, by the browser's clock. */
  written: clockMs,
  kind: z.enum(LOG_KINDS),
  /** Of the plan, by its id; empty: none. Its name and group as they were then: the boat may change. */
  job: z.string().max(120),
  jobName: z.string().max(160),
  group: z.enum(['', ...WORK_GROUPS]),
  /** By name. */
  parts: z.array(z.string().min(1).max(160)).max(60),
  /** Of the boat, when it was written. */
  revision: z.number().int().min(1).max(9999),
  words: z.string().max(4000),
  /** What was done about a mistake, how a doubt was settled; empty: nothing yet. */
  answer: z.string().max(4000),
  /** Of hours. */
  minutes: z.number().int().min(0).max(1_000_000),
  /** Of money: hundredths, back where negative, and what it went on: a stage that buys, or anything else. */
  cents: z.number().int().min(-1e11).max(1e11),
  on: z.string().max(40),
  /** Of a measure, mm: as it is drawn, and as it was found. */
  drawn: z.number().min(-1e6).max(1e6),
  found: z.number().min(-1e6).max(1e6),
  /** Of a measure of how two edges meet: the line that they meet along, and how far from its fore end, mm. */
  gap: z.object({ line: z.string().min(1).max(60), along: z.number().min(0).max(1e6) }).optional(),
  /** Ids of pictures. */
  pictures: z.array(z.string().min(1).max(60)).max(40),
  /** An earlier entry that this one stands for; empty: none. */
  corrects: z.string().max(60),
  /** Then it stands for nothing. */
  isTakenBack: z.boolean(),
});

export type LogEntry = z.infer<typeof logEntrySchema>;
export type LogKind = LogEntry['kind'];

const potOf = { at: clockMs, job: z.string().max(120), number: z.number().int().min(0).max(1e6) };

/** What was really mixed, and what of it was thrown away. Grams, minutes, clock times in ms. */
export const potSchema = z.discriminatedUnion('kind', [
  z.object({
    ...potOf,
    kind: z.literal('mixed'),
    a: grams,
    b: grams,
    filler: grams,
    /** As it was planned. */
    planned: grams,
    potLife: z.number().min(0).max(1e6),
    shopC: z.number().min(-60).max(80),
    by: z.enum(['scale', 'typed']),
  }),
  /** Of the pot mixed at `of`: what was left in it, and so its end. */
  z.object({ ...potOf, kind: z.literal('emptied'), of: clockMs, thrown: grams }),
  /** Of the pot mixed at `of`: whether its sample came hard. */
  z.object({ ...potOf, kind: z.literal('sample'), of: clockMs, isHard: z.boolean() }),
]);

export type PotEntry = z.infer<typeof potSchema>;
export type MixedEntry = Extract<PotEntry, { kind: 'mixed' }>;

/** Work that goes on: since when, on which job. */
export type RunningClock = { readonly job: string; readonly since: number };

/** In the order in which they were written. */
export type LogRecords = {
  readonly entries: readonly LogEntry[];
  readonly pots: readonly PotEntry[];
  readonly parts: readonly PartRecord[];
  /** Of the cut parts those that are off the boat as it is drawn now, when that was last looked at. */
  readonly moved: readonly MovedPart[];
  readonly clock: RunningClock | null;
};

export const NO_RECORDS: LogRecords = { entries: [], pots: [], parts: [], moved: [], clock: null };

const list = z.array(z.unknown()).max(50_000);
const carriedSchema = z.object({ entries: list, pots: list, parts: list.default([]) });

/** Records that came in a file: what is not whole is passed over and counted. */
export function readRecords(data: unknown): LogRecords & { readonly passedOver: number } {
  const read = carriedSchema.safeParse(data);
  if (!read.success) return { ...NO_RECORDS, passedOver: data === undefined ? 0 : 1 };
  const entries = read.data.entries.flatMap((one) => logEntrySchema.safeParse(one).data ?? []);
  const pots = read.data.pots.flatMap((one) => potSchema.safeParse(one).data ?? []);
  const parts = read.data.parts.flatMap((one) => partRecordSchema.safeParse(one).data ?? []);
  const came = read.data.entries.length + read.data.pots.length + read.data.parts.length;
  const passedOver = came - entries.length - pots.length - parts.length;
  return { ...NO_RECORDS, entries, pots, parts, passedOver };
}
