export { KEPT_MS, watchScale, type Reading, type ScaleFault, type ScaleState } from './watch-scale';
export { NOTHING_POURED, pourTo, weighingOf, type Poured, type Weighing } from './weighing';
