/** Days as they are kept: year, month, day of a moment, where the builder is, in order whatever the place. */
const ISO_DAY = new Intl.DateTimeFormat('en-CA');

export const dayOf = (ms: number): string => ISO_DAY.format(ms);
