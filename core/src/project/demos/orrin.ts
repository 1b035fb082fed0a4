/** Table of the demo boat, drawn by bench/draw-demo-lines.ts: line, station, x, half-breadth, height in mm. */
export const ORRIN_TABLE: readonly (readonly [string, string, number, number, number])[] = [
  ['chine', 'bow', 214.3125, 285.75, 122.2375],
  ['chine', '1', 457.2, 338.1375, 85.725],
  ['chine', '2', 914.4, 414.3375, 38.1],
  ['chine', '3', 1371.6, 457.2, 19.05],
  ['chine', '4', 1828.8, 466.725, 28.575],
  ['chine', '5', 2286, 442.9125, 68.2625],
  ['chine', 'transom', 2544.7625, 414.3375, 103.1875],
  ['sheer', 'bow', 47.625, 384.175, 455.6125],
  ['sheer', '1', 457.2, 488.95, 438.15],
  ['sheer', '2', 914.4, 568.325, 425.45],
  ['sheer', '3', 1371.6, 608.0125, 414.3375],
  ['sheer', '4', 1828.8, 609.6, 407.9875],
  ['sheer', '5', 2286, 574.675, 406.4],
  ['sheer', 'transom', 2636.8375, 520.7, 406.4],
];
