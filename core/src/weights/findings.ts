/** What is found of how she floats: codes, data and sentences. Lengths mm, masses g. */
import { entry, figure, word } from '../findings';

export const WEIGHTS_FINDINGS = {
  'float-too-heavy': entry(
    { grams: figure },
    ({ grams }, { mass }) => `With ${mass(grams)} she sinks to her sheer: less aboard, or a larger boat.`,
    { grams: 900_000 },
  ),
  'float-not-settled': entry(
    {},
    () =>
      'She finds no place of rest near upright: as she is she rolls on her side. Put weight low, or nearer her middle.',
    {},
  ),
  'float-over-sheer': entry(
    { under: figure, x: figure, side: word },
    ({ under, x, side }, { length }) =>
      `Water comes over the sheer: its lowest place, ${length(x)} from the stem to ${side}, ` +
      `lies ${length(under)} under.`,
    { under: 20, x: 3000, side: 'starboard' },
  ),
  'float-low': entry(
    { mm: figure, x: figure },
    ({ mm, x }, { length }) => `Only ${length(mm)} of freeboard at ${length(x)} from the stem: a wave comes in there.`,
    { mm: 90, x: 4000 },
  ),
  'float-heels': entry(
    { deg: figure, side: word },
    ({ deg, side }) => `As it is loaded she leans ${deg.toFixed(1)}° to ${side}: move weight across.`,
    { deg: 5, side: 'port' },
  ),
  'float-tender': entry(
    { deg: figure },
    ({ deg }) =>
      `So light or so loaded she does not stand upright by herself: she lies ${deg.toFixed(1)}° over, ` +
      'to either side. Weight low down would hold her.',
    { deg: 8 },
  ),
  'float-trims': entry(
    { deg: figure, end: word },
    ({ deg, end }) => `As it is loaded her ${end} is ${deg.toFixed(1)}° down: move weight along.`,
    { deg: 3, end: 'bow' },
  ),
  'float-open': entry(
    {},
    () => 'Where a panel could not be developed the hull has a hole: she is floated when all of them are there.',
    {},
  ),
  'float-unlike': entry(
    {},
    () => 'Her sides are unlike each other: what floats there is not worked out yet; the weights are.',
    {},
  ),
};
