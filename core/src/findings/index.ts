export { entry, faultOf, figure, sentenceFrom, word } from './catalogue';
export type { Catalogue, CatalogueEntry, FindingsOf, Wording } from './catalogue';
export { placeText, worstFirst } from './finding';
export type {
  Assumption,
  Edit,
  EditValue,
  Finding,
  FindingData,
  Place,
  Remedy,
  Scalar,
  Severity,
  StageResult,
  Thing,
} from './finding';
