/** How a timber's ends and edge are told, on screen and on paper alike. */
import { formatDeg, formatFine, type Notation } from '../../measure';
import type { Frame } from '../frame';
import type { EndKind, Timber, TimberEnd } from './timbers';

const KIND_WORDS: Readonly<Record<EndKind, string>> = {
  centre: 'on the centreline',
  mitre: 'against its neighbour',
  timber: 'standing on its neighbour',
  skin: 'at the skin',
  top: 'at the top',
  bound: 'where the part ends',
};

const OTHER = { fore: 'aft', aft: 'fore' } as const;

/** `at the skin: 18.4°, 23.3 over its breadth, long inside; blade 5.4°, long on the AFT face`. */
export function endWords(end: TimberEnd, { face }: Pick<Frame, 'face'>, notation: Notation): string {
  const { kind, faceDeg, longOn, riseMm, tiltDeg, longFace } = end;
  const mitre = longOn
    ? `${formatDeg(faceDeg)}, ${formatFine(riseMm, notation)} over its breadth, long ${longOn === 'outer' ? 'outside' : 'inside'}`
    : 'square';
  const longer = longFace === 'other' ? OTHER[face] : face;
  const blade = longFace ? `; blade ${formatDeg(tiltDeg)}, long on the ${longer.toUpperCase()} face` : '';
  return `${KIND_WORDS[kind]}: ${mitre}${blade}`;
}

/** `rip 4.1°, then plane to 6.3°`; what is left square says so. */
export function bevelWords({ bevel }: Pick<Timber, 'bevel'>): string {
  if (!bevel) return 'square';
  const { fromDeg, toDeg, ripDeg, leftToPlaneDeg } = bevel;
  if (leftToPlaneDeg < SEEN_DEG) return `rip ${formatDeg(ripDeg)}`;
  const runs = `from ${formatDeg(fromDeg)} to ${formatDeg(toDeg)}`;
  return Math.abs(ripDeg) < SEEN_DEG ? `plane, ${runs}` : `rip ${formatDeg(ripDeg)}, plane ${runs}`;
}

/** Less than a saw can be set to. */
const SEEN_DEG = 0.05;

/** How many of a timber or a plate a boat takes, with its hand where that matters. */
export const handWords = ({ isPair }: { readonly isPair: boolean }, each = 1): string =>
  isPair ? `${each} starboard, ${each} port (mirrored)` : `${each} to cut`;

/** In which order a timber is worked, so that no cut spoils an earlier one. */
export const ORDER_OF_WORK: readonly string[] = [
  'plane the stock to its thickness and breadth; mark the station face',
  'mark the larger face out from the pattern, a straight edge along the stock’s own',
  'rip the bevel while the stock is long and its edges straight, then plane what is left',
  'set the mitre, then the blade; cut both ends with the station face as it is named',
  'lay all pieces on the pattern, glue and fasten the plates over the joints, FORE up',
  'bore limber holes and cut notches when the frame is whole; leave its head long until it stands true',
];
