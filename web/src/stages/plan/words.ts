/** The sections of the plan’s slip. */
export const HOURS_SECTION = 'Your hours';
export const RATES_SECTION = 'Your rates';
export const SINGLE_SECTION = 'Single days';
export const WEATHER_SECTION = 'The weather for it';
