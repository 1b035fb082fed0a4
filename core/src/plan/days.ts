/** Days by their number, without a clock: the civil calendar that dates are written in. */

/** From Monday. */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

const ISO = /^(\d{4})-(\d{2})-(\d{2})$/;

/** Whole days since 1970-01-01; undefined of what is no day. Method: the Gregorian rule, years counted from March. */
export function dayNumber(iso: string): number | undefined {
  const match = ISO.exec(iso);
  if (!match) return undefined;
  const [year, month, day] = match.slice(1).map(Number) as [number, number, number]; // the groups of the pattern
  if (month < 1 || month > 12 || day < 1) return undefined;
  const number = numberOf(year, month, day);
  return isoOf(number) === iso ? number : undefined;
}

function numberOf(year: number, month: number, day: number): number {
  const y = month > 2 ? year : year - 1;
  const m = month > 2 ? month - 3 : month + 9;
  const leaps = Math.floor(y / 4) - Math.floor(y / 100) + Math.floor(y / 400);
  return 365 * y + leaps + Math.floor((153 * m + 2) / 5) + day - 1 - DAYS_TO_1970;
}
/** From the first of March of the year nought. */
const DAYS_TO_1970 = 719_468;

/** As it is written: 2027-03-01. */
export function isoOf(number: number): string {
  const days = number + DAYS_TO_1970;
  const era = Math.floor(days / 146_097);
  const inEra = days - era * 146_097;
  const yearOfEra = Math.floor(
    (inEra - Math.floor(inEra / 1460) + Math.floor(inEra / 36_524) - Math.floor(inEra / 146_096)) / 365,
  );
  const inYear = inEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const m = Math.floor((5 * inYear + 2) / 153);
  const day = inYear - Math.floor((153 * m + 2) / 5) + 1;
  const month = m < 10 ? m + 3 : m - 9;
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  return [String(year).padStart(4, '0'), String(month).padStart(2, '0'), String(day).padStart(2, '0')].join('-');
}

/** 1970-01-01 was a Thursday. */
export const weekdayOf = (number: number): Weekday => WEEKDAYS[(((number + 3) % 7) + 7) % 7] ?? 'mon';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October'];
const MONTH_NAMES = [...MONTHS, 'November', 'December'];

/** 6 March 2027, of 2027-03-06; what is no day as it is. */
export function dayInWords(iso: string): string {
  if (dayNumber(iso) === undefined) return iso;
  const [year = '', month = '', day = ''] = iso.split('-');
  return `${Number(day)} ${MONTH_NAMES[Number(month) - 1] ?? month} ${year}`;
}
