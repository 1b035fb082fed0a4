import { dayOf } from '../storage/day';

export const today = (): string => dayOf(Date.now());
