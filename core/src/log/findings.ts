/** What is found of the log: codes, data and sentences. Durations in minutes, money in hundredths. */
import { entry, figure, word } from '../findings';
import { dayInWords, hoursWords } from '../plan';
import { moneyWords } from './sums';

export const LOG_FINDINGS = {
  'log-over-budget': entry(
    { paid: figure, budget: figure },
    ({ paid, budget }) =>
      `${moneyWords(paid)} are paid, ${moneyWords(paid - budget)} over the budget of ${moneyWords(budget)}.`,
    { paid: 123_450, budget: 100_000 },
  ),
  'log-rate': entry(
    { group: word, times: figure, jobs: figure, logged: figure, planned: figure },
    ({ group, times, jobs, logged, planned }) =>
      `${jobs === 1 ? 'One job' : `${jobs} jobs`} of ${group} took ${hoursWords(logged)}, ` +
      `${times.toFixed(2)} times the ${hoursWords(planned)} that were planned.`,
    { group: 'plywood', times: 1.4, jobs: 3, logged: 420, planned: 300 },
  ),
  'log-long-stretch': entry(
    { day: word, minutes: figure },
    ({ day, minutes }) =>
      `${hoursWords(minutes)} at one go on ${dayInWords(day)}: if the clock was left running, put the hours right.`,
    { day: '2027-03-06', minutes: 860 },
  ),
  'log-cold-pot': entry(
    { job: word, number: figure, shop: figure, least: figure },
    ({ job, number, shop, least }, { warmth }) =>
      `Pot ${number} of ${job.toLowerCase()} was mixed at ${warmth(shop)}, and the hardener wants ${warmth(least)}: ` +
      'look at its sample, and press a nail into the joint, before anything bears on it.',
    { job: 'Fillets', number: 2, shop: 6, least: 10 },
  ),
  'log-much-thrown': entry(
    { thrown: figure, mixed: figure },
    ({ thrown, mixed }, { mass }) =>
      `Of ${mass(mixed)} mixed ${mass(thrown)} were thrown away: smaller pots, or a larger share for what is lost.`,
    { thrown: 240, mixed: 1200 },
  ),
  'log-part-proud': entry(
    { part: word, revision: figure, proud: figure, along: figure, up: figure },
    ({ part, revision, proud, along, up }, { length }) =>
      `${part} was cut at revision ${revision} and is drawn otherwise now: plane off up to ${length(proud)}, the ` +
      `most at ${length(along)} along its drawing and ${length(up)} up.`,
    { part: 'Side, piece 1', revision: 1, proud: 2, along: 1512, up: 240 },
  ),
  'log-part-short': entry(
    { part: word, revision: figure, short: figure, along: figure, up: figure, allowed: figure },
    ({ part, revision, short, along, up, allowed }, { length }) =>
      `${part} was cut at revision ${revision} and is drawn otherwise now: up to ${length(short)} are missing, the ` +
      `most at ${length(along)} along its drawing and ${length(up)} up. ` +
      (short <= allowed
        ? `A gap of ${length(allowed)} is left as it is: fill it.`
        : `A gap of ${length(allowed)} is left as it is, and this is wider: cut it anew.`),
    { part: 'Side, piece 1', revision: 1, short: 7.5, along: 1512, up: 240, allowed: 3 },
  ),
  'log-part-holes': entry(
    { part: word, revision: figure, holes: figure },
    ({ part, revision, holes }) =>
      `${part} was cut at revision ${revision}, and ${
        holes === 1 ? 'one of its openings is' : `${holes} of its ` + 'openings are'
      } drawn otherwise now.`,
    { part: 'Bulkhead 1', revision: 1, holes: 1 },
  ),
  'log-part-gone': entry(
    { part: word, revision: figure },
    ({ part, revision }) => `${part} was cut at revision ${revision}, and the boat has no such part any more.`,
    { part: 'Bulkhead 3', revision: 1 },
  ),
  'log-mistake-open': entry(
    { day: word, words: word },
    ({ day, words }) => `Nothing is done yet about the mistake of ${dayInWords(day)} (“${words}”).`,
    { day: '2027-03-06', words: 'bulkhead cut to the wrong side of the line' },
  ),
  'log-doubt-open': entry(
    { day: word, words: word },
    ({ day, words }) => `A doubt of ${dayInWords(day)} is not settled (“${words}”).`,
    { day: '2027-03-06', words: 'is the height of the transom to its top or its lower edge?' },
  ),
};
