/** The sections of the plan’s slip. */
export const HOURS_SECTION = 'Your hours';
export const SINGLE_SECTION = 'Single days';
