export { bendSheet, type Bent } from './bend';
export { readBendJob } from './job';
