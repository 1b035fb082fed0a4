/** Three weeks of building the Orrin, made up: evenings and Saturdays, receipts, pots, a mistake and a doubt. */
import { epoxyStage } from '../../epoxy';
import { NO_RECORDS, type LogEntry, type LogRecords, type PotEntry } from '../../log';
import { dayNumber, isoOf, type JobPlan } from '../../plan';
import { sheetsStage } from '../../sheets';
import { timberStage } from '../../timber';

type Made = Partial<LogEntry> & Pick<LogEntry, 'kind'>;

const JOBS = {
  bottom: { job: 'cut.panel.chine-chine', jobName: 'Mark out and cut bottom', group: 'plywood' },
  side: { job: 'cut.panel.chine-sheer', jobName: 'Mark out and cut side', group: 'plywood' },
  joining: { job: 'joining', jobName: 'Cut the joints of sheets', group: 'plywood' },
  join: { job: 'join', jobName: 'Sheet joints', group: 'plywood' },
  bow: { job: 'cut.transom.bow-transom', jobName: 'Mark out and cut bow transom', group: 'plywood' },
  stern: { job: 'cut.transom.transom', jobName: 'Mark out and cut transom', group: 'plywood' },
  frame1: { job: 'cut.frame.frame.1', jobName: 'Make frame 1', group: 'framework' },
  frame2: { job: 'cut.frame.frame.2', jobName: 'Make frame 2', group: 'framework' },
  seal: { job: 'seal.1', jobName: 'Sealing, coat 1', group: 'plywood' },
} as const satisfies Readonly<Record<string, Partial<LogEntry>>>;

/** What is ticked as done after them. */
const DONE = [JOBS.bottom, JOBS.side, JOBS.joining, JOBS.join, JOBS.bow, JOBS.stern, JOBS.frame1];
export const ORRIN_DONE: readonly JobPlan[] = DONE.map(({ job: id }) => ({
  ...{ id, hours: null, notBefore: '', after: '', isDone: true },
}));

const paid = (cents: number, on: string, words: string): Made => ({ kind: 'money', cents, on, words });

/** By how many days ago. */
const ENTRIES: readonly (readonly [number, Made])[] = [
  [20, paid(33_600, sheetsStage.name, 'four sheets, the last of a pallet')],
  [20, paid(5480, timberStage.name, 'planed boards for logs and clamps')],
  [19, { kind: 'hours', ...JOBS.bottom, minutes: 135, words: 'table read aloud by one, marked by the other' }],
  [18, { kind: 'hours', ...JOBS.side, minutes: 150 }],
  [18, paid(8990, epoxyStage.name, 'resin and hardener, the small packs')],
  [16, { kind: 'hours', ...JOBS.bottom, minutes: 110 }],
  [
    14,
    { kind: 'mistake', ...JOBS.side, words: 'second side marked as a twin of the first, not its mirror', answer: '' },
  ],
  [13, { kind: 'hours', ...JOBS.side, minutes: 125, words: 'turned over and marked anew before the saw' }],
  [12, { kind: 'hours', ...JOBS.joining, minutes: 70 }],
  [12, { kind: 'hours', ...JOBS.join, minutes: 45 }],
  [
    11,
    { kind: 'doubt', words: 'is the bow transom measured to its fore or its aft face?', answer: 'fore: it says so' },
  ],
  [9, { kind: 'hours', ...JOBS.bow, minutes: 55 }],
  [9, { kind: 'hours', ...JOBS.stern, minutes: 65 }],
  [6, { kind: 'hours', ...JOBS.frame1, minutes: 170 }],
  [6, { kind: 'measured', ...JOBS.frame1, parts: ['Frame 1'], drawn: 914.4, found: 916, words: 'over the sheer' }],
  [5, paid(1240, 'other', 'gloves, pots, brushes')],
  [4, { kind: 'hours', ...JOBS.frame2, minutes: 90, words: 'floor and one side; the other wants a new board' }],
  [2, { kind: 'note', ...JOBS.seal, words: 'shed too cold in the evening, heater from tomorrow' }],
];

/** The mistake was answered two days later. */
const MISTAKE = 'orrin.7';
const ANSWER: Partial<LogEntry> = { corrects: MISTAKE, answer: 'seen before it was cut: marks planed off' };

type Mixed = Extract<PotEntry, { kind: 'mixed' }>;
type MadePot = readonly [
  daysAgo: number,
  pot: Pick<Mixed, 'job' | 'number' | 'a' | 'b' | 'filler' | 'shopC'>,
  thrown: number,
];
const POTS: readonly MadePot[] = [
  [12, { job: 'join', number: 1, a: 30, b: 15, filler: 10, shopC: 17 }, 14],
  [12, { job: 'join', number: 2, a: 20, b: 10, filler: 8, shopC: 17 }, 9],
  [2, { job: 'seal.1', number: 1, a: 160, b: 80, filler: 0, shopC: 9 }, 6],
];

const DAY_MS = 86_400_000;
const EVENING_MS = 20 * 3_600_000;

/** On days before the one given, 2027-03-01. */
export function orrinLog(today: string): LogRecords {
  const now = dayNumber(today) ?? 0;
  const at = (daysAgo: number) => (now - daysAgo) * DAY_MS + EVENING_MS;
  const whole = (id: string, daysAgo: number, made: Made): LogEntry => ({
    ...{ job: '', jobName: '', group: '', parts: [], revision: 1, words: '', answer: '', minutes: 0, cents: 0, on: '' },
    ...{ drawn: 0, found: 0, pictures: [], corrects: '', isTakenBack: false },
    ...{ id, day: isoOf(now - daysAgo), written: at(daysAgo) },
    ...made,
  });
  const entries = ENTRIES.map(([daysAgo, made], i) => whole(`orrin.${i + 1}`, daysAgo, made));
  const mistake = entries.find(({ id }) => id === MISTAKE);
  return {
    ...NO_RECORDS,
    entries: [...entries, ...(mistake ? [{ ...mistake, ...ANSWER, id: 'orrin.answer', written: at(12) }] : [])],
    pots: POTS.flatMap(([daysAgo, pot, thrown], i): PotEntry[] => {
      const of = at(daysAgo) + i * 60_000;
      const { job, number } = pot;
      return [
        { kind: 'mixed', at: of, ...pot, planned: pot.a + pot.b + pot.filler, potLife: 25, by: 'scale' },
        { kind: 'emptied', at: of + 1_500_000, job, number, of, thrown },
      ];
    }),
  };
}
