export { loaded, LOADING_NAMES, LOADINGS, freeId } from './loads';
export { profileOf } from './figures';
export type { Item } from './items';
export { LOADS_PATH, type Load, type WeightsPart } from './schema';
export { weightsStage } from './stage';
export { loadOfThing, loadThing } from './things';
export type { WeightsValue } from './value';
export { floatWords, NO_APPROVAL, type FloatLine } from './words';
