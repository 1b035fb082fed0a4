/** What is found of the plan: codes, data and sentences. Durations in minutes. */
import { entry, figure, word } from '../findings';
import { hoursWords } from './words';

export const PLAN_FINDINGS = {
  'plan-no-hours': entry({}, () => 'There are no hours to build in: put some into the week.', {}),
  'plan-not-ended': entry(
    { jobs: figure },
    ({ jobs }) =>
      `For ${jobs} ${jobs === 1 ? 'job' : 'jobs'} there are not hours enough in ten years: more hours, or fewer jobs.`,
    { jobs: 4 },
  ),
  'plan-lacks-hands': entry(
    { job: word, hands: figure },
    ({ job, hands }) => `${job} wants ${hands} pairs of hands, and no day has so many: name a day with help.`,
    { job: 'Turn her over', hands: 2 },
  ),
  'plan-order-circle': entry(
    { job: word },
    ({ job }) => `${job} was put after what itself waits for it: it stands as it comes.`,
    { job: 'Saw the timber' },
  ),
  'plan-runs-over': entry(
    { job: word, minutes: figure, longest: figure },
    ({ job, minutes, longest }) =>
      `${job} takes ${hoursWords(minutes)} in one go, and your longest day has ${hoursWords(longest)}: ` +
      'a longer day for it, help, or half of it at a time.',
    { job: 'Sheathing', minutes: 260, longest: 120 },
  ),
  'plan-sanded': entry(
    { job: word, under: word, hours: figure },
    ({ job, under, hours }) =>
      `${job} comes too late to bond to ${under.toLowerCase()} by itself: hours of yours within ` +
      `${Math.round(hours)} h of it would do. It is washed and sanded first, which is counted.`,
    { job: 'Sealing, coat 2', under: 'Sealing, coat 1', hours: 24 },
  ),
  'plan-too-cold': entry(
    { least: figure, shop: figure },
    ({ least, shop }, { warmth }) =>
      `At ${warmth(shop)} the resin does not cure: it is planned as if the shop were kept at ${warmth(least)}.`,
    { least: 10, shop: 5 },
  ),
  'plan-waits': entry(
    { minutes: figure },
    ({ minutes }) =>
      `${hoursWords(minutes)} of yours pass while epoxy cures and nothing else can be done: ` +
      'a warmer shop, or another boat’s work, fills them.',
    { minutes: 600 },
  ),
};
