/** Plans the sticks whenever the runs or the stock are others; the plan belongs to the job that it was made for. */
import type { TimberValue } from '@kalotrope/core/timber';
import { useFound } from '../../controls/use-found';

const SECONDS = 4;

/** @returns whether a plan is being worked out. */
export const useTimberPlan = ({ job, key }: TimberValue): boolean =>
  useFound({
    key,
    keyOf: ({ timber }) => timber?.key,
    job: 'timber',
    input: { job, seconds: SECONDS },
    take: (result) => ({ timber: { key, result } }),
    what: 'The plan of the timber',
  });
