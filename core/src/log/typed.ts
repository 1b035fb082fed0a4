/** Hours and money as they are typed. */

type Read = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly expected: string };

const HOUR = 60;
const MOST_MIN = 24 * HOUR;
const HOURS_WANTED = 'hours, such as 1:30, 1.5 or 90 min, a day at most';

/** Whole minutes of 1:30, 1.5, 1,5 h, 1 h 30, 90 min. */
export function readHours(text: string): Read {
  const minutes = minutesIn(text.trim().toLowerCase().replace(',', '.'));
  if (minutes === undefined) return { ok: false, expected: HOURS_WANTED };
  const value = Math.round(minutes);
  return value >= 1 && value <= MOST_MIN ? { ok: true, value } : { ok: false, expected: HOURS_WANTED };
}

function minutesIn(text: string): number | undefined {
  const clock = /^(\d{1,2}):([0-5]\d)$/.exec(text);
  if (clock) return Number(clock[1]) * HOUR + Number(clock[2]);
  const both = /^(\d{1,2}) ?h ?([0-5]?\d)(?: ?min)?$/.exec(text);
  if (both) return Number(both[1]) * HOUR + Number(both[2]);
  const minutes = /^(\d+(?:\.\d+)?) ?min$/.exec(text);
  if (minutes) return Number(minutes[1]);
  const hours = /^(\d+(?:\.\d+)?|\.\d+) ?h?$/.exec(text);
  return hours ? Number(hours[1]) * HOUR : undefined;
}

const MONEY_WANTED = 'an amount, such as 12.50';
const MOST_CENTS = 1e9;

/** Whole hundredths of 12, 12.5, 12,50, -3.20; more places than two are no money. */
export function readMoney(text: string): Read {
  const match = /^([+-]?)(\d{1,8})(?:[.,](\d{1,2}))?$/.exec(text.replace(/[\s\u2019']/g, ''));
  if (!match) return { ok: false, expected: MONEY_WANTED };
  const [, sign, whole = '', part = ''] = match;
  const cents = Number(whole) * 100 + Number(part.padEnd(2, '0'));
  return cents <= MOST_CENTS
    ? { ok: true, value: sign === '-' ? -cents : cents }
    : { ok: false, expected: MONEY_WANTED };
}
