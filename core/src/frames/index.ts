export { framesSchema } from './schema';
export type { FramePlan, FramesPart } from './schema';
export { cutOutline, frameAt, shapeFrames } from './frame';
export type { Frame, FrameEdge, FrameEdgePoint, FrameOptions } from './frame';
