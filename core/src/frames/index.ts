export { FASTENING_USES, OPENING_SHAPES, SCHOOLS, TOP_EDGE } from './schema';
export type {
  CleatPlan,
  FasteningUse,
  FramePlan,
  FramesPart,
  GirderPlan,
  Limber,
  Member,
  Opening,
  School,
  SlotPlan,
  TakenShape,
  TimberSettings,
} from './schema';
export { plainOutline } from './blank';
export { outlineOfOpening } from './cuts';
export { asSeen, cutAsSeen, netAsSeen, reaches } from './frame';
export type { Frame } from './frame';
export { girderPieces, faceWord } from './girder/drawings';
export { placeOnGirder } from './girder/girder';
export type { Girder } from './girder/girder';
export { datumOf } from './datum';
export { offerLimbers } from './limbers';
export type { FramesValue } from './judge';
export type { MemberRun } from './member';
export { frameAt, placeInBoat, placeInPlane, planeOf } from './section';
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
  plainCleat,
  nextPoint,
  plainShape,
  plainSlot,
  TAKEN_PATH,
  widestRoom,
} from './plans';
export { plyPartsOfFrame, rimsOfGirder } from './ply-parts';
export type { PlyPart } from './ply-parts';
export { bevelWords, endsWords, ORDER_OF_WORK } from './timber/words';
export { pinsOnFrame } from './pins';
export { faceCurves, framesDrawings, bevelLines, marksOfFrame, fittedLines } from './drawings';
export type { FramesWhole } from './drawings';
export type { Planked } from './planked/boards';
export type { RollingBevel } from './rolling-bevel';
export { mitreDeg, rollingBevel, straightEnd, STRAIGHT_ENDS } from './rolling-bevel';
export type { EndPart } from './rolling-bevel';
export { FASTENING_NAMES } from './fastenings/names';
export { drillsFor, screwRow, type ScrewRow } from './fastenings/screws';
export { fasteningsToBuy } from './fastenings/buys';
export { pilotHole } from './outside';
export { evenSpacing } from './fastenings/spacing';
export { CHAIN_OFF } from './constants';
export { photoReader } from './taken/measured';
export type { PhotoCorners } from './taken/measured';
export { chainFor, compareShapes } from './taken/shape';
export type { Taken } from './taken/shape';
export { framesStage } from './stage';
export { frameOfThing, frameThing, girderOfThing, girderThing, memberOfThing, memberThing } from './things';
