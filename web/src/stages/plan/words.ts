/** The sections of the plan’s slip. */
export const HOURS_SECTION = 'Your hours';
export const RATES_SECTION = 'Your rates';
export const SINGLE_SECTION = 'Single days';
