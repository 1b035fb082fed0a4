/**
 * A card as a designer cuts one: a sheet of so many lengths, its two edges drawn on it, and what holds it when it is
 * bent. Lengths mm: along the sheet from its fore end, up from its lower border.
 */
import { z } from 'zod';
import { at, lerp3, type Vec2, type Vec3 } from '../geometry';
import { toDeg, toRad } from '../measure';
import { countField, lengthField } from '../stage';
import { bendSheet, createBender, type Bent } from './bend';
import { edgeReader, lengthAt } from './edges';
import { readBendJob, type BendJob } from './job';

/** A sheet is no larger, mm, nor a stem thicker; an edge has no more points, a card no more spreaders. */
export const CARD_LIMITS = { along: 15_000, wide: 3000, points: 24, spreaders: 24, stem: 500 } as const;

const edgePointSchema = z.object({
  id: z.string().min(1).max(60),
  along: lengthField('Along the sheet', -2000, 20_000),
  up: lengthField('Up the sheet', -1000, 5000),
});

/** A frame, or what else spreads it. */
const spreaderSchema = z.object({
  id: z.string().min(1).max(60),
  /** Along the lower edge from its fore end; it stands square to the sheet's length. */
  along: lengthField('Along the lower edge', 0, 20_000),
  /** Half-breadths; null: free there. */
  lower: lengthField('Half-breadth below', 0, 3000).nullable(),
  upper: lengthField('Half-breadth above', 0, 3000).nullable(),
});

export const cardSchema = z.object({
  /** Lengths of sheet end to end, and what each joint takes. */
  sheetCount: countField('Sheets end to end', 1, 8),
  sheetLong: lengthField('A sheet is long', 300, CARD_LIMITS.along),
  sheetWide: lengthField('A sheet is wide', 100, CARD_LIMITS.wide),
  joint: lengthField('A joint takes', 0, 300),
  thickness: lengthField('Thickness', 1, 30),
  lower: z.array(edgePointSchema).min(2).max(CARD_LIMITS.points),
  upper: z.array(edgePointSchema).min(2).max(CARD_LIMITS.points),
  /** Of the stem piece between the two sides; 0: they meet. */
  stem: lengthField('Stem is thick', 0, CARD_LIMITS.stem),
  /** Half-breadths of a bow that is a transom, in place of the stem. */
  hasBowTransom: z.boolean(),
  bow: z.object({
    lower: lengthField('Half-breadth below', 0, 3000),
    upper: lengthField('Half-breadth above', 0, 3000),
  }),
  /** Half-breadths of a transom; where there is none the after ends meet on the stem's thickness too. */
  hasTransom: z.boolean(),
  transom: z.object({
    lower: lengthField('Half-breadth below', 0, 3000),
    upper: lengthField('Half-breadth above', 0, 3000),
  }),
  /** How much higher the after foot stands than the fore one. */
  rise: lengthField('After foot higher by', -1000, 2000),
  spreaders: z.array(spreaderSchema).max(CARD_LIMITS.spreaders),
  /** Of a card that is a panel of a boat: the lines that its edges are, by their ids; null: it is a boat by itself. */
  lines: z.object({ lower: z.string().max(60), upper: z.string().max(60) }).nullable(),
});

export type Card = z.infer<typeof cardSchema>;
export type Spreader = Card['spreaders'][number];

/** So long is what the sheets make, end to end. */
export const sheetLength = ({ sheetCount, sheetLong, joint }: Card): number =>
  sheetCount * sheetLong - (sheetCount - 1) * joint;

/** Two sheets end to end, cut at both ends, round a frame in the middle: a skiff of some 4.5 m. */
export const emptyCard = (): Card => ({
  ...{ sheetCount: 2, sheetLong: 2440, sheetWide: 600, joint: 50, thickness: 6 },
  lower: edgeOf('l', [
    [150, 80],
    [2400, 60],
    [4600, 80],
  ]),
  upper: edgeOf('u', [
    [0, 520],
    [2400, 500],
    [4700, 480],
  ]),
  ...{ stem: 0, hasBowTransom: false, bow: { lower: 220, upper: 300 } },
  ...{ hasTransom: true, transom: { lower: 380, upper: 500 }, rise: 0 },
  spreaders: [{ id: 'middle', along: 2300, lower: 520, upper: 690 }],
  lines: null,
});

const edgeOf = (id: string, places: readonly Vec2[]): Card['lower'] =>
  places.map(([along, up], k) => ({ id: `${id}${k + 1}`, along, up }));

const pointsOf = (edge: Card['lower']): Vec2[] => edge.map(({ along, up }): Vec2 => [along, up]);

export type CardBent =
  | {
      readonly ok: true;
      readonly bent: Bent;
      /** What each frame takes, by its id; the transom's is `stern`, that of a bow that is one `bow`. */
      readonly held: readonly CardHeld[];
      readonly bare: readonly Bare[];
      /** Of the edges on the card. */
      readonly lowerLongMm: number;
      readonly sheerLongMm: number;
    }
  | { readonly ok: false; readonly problem: CardProblem };

/** What keeps a card from being bent. Lengths mm. */
export type CardProblem =
  | { readonly why: 'turns back'; readonly edge: EdgeName }
  | { readonly why: 'beyond the edge'; readonly along: number; readonly long: number }
  | { readonly why: 'too far apart'; readonly apart: number; readonly wide: number }
  | {
      readonly why: 'off the sheet';
      readonly edge: EdgeName;
      readonly point: number;
      readonly long: number;
      readonly wide: number;
    }
  | { readonly why: 'other'; readonly words: string };
type EdgeName = 'lower' | 'upper';

/** In a sentence, lengths said as asked. */
export function cardProblemWords(problem: CardProblem, length: (mm: number) => string): string {
  switch (problem.why) {
    case 'turns back':
      return `The ${problem.edge} edge turns back: each point has to lie further aft than the one before.`;
    case 'beyond the edge':
      return `A frame stands ${length(problem.along)} along an edge of ${length(problem.long)}.`;
    case 'too far apart':
      return (
        `A frame’s half-breadths are ${length(problem.apart)} apart; ` +
        `the sheet is ${length(problem.wide)} wide there.`
      );
    case 'off the sheet':
      return (
        `Point ${problem.point} of the ${problem.edge} edge lies off the sheet of ` +
        `${length(problem.long)} by ${length(problem.wide)}.`
      );
    case 'other':
      return `${problem.words.charAt(0).toUpperCase()}${problem.words.slice(1)}.`;
  }
}

/** `frame`: by its id, or that of an end that is a transom. `place`: where it is held, mm. */
export type CardHeld = Bent['held'][number] & { readonly frame: string; readonly place: Vec3 };

/** A length of the sheet that nothing holds, along the lower edge. */
export type Bare = { readonly from: number; readonly to: number };

/** Spans of the sheet while a handle is dragged, and when it rests. */
export const SPANS = { dragged: 20, rested: 32 } as const;

/** Bends cards one after another, each from the one before. */
export function createCardBender(): (card: Card, spans: number) => CardBent {
  const bend = createBender();
  return (card, spans) => bentBy(card, spans, (job) => bend(job, spans === SPANS.dragged));
}

function bentBy(card: Card, spans: number, bend: (job: BendJob) => Bent): CardBent {
  const off = offTheSheet(card);
  if (off !== undefined) return { ok: false, problem: off };
  const asked = jobOf(card, spans);
  if (!asked.ok) return asked;
  const bent = bend(asked.job);
  const held = bent.held.map((one) => ({
    ...one,
    frame: typeof one.at === 'number' ? at(asked.frames, one.at) : one.at,
    place: placeOn(bent[one.edge], typeof one.at === 'number' ? at(asked.shares, one.at) : one.at === BOW ? 0 : 1),
  }));
  const lengthOf = (edge: Card['lower']) => edgeReader(pointsOf(edge)).length;
  const long = { lowerLongMm: lengthOf(card.lower), sheerLongMm: lengthOf(card.upper) };
  return { ok: true, bent, held, bare: bareOf(card, long.lowerLongMm), ...long };
}

export const STERN = 'stern';
export const BOW = 'bow';

/** Of the edges that a table is taken from, between straight pieces: under a hundredth of a millimetre off. */
const TABLE_PLACES = 600;

/** A card bent by itself, from nothing: always the same for the same card. Its edges place by place. */
export function bendCard(card: Card): CardBent {
  return bentBy(card, SPANS.rested, (job) => bendSheet(job, { places: TABLE_PLACES }));
}

type Asked =
  | {
      readonly ok: true;
      readonly job: BendJob;
      /** Of each of its frames: the card's frame, and the share of its edge at which it holds. */
      readonly frames: readonly string[];
      readonly shares: readonly number[];
    }
  | { readonly ok: false; readonly problem: CardProblem };

function jobOf(card: Card, spans: number): Asked {
  const [lower, upper] = [pointsOf(card.lower), pointsOf(card.upper)];
  const backward = [lower, upper].findIndex(turnsBack);
  if (backward >= 0) return { ok: false, problem: { why: 'turns back', edge: backward === 0 ? 'lower' : 'upper' } };
  const [u0, v0] = at(lower, 0);
  const shifted = (line: readonly Vec2[]) => line.map(([u, v]): Vec2 => [u - u0, v - v0]);
  const [low, high] = [edgeReader(shifted(lower)), edgeReader(shifted(upper))];
  const frames: BendJob['frames'] = [];
  const ids: string[] = [];
  const shares: number[] = [];
  for (const frame of card.spreaders) {
    if (frame.along >= low.length)
      return { ok: false, problem: { why: 'beyond the edge', along: frame.along, long: low.length } };
    const abreast = lengthAt(high, low.at(frame.along / low.length)[0]);
    if (frame.lower !== null) {
      frames.push({ along: frame.along, lower: frame.lower });
      ids.push(frame.id);
      shares.push(frame.along / low.length);
    }
    if (frame.upper !== null) {
      frames.push({ along: abreast, upper: frame.upper });
      ids.push(frame.id);
      shares.push(abreast / high.length);
    }
    const wide = at(high.at(abreast / high.length), 1) - at(low.at(frame.along / low.length), 1);
    if (frame.lower !== null && frame.upper !== null && Math.abs(frame.upper - frame.lower) >= wide)
      return {
        ok: false,
        problem: { why: 'too far apart', apart: Math.abs(frame.upper - frame.lower), wide },
      };
  }
  const closed = { lower: card.stem / 2, upper: card.stem / 2 };
  const read = readBendJob({
    ...{ lower: shifted(lower), upper: shifted(upper), thickness: card.thickness, stem: card.stem, rise: card.rise },
    ...{ stern: card.hasTransom ? card.transom : closed, frames, spans },
    ...(card.hasBowTransom && { bow: card.bow }),
  });
  if (!read.ok) return { ok: false, problem: { why: 'other', words: read.problem } };
  return { ok: true, job: read.job, frames: ids, shares };
}

const turnsBack = (line: readonly Vec2[]) => line.some((p, k) => k > 0 && p[0] <= at(line, k - 1)[0]);

/** Of an edge place by place at even shares of its length. */
function placeOn(places: readonly Vec3[], share: number): Vec3 {
  const whole = share * (places.length - 1);
  const k = Math.min(places.length - 2, Math.floor(whole));
  return lerp3(at(places, k), at(places, k + 1), whole - k);
}

export type CardOutline = {
  readonly lower: readonly Vec2[];
  readonly upper: readonly Vec2[];
  /** Where each frame stands, from edge to edge. */
  readonly frames: readonly { readonly id: string; readonly low: Vec2; readonly high: Vec2 }[];
};

const OUTLINE_PLACES = 80;

/** The card as it lies flat on its sheet; undefined while an edge turns back. */
export function cardOutline(card: Card): CardOutline | undefined {
  const lines = [pointsOf(card.lower), pointsOf(card.upper)];
  if (lines.some(turnsBack)) return undefined;
  const [low, high] = [edgeReader(at(lines, 0)), edgeReader(at(lines, 1))];
  const along = (edge: typeof low) => Array.from({ length: OUTLINE_PLACES + 1 }, (_, k) => edge.at(k / OUTLINE_PLACES));
  return {
    lower: along(low),
    upper: along(high),
    frames: card.spreaders.map(({ id, along: far }) => {
      const foot = low.at(Math.min(1, far / low.length));
      return { id, low: foot, high: high.at(lengthAt(high, foot[0]) / high.length) };
    }),
  };
}

/** How wide the sheet is at a frame, square to its length; undefined while an edge turns back. */
function wideAt(card: Card, frame: string): number | undefined {
  const here = cardOutline(card)?.frames.find(({ id }) => id === frame);
  return here && here.high[1] - here.low[1];
}

/** How far a frame leans the sheet out, degrees from upright across it; undefined where an edge is free there. */
export function flareAt(card: Card, { id, lower, upper }: Spreader): number | undefined {
  const wide = wideAt(card, id);
  if (lower === null || upper === null || wide === undefined || Math.abs(upper - lower) > wide) return undefined;
  return toDeg(Math.asin((upper - lower) / wide));
}

/** The frame's breadth above, to the tenth, that leans the sheet out so far; undefined where it has no width there. */
export function upperAtFlare(card: Card, { id, lower }: Spreader, flareDeg: number): number | undefined {
  const wide = wideAt(card, id);
  if (lower === null || wide === undefined) return undefined;
  return Math.max(0, Math.round(10 * (lower + wide * Math.sin(toRad(flareDeg)))) / 10);
}

/** So far along the lower edge it lies so far along the sheet. */
export const alongLower = (card: Card, u: number): number => lengthAt(edgeReader(pointsOf(card.lower)), u);

/** Where a point of an edge lies off the sheet; undefined where none does. */
function offTheSheet(card: Card): CardProblem | undefined {
  const [long, wide] = [sheetLength(card), card.sheetWide];
  for (const [name, edge] of [['lower', card.lower] as const, ['upper', card.upper] as const])
    for (const [k, { along, up }] of edge.entries())
      if (along < 0 || along > long || up < 0 || up > wide)
        return { why: 'off the sheet', edge: name, point: k + 1, long, wide };
  return undefined;
}

/** Nothing within so much of the whole is long to be without a hold. */
const BARE_SHARE = 0.4;

function bareOf({ spreaders }: Card, length: number): Bare[] {
  const places = [0, ...spreaders.map(({ along }) => along).sort((a, b) => a - b), length];
  return places.slice(1).flatMap((to, k) => {
    const from = at(places, k);
    return to - from > BARE_SHARE * length ? [{ from, to }] : [];
  });
}
