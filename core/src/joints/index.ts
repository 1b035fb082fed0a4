export { countJoints, jointsInPlaces, planJoints, type JointedPanel, type JointsAsked } from './joint';
export { sheetForSkin, type StockForJoints } from './joint';
export { KIND_WORDS } from './kinds';
export { lineOfJoint, type Joint } from './pieces';
export { JOINT_KINDS, type JointKind, type JointsPart, type OwnJoint } from './schema';
export { jointsStage } from './stage';
export type { JointsFinding } from './findings';
