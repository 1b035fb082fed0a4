import { isBetter, nest, readNestJob, type NestJob } from '@kalotrope/core/sheets';
import { Refusal, numberOption, readJson, type Answer, type Io, type Options } from '../io';

/** Rounds when only the clock ends the search. */
const ENDLESS = 1e9;
const MOST_SEED = 2 ** 31;
/** The second core's seed from the first's. */
const SEEDS_APART = 104_729;

export function nestCommand(file: string, options: Options, io: Io): Answer {
  const job = readJob(file);
  const seed = numberOption(options, 'seed', { min: 0, max: MOST_SEED, otherwise: 1 });
  const rounds = options['rounds'] === undefined ? ENDLESS : numberOption(options, 'rounds', { min: 1, max: ENDLESS });
  const seconds = numberOption(options, 'seconds', { min: 0, max: 3600, otherwise: 3 });
  const start = io.now();
  const isTimed = rounds === ENDLESS;
  const isOver = isTimed ? () => io.now() - start > seconds * 1000 : () => false;
  // by rounds it is the same on every machine: one core
  const other = isTimed
    ? io.beside?.({ job, seed: (seed + SEEDS_APART) % MOST_SEED, endsAt: Date.now() + seconds * 1000 })
    : undefined;
  const own = nest(job, { seed, rounds, isOver });
  const second = other?.();
  const result = second && isBetter(second, own) ? second : own;
  const elapsed = Math.round(io.now() - start) / 1000;
  const text = [
    `${result.sheetsUsed} sheets, ${(result.density * 100).toFixed(1)} % used, ${result.unplaced.length} ` +
      `unplaced, ${elapsed} s`,
    ...result.sheets.map(
      (sheet) => `${sheet.id} ${sheet.index + 1}: ${sheet.placements.map((p) => p.part).join(', ')}`,
    ),
  ].join('\n');
  const { isCut: _cut, ...plain } = result;
  return { json: { ...plain, seconds: elapsed }, text };
}

function readJob(file: string): NestJob {
  const read = readNestJob(readJson(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problem}`);
  return read.job;
}
