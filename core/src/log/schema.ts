/** The part of a project that its log is measured by: what one means to spend. */
import { z } from 'zod';
import { figureField } from '../stage';

export const logSchema = z.object({
  /** In the builder's own money; 0: none. */
  budget: figureField('Budget', { min: 0, max: 10_000_000 }),
});

export type LogPart = z.infer<typeof logSchema>;

export const logAtFirst = (): LogPart => ({ budget: 0 });
