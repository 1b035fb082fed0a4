export { SCHOOLS, framesAtStations, framesSchema } from './schema';
export type { FramePlan, FramesPart, School } from './schema';
export { cutOutline, frameAt, shapeFrames } from './frame';
export type { Frame, FrameEdge, FrameEdgePoint, FrameOptions } from './frame';
export { frameDrawing } from './drawings';
export { framesStage } from './stage';
export { frameOfThing, frameThing } from './things';
