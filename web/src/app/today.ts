/** Year, month, day: in order, whatever the place. */
const ISO_DAY = new Intl.DateTimeFormat('en-CA');

export const today = (): string => ISO_DAY.format();
