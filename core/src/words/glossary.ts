/** The trade's words as they are used here, each with its meaning and the drawing that shows it. */
import type { PictureName } from './pictures';

export type Word = {
  /** Names its place in the guide. */
  readonly id: string;
  readonly word: string;
  readonly meaning: string;
  readonly picture?: PictureName;
  /** As it may stand in a sentence, where that is not the word or its plural; none where it means more things. */
  readonly forms?: readonly string[];
};

export const WORDS: readonly Word[] = [
  {
    id: 'base-line',
    word: 'Base line',
    meaning:
      'The straight line from which heights are measured; the panel’s own base line is what it is marked out from.',
    picture: 'profile',
  },
  {
    id: 'batten',
    word: 'Batten',
    meaning: 'A thin straight strip of wood, sprung along nails to draw a curve. The lines here bend as one would.',
    picture: 'batten',
  },
  {
    id: 'bearer',
    word: 'Bearer',
    meaning: 'A timber across the boat under a sole or a seat, which carries its sheet between the sides.',
    picture: 'fitted',
  },
  {
    id: 'bevel',
    word: 'Bevel',
    meaning: 'How far an edge is sawn from square, so that the skin lies flat on it. Plus: the other face is smaller.',
    picture: 'bevel',
  },
  {
    id: 'body-plan',
    word: 'Body plan',
    meaning: 'The boat’s sections seen end on, in one drawing: forward stations at the right, aft ones at the left.',
    picture: 'body',
  },
  {
    id: 'breasthook',
    word: 'Breasthook',
    meaning: 'A piece of wood that ties both sides together at the sheer, just behind the stem.',
    picture: 'ties',
  },
  {
    id: 'bulkhead',
    word: 'Bulkhead',
    meaning: 'A wall across the boat, cut from plywood to the shape of the hull inside its skin.',
    picture: 'section',
  },
  {
    id: 'camber',
    word: 'Camber',
    meaning: 'The rise of a deck or a top over the middle of the boat, so that it sheds water and is stiff.',
    picture: 'ring',
  },
  {
    id: 'centreline',
    word: 'Centreline',
    meaning: 'The middle of the boat from end to end; half-breadths are measured out from it.',
    picture: 'section',
  },
  {
    id: 'chine',
    word: 'Chine',
    meaning: 'The corner along the hull where two panels meet, such as bottom and side.',
    picture: 'profile',
  },
  {
    id: 'chine-log',
    word: 'Chine log',
    meaning:
      'A long timber along the inside or outside of a chine, to which the panels on both sides of it are fastened.',
    picture: 'ring',
  },
  {
    id: 'cleat',
    word: 'Cleat',
    meaning: 'A strip of timber along the edge of a part, for a deck, a sole or the skin to be fastened to.',
    picture: 'ring',
  },
  {
    id: 'cross-spall',
    word: 'Cross-spall',
    meaning: 'A board across a frame that keeps it to its breadth while the boat is built, and is taken out after.',
    picture: 'timbers',
  },
  {
    id: 'curvature-comb',
    word: 'Curvature comb',
    meaning: 'Teeth set on a line, the longer the sharper it bends there: humps and flats stand out.',
    picture: 'batten',
  },
  {
    id: 'deadrise',
    word: 'Deadrise',
    meaning: 'How far the bottom rises from the keel outward, as an angle from level.',
    picture: 'section',
  },
  {
    id: 'doubler',
    word: 'Doubler',
    meaning: 'A second layer of plywood where a part is weakened, such as a ring round an opening.',
    picture: 'ring',
  },
  {
    id: 'fair',
    word: 'Fair',
    meaning: 'Without humps and flats: a batten through the other points would pass through this one too.',
    picture: 'batten',
    forms: ['fair'],
  },
  {
    id: 'faying-face',
    word: 'Faying face',
    meaning: 'A face that lies against another part: the edge of a frame under the skin, say.',
    picture: 'bevel',
  },
  {
    id: 'filler',
    word: 'Filler',
    meaning: 'A powder stirred into epoxy until it stands: for fillets and glue. Wear a mask while it is dry.',
    picture: 'fillet',
  },
  {
    id: 'fillet',
    word: 'Fillet',
    meaning: 'A rounded seam of thickened epoxy along an inside corner, shaped with a rounded stick.',
    picture: 'fillet',
    forms: ['fillet', 'fillets', 'filleted'],
  },
  {
    id: 'flare',
    word: 'Flare',
    meaning: 'How far the sides lean out as they rise, as an angle from upright.',
    picture: 'section',
  },
  {
    id: 'frame',
    word: 'Frame',
    meaning: 'A part across the boat that gives the hull its shape: of sawn timber, or of plywood and then a bulkhead.',
    picture: 'bevel',
  },
  {
    id: 'gap-for-the-cut',
    word: 'Gap for the cut',
    meaning: 'Room between two parts on a sheet: the saw’s kerf, and what is trimmed after.',
    picture: 'sheet',
    forms: ['kerf'],
  },
  {
    id: 'girder',
    word: 'Girder',
    meaning: 'An upright part that stands along the boat on the bottom, halved into the frames that it crosses.',
    picture: 'timbers',
  },
  {
    id: 'grain',
    word: 'Grain',
    meaning: 'Which way the wood of the outer plies runs; a panel bends more easily across it and is stiffer along it.',
    picture: 'sheet',
  },
  {
    id: 'guide-line',
    word: 'Guide line',
    meaning: 'A line that bounds no panel: a deck edge, a waterline, the outline of a stem.',
    picture: 'profile',
  },
  {
    id: 'gusset',
    word: 'Gusset',
    meaning: 'A plate over the joint of two timbers, which carries what the joint would not.',
    picture: 'timbers',
  },
  {
    id: 'half-breadth',
    word: 'Half-breadth',
    meaning: 'How far a point is from the centreline: half of the boat’s breadth there.',
    picture: 'section',
    forms: ['half-breadth', 'half-breadths'],
  },
  {
    id: 'keel',
    word: 'Keel',
    meaning: 'The line along the middle of the bottom, where its two halves meet.',
    picture: 'profile',
  },
  {
    id: 'keelson',
    word: 'Keelson',
    meaning: 'A long timber on the bottom, inside, along the centreline.',
    picture: 'ring',
  },
  {
    id: 'knee',
    word: 'Knee',
    meaning: 'A piece of wood in a corner, with an arm along either side of it: a quarter knee ties side and transom.',
    picture: 'ties',
    forms: ['quarter knee', 'quarter knees', 'hanging knee', 'hanging knees'],
  },
  {
    id: 'knuckle',
    word: 'Knuckle',
    meaning: 'A corner in a line: the batten ends there and another begins.',
    picture: 'batten',
  },
  {
    id: 'limber-hole',
    word: 'Limber hole',
    meaning: 'A hole low in a frame, through which water runs to where it can be bailed.',
    picture: 'ring',
  },
  {
    id: 'mould',
    word: 'Mould',
    meaning: 'A shape that the skin is bent round while the boat is built, and that does not stay in it.',
    picture: 'ring',
  },
  {
    id: 'offsets',
    word: 'Offsets',
    meaning: 'The table of a boat’s figures: for each line at each station its height and its half-breadth.',
    picture: 'section',
    forms: ['offsets', 'table of offsets'],
  },
  {
    id: 'panel',
    word: 'Panel',
    meaning: 'A piece of the skin that is cut flat and bent: bottom, side, strake.',
    picture: 'panel',
    forms: [],
  },
  {
    id: 'plan-view',
    word: 'Plan',
    meaning: 'The boat seen from above; usually one half of it.',
    picture: 'body',
    forms: [],
  },
  {
    id: 'profile',
    word: 'Profile',
    meaning: 'The boat seen from the side.',
    picture: 'profile',
    forms: [],
  },
  {
    id: 'rake',
    word: 'Rake',
    meaning: 'How far the stem or the transom leans from upright.',
    picture: 'profile',
  },
  {
    id: 'ring-frame',
    word: 'Ring frame',
    meaning: 'A frame cut from a sheet with its middle left out, so that one can sit or stow through it.',
    picture: 'ring',
  },
  {
    id: 'rocker',
    word: 'Rocker',
    meaning: 'How far the bottom rises towards the ends, seen from the side.',
    picture: 'profile',
  },
  {
    id: 'rowlock',
    word: 'Rowlock',
    meaning: 'What an oar turns in, on the sheer.',
    picture: 'ties',
  },
  {
    id: 'ruling',
    word: 'Ruling',
    meaning: 'A straight line across a bent panel. Sheet material bends along rulings and stays straight on each.',
    picture: 'panel',
  },
  {
    id: 'scarf',
    word: 'Scarf',
    meaning:
      'Two sheets joined by long tapers glued one on the other, usually eight times as long as the sheet is thick.',
    picture: 'scarf',
  },
  {
    id: 'set-back',
    word: 'Set back',
    meaning: 'Said of an edge that is trimmed inward from its line, so that thick sheets meet corner to corner.',
    picture: 'fillet',
    forms: ['set back'],
  },
  {
    id: 'sheathing',
    word: 'Sheathing',
    meaning: 'Glass cloth laid over the outside in epoxy, against wear.',
    picture: 'fillet',
    forms: ['sheathing', 'sheathe', 'sheathed'],
  },
  {
    id: 'sheer',
    word: 'Sheer',
    meaning: 'The upper edge of the hull, from bow to stern.',
    picture: 'profile',
    forms: ['sheer'],
  },
  {
    id: 'clamp',
    word: 'Sheer clamp',
    meaning: 'A long timber inside the upper edge of the side, on which a deck lands.',
    picture: 'ring',
  },
  {
    id: 'skin',
    word: 'Skin',
    meaning: 'The hull’s own plywood, without frames and fittings.',
    picture: 'bevel',
    forms: ['skin'],
  },
  {
    id: 'sole',
    word: 'Sole',
    meaning: 'What one stands on inside the boat: a floor over the bottom, cut to the sides.',
    picture: 'fitted',
  },
  {
    id: 'stagger',
    word: 'Stagger',
    meaning: 'Joints of neighbouring panels kept apart, so that the hull has no line of joints across it.',
    picture: 'scarf',
    forms: ['stagger', 'staggered'],
  },
  {
    id: 'station',
    word: 'Station',
    meaning: 'A place along the boat at which the table has its figures; a cut straight across the hull.',
    picture: 'profile',
  },
  {
    id: 'stem',
    word: 'Stem',
    meaning: 'The fore end of the hull, where its two sides meet.',
    picture: 'profile',
    forms: ['stem'],
  },
  {
    id: 'stitches',
    word: 'Stitches',
    meaning: 'Wire or cable ties through holes along two edges, which hold panels together until they are glued.',
    picture: 'fillet',
    forms: ['stitch', 'stitches', 'stitched'],
  },
  {
    id: 'strake',
    word: 'Strake',
    meaning: 'One of several panels of a side, from end to end.',
    picture: 'panel',
  },
  {
    id: 'stringer',
    word: 'Stringer',
    meaning: 'A long timber along the inside of a panel, away from its edges, to stiffen it.',
    picture: 'ring',
  },
  {
    id: 'strongback',
    word: 'Strongback',
    meaning: 'The straight beam or ladder on the floor on which a hull is set up.',
    picture: 'profile',
  },
  {
    id: 'tape',
    word: 'Tape, of glass',
    meaning:
      'A band of glass cloth laid along a seam in epoxy, inside and outside. The tape along the screen is a rule.',
    picture: 'fillet',
    forms: ['glass tape'],
  },
  {
    id: 'thwart',
    word: 'Thwart',
    meaning: 'A seat right across the boat, which also holds its sides apart.',
    picture: 'fitted',
  },
  {
    id: 'transom',
    word: 'Transom',
    meaning: 'The flat end of a hull; at the fore end a bow transom.',
    picture: 'profile',
    forms: ['transom', 'transoms', 'bow transom'],
  },
  {
    id: 'twist',
    word: 'Twist',
    meaning: 'How far a panel turns along one ruling. Plywood bends, but hardly twists: a degree or two at most.',
    picture: 'panel',
    forms: ['twist'],
  },
  {
    id: 'waterline',
    word: 'Waterline',
    meaning: 'A level line on the hull, at a height of your choosing.',
    picture: 'profile',
  },
];

/** A run of a sentence: words as they stand, or one that has a meaning. */
export type Run = { readonly text: string; readonly word?: Word };

const formsOf = ({ word, forms }: Word): readonly string[] => forms ?? [word.toLowerCase(), `${word.toLowerCase()}s`];

const BY_FORM: ReadonlyMap<string, Word> = new Map(WORDS.flatMap((word) => formsOf(word).map((form) => [form, word])));
// the longest first: `bow transom` before `transom`
const ANY_FORM = new RegExp(
  `(?<![\\p{L}-])(${[...BY_FORM.keys()].sort((a, b) => b.length - a.length).join('|')})(?![\\p{L}-])`,
  'giu',
);

/** A sentence in runs, each word with a meaning apart where it first stands; joined they are the sentence. */
export function wordsIn(sentence: string): readonly Run[] {
  const runs: Run[] = [];
  const seen = new Set<string>();
  let from = 0;
  for (const match of sentence.matchAll(ANY_FORM)) {
    const word = BY_FORM.get(match[0].toLowerCase());
    if (!word || seen.has(word.id)) continue;
    seen.add(word.id);
    if (match.index > from) runs.push({ text: sentence.slice(from, match.index) });
    runs.push({ text: match[0], word });
    from = match.index + match[0].length;
  }
  if (from < sentence.length) runs.push({ text: sentence.slice(from) });
  return runs;
}
