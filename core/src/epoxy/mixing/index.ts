export { mix, ratioByWeight, type Batch, type Mix } from './batches';
export { faultsOfMix } from './check';
export { readMixJob } from './mix-job';
