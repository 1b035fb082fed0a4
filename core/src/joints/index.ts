export { countJoints, jointsInPlaces, planJoints, type JointedPanel, type JointsAsked } from './joint';
export { sheetForSkin } from './joint';
export { KIND_WORDS, sizesOfJoint } from './kinds';
export { lineOfJoint, type Joint } from './pieces';
export { type JointKind, type JointsPart, type OwnJoint } from './schema';
export { jointsStage } from './stage';
export type { JointsFinding } from './findings';
export { changedJoint, idOfChanged, oneMoreJoint, roomOfJoint, withoutJoint } from './own';
export { jointOfThing, jointThing } from './things';
