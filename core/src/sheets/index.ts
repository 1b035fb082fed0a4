export { nestJobSchema, sheetsSchema, stockSheetSchema } from './schema';
export type { NestJob, SheetsPart, StockSheet } from './schema';
export { nest } from './nest';
export type { NestBudget, NestResult, Placement, UsedSheet } from './nest';
export { faultsOf, placedOutline } from './check';
export { jobPartName, listParts, nestBatches, unplacedFindings } from './parts';
export type { CutPart, NestBatch, PartInput } from './parts';
