/** The words by which a drawing of the lines says where the table's points are: what comes back from the file. */
import { plainText } from '../measure';
import type { OffsetPoint } from './schema';

const KNUCKLE = 'knuckle';
/** At a point without a label. */
const NO_LABEL = '.';
/** Beside the name of a line that bounds no panel. */
export const GUIDE_ONLY = '(guide line only)';

export const pointWord = ({ station, isKnuckle }: OffsetPoint): string =>
  `${station === '' ? NO_LABEL : station}${isKnuckle ? ` ${KNUCKLE}` : ''}`;

export function readPointWord(word: string): Pick<OffsetPoint, 'station'> & { readonly isKnuckle: boolean } {
  const isKnuckle = word.endsWith(` ${KNUCKLE}`);
  const label = plainText(isKnuckle ? word.slice(0, -KNUCKLE.length - 1) : word).slice(0, 40);
  return { station: label === NO_LABEL ? '' : label, isKnuckle };
}
