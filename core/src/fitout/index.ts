export { blockRows, sawnFrom } from './blocks/block-drawings';
export { edgeNames, profileOf } from './blocks/block';
export type { FittedBlock } from './blocks/block';
export { blockSeen, cornersOf } from './blocks/in-space';
export { BLOCK_NAME, newBlock } from './blocks/new-block';
export {
  BLOCKS_PATH,
  INSIDE_KINDS,
  INSIDE_PATH,
  KNEES_PATH,
  LIMITS_PATH,
  PEOPLE_PATH,
  POSES,
  STEMS_PATH,
  WALL_KINDS,
  WALLS_PATH,
} from './schema';
export type {
  BlockPlan,
  Fitting,
  Hatch,
  InsidePart,
  InsidePlan,
  KneePlan,
  Limits,
  PersonPlan,
  StemPlan,
  WallLine,
  WallOpening,
  WallPlan,
} from './schema';
export { edgeRows, insideDrawings, marksOfPiece } from './drawings';
export type { InsideWhole } from './drawings';
export { facesOf, placesOf, ringToBend, seenFromAbove, seenFromSide } from './in-boat';
export type { InBoat, SeenFromAbove } from './in-boat';
export { radiusFor, riseOver } from './lie';
export { INSIDE_NAMES, newInside, plainFitting, plainHatch, plainInside } from './plans';
export { newPerson, POSE_NAMES, sizesFor } from './people/new-person';
export type { Seated } from './people/in-boat';
export type { LandingRow } from './landing-screws';
export { sectionOf } from './section';
export { boardWords } from './board-words';
export { stemOnBoard } from './stems/stem-drawings';
export { newStem, STEM_NAME } from './stems/new-stem';
export { stemCorners, stemFromAbove, stemFromSide } from './stems/in-space';
export type { FittedStem } from './stems/stem';
export { faceUp, kneeOnBoard } from './knees/knee-drawings';
export { KNEE_NAME, newKnee } from './knees/new-knee';
export { kneeCorners, kneeFromAbove, kneeFromSide } from './knees/in-space';
export type { FittedKnee } from './knees/knee';
export { sectionAlong } from './section-along';
export { personAcross, personFromAbove, personFromSide } from './people/seen';
export { halfBreadthOf, heldDown, widestSpan } from './supports';
export { insideOfThing, insideThing } from './things';
export type { CutInside, InsideValue } from './inside-value';
export type { Fitted } from './value';
export type { FittedWall } from './walls/fitted-wall';
export { footRows } from './walls/foot-rows';
export { faceOfWall, leftOfWall, marksOfWall, wallRows } from './walls/wall-drawings';
export { isDeck } from './walls/wall';
export { runsAcross } from './walls/line';
export { beginsAt, wallMoved } from './walls/moved-wall';
export { newWall, plainLine, plainWall, plainWallOpening, WALL_NAMES } from './walls/new-wall';
export { fitoutStage } from './stage';
