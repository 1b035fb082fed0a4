export type { JointedPanel } from './joint';
export { jointsStage } from './stage';
