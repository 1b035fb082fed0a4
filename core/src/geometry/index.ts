export * from './vec';
export * from './spline';
export * from './root';
export * from './polyline';
export * from './polygon';
export { solidSum } from './convolution';
export * from './dense';
export { random } from './random';
