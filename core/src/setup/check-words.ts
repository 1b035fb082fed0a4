/** What is read of a frame, as one says it in the shop. */
import type { CheckName, SetupPart } from './schema';
import type { Check } from './standing';

export const checkWords = (what: CheckName, way: SetupPart['way']): string => {
  const [foot, centre] = way === 'upside-down' ? ['foot', 'keel mark'] : ['keel', 'centre mark'];
  const words: Readonly<Record<CheckName, string>> = {
    along: `Tape to its ${foot}, level`,
    'foot-aside': `${capital(foot)} off the string`,
    aside: `${capital(centre)} off string`,
    plumb: 'Top leans aft, °',
    'height-port': 'Height of port corner',
    'height-starboard': 'Height of starboard corner',
    'diagonal-port': 'Diagonal to port',
    'diagonal-starboard': 'Diagonal to starboard',
  };
  return words[what];
};

const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

/** Where its tape is held: of a diagonal. */
export const heldWords = ({ what, isFromOther }: Pick<Check, 'what' | 'isFromOther'>): string =>
  what.startsWith('diagonal') ? (isFromOther ? 'from the far mark' : 'from the mark') : '';
