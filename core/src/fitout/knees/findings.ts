/** What is found of hanging knees: codes, data and sentences. */
import { entry, figure, word } from '../../findings';

export const KNEE_FINDINGS = {
  'knee-on-nothing': entry(
    { part: word },
    ({ part }) => `${part} meets a part that is taken out: say what it meets, or a height.`,
    { part: 'Hanging knee' },
  ),
  'knee-off-part': entry(
    { part: word, on: word },
    ({ part, on }) => `${part} stands where nothing of ${on.toLowerCase()} is: move it along the boat.`,
    { part: 'Hanging knee', on: 'Thwart' },
  ),
  'knee-no-skin': entry(
    { part: word, x: figure },
    ({ part, x }, { length }) =>
      `${part} has no corner at ${length(x)} from the stem: the side does not come to what it meets, ` +
      'or leaves its arms less than their noses.',
    { part: 'Hanging knee', x: 1800 },
  ),
  'knee-no-wood': entry(
    { part: word },
    ({ part }) =>
      `${part} has no wood left at its corner: hollow it less, make its arms longer, ` +
      'or move it off what runs through it.',
    { part: 'Hanging knee' },
  ),
  'knee-throat': entry(
    { part: word, mm: figure, least: figure },
    ({ part, mm, least }, { length }) =>
      `${part} is ${length(mm)} through from its corner to its free edge; under ${length(least)} it splits there.`,
    { part: 'Hanging knee', mm: 30, least: 44 },
  ),
  'knee-beyond': entry(
    { part: word, on: word, mm: figure },
    ({ part, on, mm }, { length }) =>
      `The arm of ${part.toLowerCase()} reaches ${length(mm)} beyond the edge of ${on.toLowerCase()}.`,
    { part: 'Hanging knee', on: 'Side seat', mm: 20 },
  ),
  'knee-in-frame': entry(
    { part: word, frame: word },
    ({ part, frame }) => `${part} stands in ${frame.toLowerCase()}: move it to one side of that.`,
    { part: 'Hanging knee', frame: 'Bulkhead 2' },
  ),
  'knee-over-cleat': entry(
    { part: word, on: word },
    ({ part, on }) =>
      `The cleat along the skin under ${on.toLowerCase()} runs through the corner of ${part.toLowerCase()}: ` +
      'stop the cleat on either side of it.',
    { part: 'Hanging knee', on: 'Thwart' },
  ),
};
