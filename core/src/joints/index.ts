export { jointsSchema } from './schema';
export type { JointsPart } from './schema';
export { planJoints } from './joint';
export type { Joint, JointedPanel, Piece, SheetSize } from './joint';
export { jointsStage } from './stage';
