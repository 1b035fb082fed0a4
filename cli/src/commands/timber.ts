import { planTimber, readTimberJob, type TimberPlan } from '@kalotrope/core/timber';
import { Refusal, numberOption, readJson, trim, type Answer, type Io, type Options } from '../io';

/** Of the search; some seconds. */
const ROUNDS = 20_000;

export function timberCommand(file: string, options: Options, io: Io): Answer {
  const read = readTimberJob(readJson(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problem}`);
  const seconds = numberOption(options, 'seconds', { min: 0.1, max: 3600, otherwise: 4 });
  if (!io.solve) throw new Error('Planned timber without a solver; expected one to be loaded');
  const start = io.now();
  const gone = () => (io.now() - start) / 1000;
  const result = planTimber(read.job, { solve: io.solve, seconds, rounds: ROUNDS, gone });
  if (!result.ok) throw new Refusal(`${file}: ${result.problem}`);
  return { json: trimmed(result.plan), text: inWords(result.plan) };
}

const trimmed = ({ bought, cost, bound, proven, sticks, joins }: TimberPlan) => ({
  ...{ bought, cost: trim(cost), bound: trim(bound), proven },
  sticks: sticks.map((stick) => ({
    ...stick,
    cuts: stick.cuts.map((cut) => ({ ...cut, length: trim(cut.length) })),
    left: trim(stick.left),
  })),
  joins: joins.map((join) => ({ ...join, at: join.at.map(trim) })),
});

const mm = (length: number) => String(Math.round(length * 10) / 10);

const inWords = ({ bought, cost, bound, proven, sticks, joins }: TimberPlan): string =>
  [
    ...bought.map(({ stock, qty }) => `buy ${qty} of ${stock}`),
    `cost ${trim(cost)}, ${proven ? 'the least there can be' : `no plan can cost less than ${trim(bound)}`}`,
    ...sticks.map(({ stock, index, cuts, left }) => {
      const pieces = cuts.map(({ run, copy, length }) => `${run} ${copy + 1}, ${mm(length)}`);
      return `${stock} ${index + 1}: ${pieces.join('; ')}; left ${mm(left)}`;
    }),
    ...joins.map(({ run, copy, at }) => `${run} ${copy + 1}: scarfs at ${at.map(mm).join(', ')} from forward`),
  ].join('\n');
