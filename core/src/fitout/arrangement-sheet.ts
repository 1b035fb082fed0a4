/**
 * The boat with what is in her on one sheet: cut along the middle and from above, to one scale, under one another; the
 * clear lengths added up, and who sits where.
 */
import {
  checkLength,
  forwardArrow,
  innerBox,
  lineKey,
  merged,
  pageOnItsSide,
  scaleFor,
  sheetsOf,
  sheetText,
  tablePages,
  viewOn,
  type Content,
  type LabelBox,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
  type SheetView,
  type ViewPath,
  type ViewText,
} from '../formats';
import type { FramesValue } from '../frames';
import { at, boundsOf, simplify, type Vec2 } from '../geometry';
import type { Hull } from '../lines';
import { formatFine, isImperial, unitLabel, type Notation } from '../measure';
import { depthOfInside, type PanelsPart, type PanelsValue } from '../panels';
import { blockSeen } from './blocks/in-space';
import { seenFromAbove, seenFromSide } from './in-boat';
import type { InsideValue } from './inside-value';
import { personFromAbove, personFromSide } from './people/seen';
import { sectionAlong } from './section-along';
import { kneeFromAbove, kneeFromSide } from './knees/in-space';
import { stemFromAbove, stemFromSide } from './stems/in-space';

export type ArrangedWhole = {
  readonly project: { readonly panels: Pick<PanelsPart, 'thickness' | 'linesTo'> };
  readonly values: {
    readonly lines: Hull;
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly fitout: InsideValue;
  };
  readonly sheetHead: SheetHead;
};

/** Curves on paper need no more points than the eye sees, full size, mm. */
const SIMPLE_MM = 0.5;
/** For the name of a view, over it, and for its dimension under it. */
const HEAD_MM = 7;
const AROUND_MM = 18;
/** Left of the views: FORE; right of them the height's dimension, and the tables. */
const LEFT_MM = 14;
const FIGURE_MM = 22;
const TABLE_MM = 74;
const KEY_MM = 12;

/** None of a boat with nothing in it. */
export function arrangementSheet({ project, values, sheetHead: head }: ArrangedWhole): PaperSheets[] {
  const { all, people } = values.fitout;
  if (all.length + people.length === 0) return [];
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const views = [alongView(values, project.panels), aboveView(values)];
  const sizes = views.map(({ paths }) => boundsOf(paths.flatMap(({ points }) => points)));
  const width = Math.max(...sizes.map(({ minX, maxX }) => maxX - minX));
  const heights = sizes.map(({ minY, maxY }) => maxY - minY);
  const room = { ...inner, minX: inner.minX + LEFT_MM, maxX: inner.maxX - TABLE_MM, minY: inner.minY + KEY_MM };
  const scale = scaleFor(
    { width, height: at(heights, 0) + at(heights, 1) },
    { width: room.maxX - room.minX - FIGURE_MM, height: room.maxY - room.minY - 2 * (HEAD_MM + AROUND_MM) },
    isImperial(notation),
  );
  const upper = { ...room, maxY: inner.maxY - HEAD_MM };
  const lower = { ...room, maxY: upper.maxY - at(heights, 0) / scale.over - AROUND_MM - HEAD_MM };
  const drawn = [upper, lower].map((box, k) => viewOn(at(views, k), { room: box, notation, scale }));
  const [first, ...more] = tablePages(tablesOf(values.fitout, notation), {
    first: { ...inner, minX: room.maxX + 4 },
    later: inner,
  });
  const content = merged(
    ...drawn,
    namesOf([upper, lower]),
    forwardArrow([inner.minX, upper.maxY - 12]),
    ...(first ? [first] : []),
    lineKey(
      [
        ['cut', 'what is cut inside and on top'],
        ['edge', 'the skin; from above the sheer'],
        ['mark', 'what is not cut there'],
        ['construction', 'frames, people'],
      ],
      [inner.minX, inner.minY + KEY_MM],
    ),
    checkLength([room.maxX, inner.minY + KEY_MM / 2], notation),
  );
  const sheet = {
    ...{ name: 'arrangement-sheet', title: 'Inside and on top, arranged', part: 'Inside and on top' },
    ...{ hand: 'along the middle, and from above', material: '', scale: scale.words },
  };
  return [sheetsOf(head, sheet, [content, ...more])];
}

const namesOf = (rooms: readonly LabelBox[]): Content => ({
  paths: [],
  texts: ['Along the middle', 'From above'].map((text, k) => {
    const { minX, maxY } = at(rooms, k);
    return sheetText([minX, maxY + 2.5], text, { heightMm: 4 });
  }),
});

type Drawn = ArrangedWhole['values'];

const closed = (kind: ViewPath['kind'], points: readonly Vec2[]): ViewPath => ({ kind, points, isClosed: true });
const line = (kind: ViewPath['kind'], points: readonly Vec2[]): ViewPath => ({
  kind,
  points: simplify(points, SIMPLE_MM),
});

function alongView({ panels, frames, fitout }: Drawn, skin: ArrangedWhole['project']['panels']): SheetView {
  const inside = depthOfInside(skin);
  const { parts, walls, blocks, stems, knees, people } = fitout;
  const boat = { panels: panels.panels, frames: frames.frames, parts };
  const cut = sectionAlong(boat, 0, { inside, outside: inside - skin.thickness });
  return {
    paths: [
      ...cut.skin.map((points) => line('edge', points)),
      ...cut.frames.map(({ outline }) => closed('construction', outline)),
      ...cut.parts.map(({ outline }) => closed('cut', outline)),
      ...walls.map((wall) => line('mark', seenFromSide(wall))),
      ...blocks.map((block) => line('mark', blockSeen(block, 2))),
      ...stems.map((stem) => closed('cut', stemFromSide(stem))),
      ...knees.map((knee) => closed('mark', kneeFromSide(knee))),
      ...people.flatMap((person) => personFromSide(person).map((ring) => closed('construction', ring))),
    ].filter(({ points }) => points.length > 1),
    texts: [],
  };
}

function aboveView({ lines, frames, fitout }: Drawn): SheetView {
  const { parts, walls, blocks, stems, knees, people } = fitout;
  const sheer = lines.lines[lines.lines.length - 1]?.curve ?? [];
  const over = (points: readonly Vec2[]) => points.map(([x, y]): Vec2 => [x, -y]);
  const half = sheer.map(([x, y]): Vec2 => [x, y]);
  const both = (points: readonly Vec2[], hand: string) => (hand === 'pair' ? [points, over(points)] : [points]);
  const pieces = [...parts, ...walls].flatMap((part) =>
    seenFromAbove(part).flatMap(({ outline, holes }) => [outline, ...holes].flatMap((ring) => both(ring, part.hand))),
  );
  return {
    paths: [
      ...[half, over(half)].map((points) => line('edge', points)),
      ...frames.frames.map(({ x, outline }): ViewPath => {
        const out = Math.max(...outline.map(([y]) => y));
        return line('construction', [
          [x, -out],
          [x, out],
        ]);
      }),
      ...pieces.map((ring) => closed('cut', ring)),
      ...blocks.flatMap((block) => both(blockSeen(block, 1), block.hand).map((ring) => closed('mark', ring))),
      ...stems.map((stem) => closed('cut', stemFromAbove(stem))),
      ...knees.flatMap((knee) => kneeHands(knee).map((ring) => closed('mark', ring))),
      ...people.flatMap((person) => personFromAbove(person).map((ring) => closed('construction', ring))),
    ].filter(({ points }) => points.length > 1),
    texts: numbered(fitout).map(({ ring }, i) => numberOn(ring, i + 1)),
  };
}

/** From above, of a pair both. */
const kneeHands = (knee: InsideValue['knees'][number]): Vec2[][] => {
  const own = kneeFromAbove(knee);
  const over = own.map(([x, y]): Vec2 => [x, -y]);
  return knee.hand === 'pair' ? [own, over] : [knee.hand === 'port' ? over : own];
};

/** Each piece by its number, in the order in which they are decided; a wall is of one. */
const numbered = ({ parts, walls }: InsideValue) =>
  [...parts, ...walls].flatMap(seenFromAbove).map(({ name, outline }) => ({ name, ring: outline }));

/** Narrower than this, full size, has its number beside it: it would be crossed by its own edges. */
const NARROW_MM = 160;
/** Off the middle of what spans the boat, where the centreline and people are. */
const ASIDE = 0.3;

function numberOn(ring: readonly Vec2[], number: number): ViewText {
  const { minX, maxX, minY, maxY } = boundsOf(ring);
  const isAcross = minY < 0 && maxY > 0;
  const at: Vec2 = [(minX + maxX) / 2, isAcross ? minY + ASIDE * (maxY - minY) : (minY + maxY) / 2];
  const isNarrow = Math.min(maxX - minX, maxY - minY) < NARROW_MM;
  return {
    at: isNarrow ? [minX, at[1]] : at,
    text: String(number),
    align: 'center',
    ...(isNarrow && { by: [-2.5, 0] }),
  };
}

const figures = (heads: readonly string[]) => heads.map((head) => ({ head, isFigure: true }));

function tablesOf(fitout: InsideValue, notation: Notation): SheetTable[] {
  const {
    lengths: { stretches },
    people,
    overAll,
  } = fitout;
  const say = (mm: number) => formatFine(mm, notation);
  const [first, last] = [stretches[0], stretches[stretches.length - 1]];
  const lengths: SheetTable = {
    columns: [{ head: `clear lengths, ${unitLabel(notation)}` }, ...figures(['from', 'long'])],
    rows: [
      ...stretches.map(({ kind, name, from, to }) => [kind === 'frame' ? name : 'clear', say(from), say(to - from)]),
      ...(first && last ? [['in all', say(first.from), say(last.to - first.from)]] : []),
    ],
  };
  const seated: SheetTable = {
    columns: [{ head: 'who' }, ...figures(['back at', 'seat up', 'takes up'])],
    rows: people.map(({ name, span, ahead, height }) => [
      name,
      ...[ahead < 0 ? span[1] : span[0], height, span[1] - span[0]].map(say),
    ]),
  };
  const size: SheetTable = {
    columns: [{ head: 'over all' }, ...figures(['long', 'wide', 'high'])],
    rows: [['the boat', ...[overAll.long, overAll.wide, overAll.high].map(say)]],
  };
  const parts: SheetTable = {
    columns: [{ head: 'no.' }, { head: 'from above' }],
    rows: numbered(fitout).map(({ name }, i) => [String(i + 1), name]),
  };
  return [parts, lengths, seated, size].filter(({ rows }) => rows.length > 0);
}
