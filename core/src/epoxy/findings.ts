/** What the epoxy stage finds: codes, the data of each, and their sentences. */
import { entry, type FindingsOf, type StageResult } from '../findings';

export const EPOXY_FINDINGS = {
  'epoxy-safety': entry(
    {},
    () =>
      'Epoxy sensitises skin and lungs: gloves, moving air, a dust respirator when sanding. ' +
      'A big pot can smoke and burn: mix small.',
    {},
  ),
} as const;

export type EpoxyFinding = FindingsOf<typeof EPOXY_FINDINGS>;
export type EpoxyResult<T> = StageResult<T, EpoxyFinding>;
