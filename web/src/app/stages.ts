/** The stages as the rail lists them: number, name, the question each answers. */
import type { Stage } from '@kalotrope/core/findings';

export type StageInfo = { readonly stage: Stage; readonly name: string; readonly question: string };

export const STAGE_LIST: readonly StageInfo[] = [
  { stage: 'lines', name: 'Lines', question: 'Are the numbers fair?' },
  { stage: 'panels', name: 'Panels', question: 'Will plywood take this shape, and what do I mark out?' },
  { stage: 'frames', name: 'Frames', question: 'What do I cut, and at what bevel?' },
  { stage: 'joints', name: 'Joints', question: 'Where do the sheets join?' },
  { stage: 'sheets', name: 'Sheets', question: 'How many sheets, and what goes where?' },
  { stage: 'epoxy', name: 'Epoxy & glass', question: 'What do I buy, and what do I mix now?' },
];
