export { mix, ratioByWeight, type Batch, type Mix } from './batches';
export { faultsOfMix } from './check';
export { readMixJob, type MixJob } from './mix-job';
export { potLifeMinutes } from './pot-life';
