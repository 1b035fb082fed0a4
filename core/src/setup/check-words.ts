/** What is read of a frame, as one says it in the shop. */
import type { CheckName, SetupPart } from './schema';

export const checkWords = (what: CheckName, way: SetupPart['way']): string => {
  const [foot, centre] = way === 'upside-down' ? ['foot', 'keel mark'] : ['keel', 'centre mark'];
  const words: Readonly<Record<CheckName, string>> = {
    along: `Tape from the mark to its ${foot}`,
    'foot-aside': `Its ${foot} off the string`,
    aside: `Its ${centre} off the string`,
    plumb: 'Leans aft at the top, °',
    'height-port': 'Port corner over the line',
    'height-starboard': 'Starboard corner over the line',
    'diagonal-port': 'Diagonal to the port corner',
    'diagonal-starboard': 'Diagonal to the starboard one',
  };
  return words[what];
};
