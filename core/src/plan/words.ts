/** Durations and times of the clock in words. */

const HOUR = 60;
const DAY = 1440;

/** 2 h 30 min; under an hour minutes alone. */
export function hoursWords(minutes: number): string {
  const whole = Math.round(minutes);
  const [h, m] = [Math.floor(whole / HOUR), whole % HOUR];
  return h === 0 ? `${m} min` : m === 0 ? `${h} h` : `${h} h ${m} min`;
}

/** 19:05, of minutes since a midnight. */
export function clockWords(minute: number): string {
  const inDay = ((Math.round(minute) % DAY) + DAY) % DAY;
  return `${String(Math.floor(inDay / HOUR)).padStart(2, '0')}:${String(inDay % HOUR).padStart(2, '0')}`;
}
