import { readSetupJob, setUp, type SetResult } from '@kalotrope/core/setup';
import { Refusal, readJson, trim, type Answer } from '../io';

export function setupCommand(file: string): Answer {
  const read = readSetupJob(readJson(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problem}`);
  const frames = setUp(read.job);
  return { json: { frames: frames.map(trimmed) }, text: frames.map(inWords).join('\n') };
}

const trimmed = ({ moved, worst, ...rest }: SetResult) => ({
  ...{ name: rest.name, cause: rest.cause },
  moved: Object.fromEntries(Object.entries(moved).map(([key, value]) => [key, trim(value)])),
  ...{ unknown: rest.unknown, worst: trim(worst), say: rest.say },
});

const inWords = ({ name, cause, worst, say }: SetResult): string => `${name}\t${cause}\t${worst.toFixed(1)} mm\t${say}`;
