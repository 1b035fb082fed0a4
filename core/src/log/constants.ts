/** When the log says something. A builder's own budget lives in the project. */
import { house } from '../stage';

export const LONG_STRETCH = house(12, 'h', 'more in one entry is a clock that was left running, more often than work');
export const RATE_OFF = house(0.15, 'share', 'nearer than that to the plan is chance');
export const RATE_FROM = house(60, 'min', 'planned for jobs that are done: fewer say nothing of the others');
export const MUCH_THROWN = house(0.15, 'share', 'of what was mixed; a few per cent stay in every pot');
export const THROWN_FROM = house(500, 'g', 'mixed: of less a single pot decides');
export const AS_GOOD = house(0.5, 'mm', 'a saw and a plane come no nearer to the line');
