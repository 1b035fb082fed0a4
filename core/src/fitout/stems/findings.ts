/** What is found of outer stems: codes, data and sentences. */
import { entry, figure, word } from '../../findings';

export const STEM_FINDINGS = {
  'stem-none': entry(
    { part: word },
    ({ part }) => `${part} has no place: the sides do not end on one another there in a straight line.`,
    { part: 'Outer stem' },
  ),
  'stem-too-deep': entry(
    { part: word, depth: figure, most: figure },
    ({ part, depth, most }, { length }) =>
      `${part} is ${length(depth)} deep; sides that run on fair meet ${length(most)} ahead of the flat. ` +
      'A broader flat, or a shallower board.',
    { part: 'Outer stem', depth: 60, most: 42 },
  ),
  'stem-flares': entry(
    { part: word, outer: figure, face: figure },
    ({ part, outer, face }, { length }) =>
      `${part} is ${length(outer)} across at its outer edge and ${length(face)} against the boat: ` +
      'it grows broader ahead of her.',
    { part: 'Outer stem', outer: 30, face: 24 },
  ),
};
