export { STAGES, worstFirst } from './finding';
export type {
  Assumption,
  Edit,
  EditValue,
  Finding,
  Place,
  Remedy,
  Scalar,
  Severity,
  Stage,
  StageResult,
} from './finding';
export { CATALOGUE, NO_USUAL_SLIP, placeText, sentence } from './catalogue';
export type { FindingCode } from './catalogue';
