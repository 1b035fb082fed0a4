export { countScarfs, type JointedPanel } from './joint';
export { jointsStage } from './stage';
