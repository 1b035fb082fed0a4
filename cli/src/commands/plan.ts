/** What there is to do on a boat, and when, in the hours that its project says. */
import { calendarFile, clockWords, daysOf, dayWords, hoursWords, momentWords } from '@kalotrope/core/plan';
import { createDerive } from '@kalotrope/core/project';
import { writeFileSync } from 'node:fs';
import { findingJson, findingsText, Refusal, trim, type Answer, type Io, type Options } from '../io';
import { projectOf } from '../project-of';

export function planCommand(file: string, options: Options, io: Io): Answer {
  const project = projectOf(file, options, io);
  const { value, findings } = createDerive()(project).plan;
  const { plan: part } = project;
  const days = daysOf(value.planned, part);
  const out = options['calendar'];
  if (out !== undefined) {
    const text = calendarFile(value.planned, part, { boat: project.name, id: project.id });
    if (text === undefined)
      throw new Refusal(`${file}: no first day is said; expected plan.starts, such as 2027-03-01`);
    writeFileSync(out, text);
  }
  const jobs = value.jobs.map(({ id, name, group, minutes, hands, isWet, needs }) => {
    const planned = value.planned.find(({ job }) => job.id === id);
    return {
      ...{ id, name, group, minutes: trim(minutes), hands, wet: isWet, done: value.done.includes(id) },
      after: needs.map(({ job, leastH, bonds }) => ({
        ...{ job, leastHours: trim(leastH) },
        ...(bonds && { bondsUntilHours: trim(bonds.mostH) }),
      })),
      sessions: (planned?.sessions ?? []).map(({ from, to }) => ({ from: trim(from), to: trim(to) })),
      sanded: planned?.sandedFor !== undefined,
      critical: planned?.isCritical ?? false,
    };
  });
  const text = [
    ...days.flatMap((day) =>
      day.entries.map(({ job: { job }, from, to, part: k, parts }) =>
        [dayWords(day), `${clockWords(from)}–${clockWords(to)}`, job.name, parts > 1 ? `${k} of ${parts}` : ''].join(
          '\t',
        ),
      ),
    ),
    `work\t${hoursWords(value.workMin)}`,
    ...(days.length > 0 ? [`ends\t${momentWords(value.end, part)}`] : []),
    findingsText(findings),
  ].join('\n');
  return {
    json: {
      ...{ project: project.name, starts: part.starts, workMinutes: trim(value.workMin) },
      // minutes from the first day's midnight
      ...{ endMinute: trim(value.end), boundMinute: trim(value.bound), jobs, findings: findings.map(findingJson) },
    },
    text,
  };
}
