const DAY_MS = 24 * 3_600_000;

/** `14:05`; with the day where it is not today’s. */
export function clockWords(at: number, now: number): string {
  const when = new Date(at);
  const time = `${String(when.getHours()).padStart(2, '0')}:${String(when.getMinutes()).padStart(2, '0')}`;
  const midnight = new Date(now).setHours(0, 0, 0, 0);
  const days = Math.floor((at - midnight) / DAY_MS);
  if (days === 0) return time;
  if (days === 1) return `tomorrow ${time}`;
  const day = when.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
  return `${day} ${time}`;
}
