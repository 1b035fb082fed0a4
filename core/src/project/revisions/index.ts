export { backTo, changesBetween } from './changes';
export type { CountChange, FigureChange, PartChanged, RevisionChanges } from './changes';
