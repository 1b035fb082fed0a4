export { SCHOOLS } from './schema';
export type { FramePlan, FramesPart, GirderPlan, Limber, Member, Opening, School, TimberSettings } from './schema';
export { plainOutline } from './blank';
export { asSeen, cutAsSeen } from './frame';
export type { Frame } from './frame';
export { girderPieces, faceWord } from './girder/drawings';
export { placeOnGirder } from './girder/girder';
export type { Girder } from './girder/girder';
export { datumOf } from './datum';
export { offerLimbers } from './limbers';
export type { FramesValue } from './judge';
export type { MemberRun } from './member';
export { frameAt, placeInBoat, placeInPlane } from './section';
export {
  FRAMES_PATH,
  GIRDERS_PATH,
  MEMBERS_PATH,
  copyOf,
  freeId,
  oneMore,
  plainFrame,
  plainGirder,
  plainMember,
  plainOpening,
  widestRoom,
} from './plans';
export { platesOfFrame } from './timber/plates';
export { bevelWords, endsWords, ORDER_OF_WORK } from './timber/words';
export { faceCurves, framesDrawings, bevelLines, marksOfFrame, timberLines } from './drawings';
export type { FramesWhole } from './drawings';
export type { RollingBevel } from './rolling-bevel';
export { rollingBevel, STRAIGHT_ENDS } from './rolling-bevel';
export { evenSpacing } from './spacing';
export { framesStage } from './stage';
export { frameOfThing, frameThing, girderOfThing, girderThing, memberOfThing, memberThing } from './things';
