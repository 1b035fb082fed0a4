/** What is found of what lies inside and on top: codes, data and sentences. */
import { entry, figure, word, type FindingsOf } from '../findings';
import { formatShare } from '../measure';
import { KNEE_FINDINGS } from './knees/findings';
import { ROOM_FINDINGS } from './people/findings';
import { STEM_FINDINGS } from './stems/findings';

export const INSIDE_FINDINGS = {
  'part-misses-hull': entry(
    { part: word, fromX: figure, toX: figure },
    ({ part, fromX, toX }, { length }) =>
      `${part} has no place: at its height nothing lies inside the skin from ${length(fromX)} to ${length(toX)}.`,
    { part: 'Sole', fromX: 600, toX: 3200 },
  ),
  'part-backwards': entry(
    { part: word, fromX: figure, toX: figure },
    ({ part, fromX, toX }, { length }) => `${part} ends at ${length(toX)}, before it begins at ${length(fromX)}.`,
    { part: 'Sole', fromX: 2000, toX: 1800 },
  ),
  'part-over-sheer': entry(
    { part: word, x: figure },
    ({ part, x }, { length }) =>
      `${part} comes out over the sheer at ${length(x)} from the stem: lower it, or lay it over the sheer.`,
    { part: 'Side seat', x: 900 },
  ),
  'sheer-short': entry(
    { part: word, x: figure, mm: figure },
    ({ part, x, mm }, { length }) =>
      `The sheer lies ${length(mm)} under ${part.toLowerCase()} at ${length(x)} from the stem: ` +
      'lower it there, or pack up the clamp.',
    { part: 'Foredeck', x: 600, mm: 4 },
  ),
  'span-too-wide': entry(
    { part: word, span: figure, most: figure, bearers: figure },
    ({ part, span, most, bearers }, { length }) =>
      `${part} lies free over ${length(span)}; a foot sags its sheet too far over ${length(most)}. ` +
      `${bearers === 1 ? 'One bearer more' : `${bearers} bearers more`}, or a thicker sheet.`,
    { part: 'Sole', span: 520, most: 360, bearers: 1 },
  ),
  'strips-narrow': entry(
    { part: word, mm: figure, least: figure },
    ({ part, mm, least }, { length }) =>
      `${part} lands on strips ${length(mm)} broad: to be glued and to take a screw they want ${length(least)}.`,
    { part: 'Sole', mm: 12, least: 18 },
  ),
  'cut-on-nothing': entry(
    { part: word, x: figure },
    ({ part, x }, { length }) => `${part} is cut in two at ${length(x)}, where nothing stands under the joint.`,
    { part: 'Sole', x: 2100 },
  ),
  'will-not-go-in': entry(
    { part: word, mm: figure, x: figure },
    ({ part, mm, x }, { length }) =>
      `${part} is ${length(mm)} broader than the boat over it, at ${length(x)} from the stem: ` +
      'put it in before what stands over it, or in two halves.',
    { part: 'Sole', mm: 14, x: 2400 },
  ),
  'piece-over-sheet': entry(
    { part: word, long: figure, wide: figure, sheetLong: figure, sheetWide: figure },
    ({ part, long, wide, sheetLong, sheetWide }, { length }) =>
      `${part} is ${length(long)} by ${length(wide)}: no sheet of its thickness is that large ` +
      `(${length(sheetLong)} by ${length(sheetWide)}).`,
    { part: 'Sole', long: 2900, wide: 900, sheetLong: 2440, sheetWide: 1220 },
  ),
  'camber-too-tight': entry(
    { part: word, radius: figure, least: figure },
    ({ part, radius, least }, { length }) =>
      `${part} bends to a radius of ${length(radius)}; its sheet takes ${length(least)}, ` +
      'face grain along the boat. A flatter camber, or two thinner layers.',
    { part: 'Foredeck', radius: 500, least: 600 },
  ),
  'frame-through': entry(
    { part: word, frame: word, mm: figure },
    ({ part, frame, mm }, { length }) => `${frame} stands ${length(mm)} through ${part.toLowerCase()}: lower its top.`,
    { part: 'Foredeck', frame: 'Bulkhead 1', mm: 12 },
  ),
  'hatch-off': entry(
    { part: word, edge: figure },
    ({ part, edge }, { length }) =>
      `A hatch of ${part.toLowerCase()} leaves ${length(edge)} of plywood beside it: move it, or make it smaller.`,
    { part: 'Foredeck', edge: 20 },
  ),
  'drain-no-room': entry(
    { part: word, radius: figure },
    ({ part, radius }, { length }) =>
      `${part} has no room for a drain hole of a radius of ${length(radius)}: a smaller one, or none.`,
    { part: 'Sole', radius: 25 },
  ),
  'drain-level': entry(
    { part: word },
    ({ part }) =>
      `${part} lies level: water stands on it, and runs to its drain holes only as the boat trims by the stern.`,
    { part: 'Sole' },
  ),
  'fitting-off': entry(
    { part: word, fitting: word },
    ({ part, fitting }) =>
      `The pad of ${fitting.toLowerCase()} runs over the edge of ${part.toLowerCase()}: move it in.`,
    { part: 'Foredeck', fitting: 'Cleat' },
  ),
  'fitting-clash': entry(
    { part: word, fitting: word, of: word },
    ({ part, fitting, of }) =>
      `The pad of ${fitting.toLowerCase()} under ${part.toLowerCase()} runs into ${of.toLowerCase()}: move it clear.`,
    { part: 'Foredeck', fitting: 'Cleat', of: 'bearer 1' },
  ),
  ...ROOM_FINDINGS,
  ...STEM_FINDINGS,
  ...KNEE_FINDINGS,
  'wall-few-points': entry(
    { part: word },
    ({ part }) => `${part} has no line to be bent along: give each of its edges two points at least, apart.`,
    { part: 'Cabin front' },
  ),
  'wall-off-sheer': entry(
    { part: word, fromX: figure, toX: figure },
    ({ part, fromX, toX }, { length }) =>
      `${part} has no place: from ${length(fromX)} to ${length(toX)} nothing of the sheer, or of a line so far in ` +
      'from it, is there. End it after it begins, within the boat.',
    { part: 'Cabin side', fromX: 2800, toX: 1400 },
  ),
  'wall-on-nothing': entry(
    { part: word, on: word },
    ({ part, on }) =>
      on === ''
        ? `${part} stands on a part that is taken out: say what it stands on.`
        : `${part} stands on ${on.toLowerCase()}, whose camber does not reach so far out: move it in.`,
    { part: 'Cabin side', on: '' },
  ),
  'wall-no-surface': entry(
    { part: word },
    ({ part }) => `${part} has no breadth: its two edges lie on one another, or what stands beside it leaves nothing.`,
    { part: 'Coaming' },
  ),
  'wall-twists': entry(
    { part: word, twistDeg: figure, strain: figure, x: figure },
    ({ part, twistDeg, strain, x }, { length }) =>
      `${part} will not lie flat between its lines: it twists by ${twistDeg.toFixed(1)}° at ${length(x)} from ` +
      `the stem, and would have to stretch by ${formatShare(strain, 2)}. ` +
      'Let its upper edge follow the lower one, or lie straighter.',
    { part: 'Cabin side', twistDeg: 2.4, strain: 0.0022, x: 1800 },
  ),
  'wall-bend-tight': entry(
    { part: word, radius: figure, least: figure, x: figure },
    ({ part, radius, least, x }, { length }) =>
      `${part} bends to a radius of ${length(radius)} at ${length(x)} from the stem; its sheet takes ` +
      `${length(least)}. A thinner sheet, two layers, or an easier line.`,
    { part: 'Cabin front', radius: 420, least: 900, x: 1300 },
  ),
  'wall-off-part': entry(
    { part: word, on: word, x: figure },
    ({ part, on, x }, { length }) =>
      `${part} stands beside ${on.toLowerCase()} at ${length(x)} from the stem: move it, or make that larger.`,
    { part: 'Cabin side', on: 'Side deck', x: 1500 },
  ),
  'wall-short': entry(
    { part: word, side: word },
    ({ part, side }) =>
      `${part} does not reach ${side === '' ? 'what it stands between' : side.toLowerCase()}: ` +
      'take its lines further out.',
    { part: 'Cabin front', side: 'Cabin side' },
  ),
  'wall-opening-near': entry(
    { part: word, opening: figure, edge: figure },
    ({ part, opening, edge }, { length }) =>
      `Opening ${opening} of ${part.toLowerCase()} leaves ${length(edge)} of plywood beside it: ` +
      'move it, or make it smaller.',
    { part: 'Cabin side', opening: 1, edge: 20 },
  ),
  'block-no-length': entry(
    { part: word },
    ({ part }) => `${part} has no length, or fills along its own line: move its ends apart, or fill another way.`,
    { part: 'Taper block' },
  ),
  'block-meets-nothing': entry(
    { part: word, x: figure },
    ({ part, x }, { length }) =>
      `${part} meets nothing the way it fills, at ${length(x)} from the stem: move its line into the hull, ` +
      'or fill another way.',
    { part: 'Taper block', x: 4100 },
  ),
  'block-no-room': entry(
    { part: word, x: figure },
    ({ part, x }, { length }) =>
      `${part} has no room at ${length(x)} from the stem: its straight face comes through what it fills up to. ` +
      'Move its line away from there.',
    { part: 'Taper block', x: 4100 },
  ),
  'block-feather': entry(
    { part: word, mm: figure, least: figure },
    ({ part, mm, least }, { length }) =>
      `${part} comes down to ${length(mm)}; under ${length(least)} wood splits and breaks away: ` +
      'move its line away, or end it sooner.',
    { part: 'Taper block', mm: 0.6, least: 2 },
  ),
};

export type InsideFinding = FindingsOf<typeof INSIDE_FINDINGS>;
