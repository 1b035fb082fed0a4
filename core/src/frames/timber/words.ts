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

const SHORT: Readonly<Record<EndKind, string>> = {
  centre: 'centreline',
  mitre: 'the other',
  timber: 'on the other',
  skin: 'skin',
  top: 'top',
  bound: 'its end',
};

/** A row a kind of end: where, mitre, its rise over the breadth, which edge is long, blade, which face is long. */
export function endCells({ ends }: Pick<Timber, 'ends'>, frame: Pick<Frame, 'face'>, notation: Notation): string[][] {
  const rows = ends.map((end) => {
    const { kind, faceDeg, longOn, riseMm, tiltDeg, longFace } = end;
    return [
      SHORT[kind],
      ...(longOn ? [formatDeg(faceDeg), formatFine(riseMm, notation), EDGES[longOn]] : ['square', '', '']),
      ...(longFace ? [formatDeg(tiltDeg), longerFace(longFace, frame)] : ['', '']),
    ];
  });
  const [low, high] = rows;
  return low && low.join() === high?.join() ? [[`both, ${low[0] ?? ''}`, ...low.slice(1)]] : rows;
}

const EDGES = { outer: 'outside', inner: 'inside' } as const;
const longerFace = (which: 'station' | 'other', { face }: Pick<Frame, 'face'>): string =>
  (which === 'other' ? OTHER[face] : face).toUpperCase();

const OTHER = { fore: 'aft', aft: 'fore' } as const;

/** Of a timber whose ends are alike once. */
export function endsWords({ ends }: Pick<Timber, 'ends'>, frame: Pick<Frame, 'face'>, notation: Notation): string[] {
  const [low, high] = ends.map((end) => endWords(end, frame, notation));
  return low === high ? [`both ends, ${low}`] : [`one end, ${low}`, `other end, ${high}`];
}

/** `at the skin: 18.4°, 23.3 over its breadth, long inside; blade 5.4°, long on the AFT face`. */
function endWords(end: TimberEnd, frame: Pick<Frame, 'face'>, notation: Notation): string {
  const { kind, faceDeg, longOn, riseMm, tiltDeg, longFace } = end;
  const mitre = longOn
    ? `${formatDeg(faceDeg)}, ${formatFine(riseMm, notation)} over its breadth, long ${EDGES[longOn]}`
    : 'square';
  const blade = longFace ? `; blade ${formatDeg(tiltDeg)}, long on the ${longerFace(longFace, frame)} face` : '';
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
  'plane to thickness and breadth; mark the station face',
  'mark out on the larger face, from the pattern',
  'rip the bevel while the stock is long; plane what is left',
  'set the mitre, then the blade; cut both ends',
  'lay all on the pattern; glue and fasten the gussets',
  'then bore and notch; leave heads long until it stands true',
];
