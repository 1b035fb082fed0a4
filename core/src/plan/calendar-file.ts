/**
 * The plan as a calendar file that any calendar reads: a session an event, in the builder's own clock time.
 *
 * Form: iCalendar, RFC 5545: floating times, lines folded after 75 octets, texts escaped.
 */
import { DAY_MIN, firstDay } from './calendar';
import { daysOf } from './days-of-plan';
import { isoOf } from './days';
import type { PlanPart } from './schema';
import type { PlannedJob } from './schedule';
import { beforeGlue } from './before-glue';

type Head = { readonly boat: string; readonly id: string };

/** Undefined where no first day is said. */
export function calendarFile(
  planned: readonly PlannedJob[],
  part: Pick<PlanPart, 'starts'>,
  { boat, id }: Head,
): string | undefined {
  if (part.starts === '') return undefined;
  const first = firstDay(part);
  const stamp = (minute: number): string => {
    const [whole, day] = [Math.round(minute), Math.floor(Math.round(minute) / DAY_MIN)];
    const inDay = whole - day * DAY_MIN;
    const two = (value: number) => String(value).padStart(2, '0');
    return `${isoOf(first + day).replaceAll('-', '')}T${two(Math.floor(inDay / 60))}${two(inDay % 60)}00`;
  };
  const events = daysOf(planned, part).flatMap(({ entries }) =>
    entries.flatMap(({ job: { job }, from, to, part: k, parts }) => {
      const name = parts > 1 ? `${job.name}, ${k} of ${parts}` : job.name;
      const notes = [...(k === 1 ? beforeGlue(job) : []), ...(job.hands > 1 ? [`${job.hands} pairs of hands`] : [])];
      return [
        'BEGIN:VEVENT',
        `UID:${escaped(id)}.${escaped(job.id)}.${k}`,
        `DTSTAMP:${stamp(0)}Z`,
        `DTSTART:${stamp(from)}`,
        `DTEND:${stamp(to)}`,
        `SUMMARY:${escaped(`${boat}: ${name}`)}`,
        ...(notes.length > 0 ? [`DESCRIPTION:${escaped(notes.join('\n'))}`] : []),
        'END:VEVENT',
      ];
    }),
  );
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Kalotrope//Plan//EN', ...events, 'END:VCALENDAR'];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}

const escaped = (text: string): string => text.replace(/[\\;,]/g, (sign) => `\\${sign}`).replace(/\r?\n/g, '\\n');

/** Octets of a line, the sign before a folded one included. */
const MOST_OCTETS = 74;

function folded(line: string): string {
  const rows: string[] = [''];
  let octets = 0;
  for (const sign of line) {
    const own = octetsOf(sign);
    if (octets + own > MOST_OCTETS) {
      rows.push('');
      octets = 0;
    }
    rows[rows.length - 1] += sign;
    octets += own;
  }
  return rows.join('\r\n ');
}

/** In UTF-8. */
function octetsOf(sign: string): number {
  const code = sign.codePointAt(0) ?? 0;
  return code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
}
