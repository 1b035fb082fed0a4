export { entry, figure, sentenceFrom, word } from './catalogue';
export type { Catalogue, FindingsOf } from './catalogue';
export { placeText, worstFirst } from './finding';
export type { Edit, EditValue, Finding, Place, Remedy, Severity, StageResult, Thing } from './finding';
