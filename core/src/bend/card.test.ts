import { describe, expect, it } from 'vitest';
import { polylineLength, polylineLength3, type Vec2 } from '../geometry';
import { drawLines, linesOf, tableOfCard } from '../lines';
import { developPanels } from '../panels';
import {
  alongLower,
  BOW,
  bendCard,
  cardOutline,
  cardProblemWords,
  cardSchema,
  createCardBender,
  emptyCard,
  flareAt,
  sheetLength,
  SPANS,
  STERN,
  upperAtFlare,
  type Card,
} from '.';

const made = (result: ReturnType<typeof bendCard>) => {
  if (!result.ok) throw new Error(cardProblemWords(result.problem, (mm) => `${mm} mm`));
  return result;
};
const card = emptyCard();
const whole = made(bendCard(card));
const apart = (one: typeof whole, other: typeof whole, every = 1) =>
  Math.max(
    ...(['lower', 'upper'] as const).flatMap((edge) =>
      other.bent[edge].map((p, k) => Math.hypot(...p.map((x, d) => x - (one.bent[edge][k * every]?.[d] ?? NaN)))),
    ),
  );

describe('a card as it is begun', () => {
  it('is one that the schema takes, lies on its sheets and bends', () => {
    expect(cardSchema.parse(card)).toEqual(card);
    expect(sheetLength(card)).toBe(4830);
    expect(whole.bent.problem).toBeUndefined();
    expect(whole.bent.strain.is).toBe('ordinary');
  });
  it('is held where it is held: at the frame both edges, one abreast of the other on the card', () => {
    const [low, high] = (['lower', 'upper'] as const).map((edge) =>
      whole.held.find((one) => one.edge === edge && one.frame === 'middle'),
    );
    expect(low?.place[1]).toBeCloseTo(520, 1);
    expect(high?.place[1]).toBeCloseTo(690, 1);
    const at = cardOutline(card)?.frames[0];
    expect(at && Math.abs(at.low[0] - at.high[0])).toBeLessThan(0.01);
    // along the edges from their ends to there
    const to = (edge: 'lower' | 'upper', far: number) => {
      const line = whole.bent[edge].map(([x, y, z]) => [x, y, z] as const);
      let sum = 0;
      for (let k = 1; k < line.length && sum < far; k++) {
        const [a, b] = [line[k - 1]!, line[k]!];
        sum += Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
        if (sum >= far) return b;
      }
      return undefined;
    };
    expect(to('lower', 2300)?.[1]).toBeCloseTo(520, -1);
    expect(whole.held.filter(({ frame }) => frame === STERN)).toHaveLength(2);
  });
  it('leans out by the flare that is asked of a frame', () => {
    const [middle] = card.spreaders;
    const upper = upperAtFlare(card, middle!, 20);
    // the sheet is 440 wide there: 520 + 440 sin 20°
    expect(upper).toBeCloseTo(520 + 440 * Math.sin((20 * Math.PI) / 180), 0);
    const leaning = { ...card, spreaders: [{ ...middle!, upper: upper! }] };
    expect(flareAt(leaning, leaning.spreaders[0]!)).toBeCloseTo(20, 1);
    const { lower: low, upper: high } = made(bendCard(leaning)).bent;
    // abreast of each other on the card, so somewhat apart along the boat
    const k = Math.round((2300 / whole.lowerLongMm) * (low.length - 1));
    const near = high.reduce((best, p) =>
      Math.hypot(p[0] - low[k]![0]) < Math.hypot(best[0] - low[k]![0]) ? p : best,
    );
    expect((Math.atan2(near[1] - low[k]![1], near[2] - low[k]![2]) * 180) / Math.PI).toBeCloseTo(20, 0);
    expect(flareAt(card, { ...middle!, lower: null })).toBeUndefined();
    expect(upperAtFlare(card, { ...middle!, lower: null }, 20)).toBeUndefined();
  });
  it('says where nothing holds it', () => {
    expect(whole.bare.map(({ from }) => from)).toEqual([0, 2300]);
    const more = {
      ...card,
      spreaders: [900, 1800, 2700, 3600].map((along) => ({ id: `f${along}`, along, lower: 450, upper: 600 })),
    };
    expect(made(bendCard(more)).bare).toEqual([]);
  });
});

describe('cards bent one after another', () => {
  it('come out as each does by itself, wherever they were before', () => {
    const bend = createCardBender();
    const wide: Card = { ...card, spreaders: [{ id: 'middle', along: 2300, lower: 560, upper: 760 }] };
    for (const one of [card, wide, { ...card, rise: 60 }, wide, card]) bend(one, SPANS.rested);
    const alone = made(createCardBender()(card, SPANS.rested));
    expect(apart(alone, made(bend(card, SPANS.rested)))).toBeLessThan(0.01);
  });
  it('while they are dragged nearly so', () => {
    expect(apart(whole, made(createCardBender()(card, SPANS.dragged)), 10)).toBeLessThan(3);
  });
  it('foreseen along a drag come out as each from nothing, through its turns and where another begins', () => {
    const bend = createCardBender();
    const hold = (mm: number): Card => ({ ...card, spreaders: card.spreaders.map((one) => ({ ...one, upper: mm })) });
    const edge = (mm: number): Card => ({
      ...card,
      upper: card.upper.map((point, k) => (k === 1 ? { ...point, up: mm } : point)),
    });
    const to = (k: number) => 12 - Math.abs((k % 24) - 12);
    const cards = [
      ...Array.from({ length: 30 }, (_, k) => hold(690 - 3 * to(k))),
      ...Array.from({ length: 30 }, (_, k) => edge(500 - 2.5 * to(k))),
      ...[card, hold(640), edge(470)],
    ];
    for (const [k, one] of cards.entries()) {
      const here = made(bend(one, SPANS.dragged));
      expect(here.bent.problem).toBeUndefined();
      if (k % 7 === 0 || k > 58) expect(apart(made(createCardBender()(one, SPANS.dragged)), here)).toBeLessThan(0.3);
    }
  });
  it('go on after one that cannot be bent', () => {
    const bend = createCardBender();
    bend(card, SPANS.dragged);
    expect(bend({ ...card, sheetCount: 1 }, SPANS.dragged).ok).toBe(false);
    expect(bend(card, SPANS.dragged).ok).toBe(true);
  });
});

describe('the boat of a card', () => {
  it('has a side that develops to the card again', () => {
    const { lower, upper } = whole.bent;
    const lines = linesOf(tableOfCard({ lower, upper }, card));
    expect(lines.longitudinals.map(({ id, points }) => [id, points[0]?.station, points.at(-1)?.station])).toEqual([
      ['chine', 'stem', 'transom'],
      ['sheer', 'stem', 'transom'],
    ]);
    const side = developPanels(drawLines(lines).value, { thickness: 6 }).value.find(({ name }) => name === 'Side');
    const [low, high] = (['flatP', 'flatQ'] as const).map((key) =>
      polylineLength((side?.rulings ?? []).map((r): Vec2 => r[key])),
    );
    expect(Math.abs((low ?? 0) - whole.lowerLongMm)).toBeLessThan(1.5);
    expect(Math.abs((high ?? 0) - whole.sheerLongMm)).toBeLessThan(1.5);
  });
  it('has a station where each frame holds it, and even ones between', () => {
    const spreaders = [900, 2300, 2350].map((along) => ({ id: `f${along}`, along, lower: null, upper: 600 }));
    const { lower, upper } = whole.bent;
    const [chine] = tableOfCard({ lower, upper }, { ...card, spreaders });
    const xs = (chine?.points ?? []).map(({ x }) => x);
    const along = lower.map((_, k) => polylineLength3(lower.slice(0, k + 1)));
    const fore = Math.min(...[...lower, ...upper].map(([x]) => x));
    const placeOf = (mm: number) => (lower[along.findIndex((one) => one >= mm)]?.[0] ?? 0) - fore;
    // places of the edge lie closer to one another than this
    const off = (mm: number) => Math.min(...xs.map((x) => Math.abs(x - placeOf(mm))));
    expect(off(900)).toBeLessThan(30);
    expect(off(2300)).toBeLessThan(30);
    const gaps = xs.slice(1).map((x, k) => x - (xs[k] ?? 0));
    expect(Math.min(...gaps)).toBeGreaterThan(150);
    expect(Math.max(...gaps)).toBeLessThan(560);
  });
  it('bent hard round its frame, names no slip of copying, and tells what would be fair', () => {
    const tight: Card = { ...card, spreaders: [{ id: 'middle', along: 2300, lower: 520, upper: 740 }] };
    const { lower, upper } = made(bendCard(tight)).bent;
    const longitudinals = tableOfCard({ lower, upper }, tight);
    const slips = (of: Card | undefined, table = longitudinals) =>
      drawLines({ longitudinals: table, card: of }).findings.flatMap(({ code, data }) =>
        code === 'slip' ? [data] : [],
      );
    const [hard] = slips(tight);
    expect(hard).toMatchObject({ slip: 'Bent hard', quantity: 'half-breadth' });
    expect(hard?.suggestedMm).toBeGreaterThan(520);
    // a card that was tried in a boat of her own says nothing of her table
    expect(slips({ ...tight, lines: { lower: 'chine', upper: 'sheer' } })[0]?.slip).not.toBe('Bent hard');
    // nor is a foot too much the card's doing
    const typed = longitudinals.map((line, i) => ({
      ...line,
      points: line.points.map((p, k) => (i === 1 && k === 3 ? { ...p, halfBreadth: p.halfBreadth + 304.8 } : p)),
    }));
    expect(slips(tight, typed).map(({ slip }) => slip)).toContain('One foot less');
  });
  it('without a transom comes together aft as it does forward', () => {
    const canoe = made(bendCard({ ...card, hasTransom: false, stem: 24 }));
    for (const edge of ['lower', 'upper'] as const) expect(canoe.bent[edge].at(-1)?.[1]).toBeCloseTo(12, 1);
    const { lower, upper } = canoe.bent;
    expect(
      tableOfCard({ lower, upper }, { ...card, hasTransom: false, spreaders: [] })[0]?.points.at(-1)?.station,
    ).toBe('sternpost');
  });
});

describe('a card that ends on a transom at the bow', () => {
  // alike from either end
  const alike = (along: number, up: number, id: string) => [
    { id: `${id}1`, along, up },
    { id: `${id}2`, along: 1500, up: up + (id === 'l' ? -30 : 30) },
    { id: `${id}3`, along: 3000 - along, up },
  ];
  const pram: Card = {
    ...{ ...card, sheetCount: 1, sheetLong: 3000, hasBowTransom: true, bow: { lower: 260, upper: 340 } },
    ...{ transom: { lower: 260, upper: 340 }, lower: alike(140, 90, 'l'), upper: alike(20, 480, 'u') },
    spreaders: [{ id: 'middle', along: (3000 - 280) / 2, lower: 420, upper: 560 }],
  };
  // the lower edge is a little longer than the straight line between its ends
  const long = made(bendCard(pram)).lowerLongMm;
  const even = { ...pram, spreaders: [{ id: 'middle', along: long / 2, lower: 420, upper: 560 }] };
  const { bent, held } = made(bendCard(even));
  it('is the same boat from either end, where the card is', () => {
    for (const edge of [bent.lower, bent.upper]) {
      const middle = (edge[0]![0] + edge.at(-1)![0]) / 2;
      edge.forEach(([x, y, z], k) => {
        const [over, out, up] = edge[edge.length - 1 - k]!;
        expect(Math.hypot(x + over - 2 * middle, y - out, z - up)).toBeLessThan(0.01);
      });
    }
    expect(bent.rocker.fore).toBeCloseTo(bent.rocker.aft, 1);
  });
  it('keeps its breadths there, and says what they take', () => {
    expect(bent.lower[0]![1]).toBeCloseTo(260, 1);
    expect(bent.upper[0]![1]).toBeCloseTo(340, 1);
    const at = (frame: string) => held.filter((one) => one.frame === frame);
    expect(at(BOW).map(({ edge }) => edge)).toEqual(['lower', 'upper']);
    for (const one of at(BOW)) {
      const aft = at(STERN).find(({ edge }) => edge === one.edge);
      expect(Math.abs(one.pullN - (aft?.pullN ?? NaN))).toBeLessThan(0.01 * Math.abs(one.pullN) + 0.1);
      expect(one.place[0]).toBeLessThan(200);
    }
  });
  it('gives a table of a boat with two transoms, which develops', () => {
    const longitudinals = tableOfCard(bent, even);
    expect(longitudinals.map(({ points }) => [points[0]?.station, points.at(-1)?.station])).toEqual([
      ['bow', 'transom'],
      ['bow', 'transom'],
    ]);
    const hull = drawLines({ ...linesOf(longitudinals) }).value;
    expect(developPanels(hull, { thickness: 6 }).value.map(({ id }) => id)).toEqual(['chine-chine', 'chine-sheer']);
  });
  it('says so where its breadths lie further apart than its end is wide', () => {
    const wide = bendCard({ ...pram, bow: { lower: 0, upper: 900 } });
    expect(wide.ok ? 'bent' : cardProblemWords(wide.problem, String)).toMatch(/^Bow: .* further apart/);
  });
});

describe('what is wrong with a card is said', () => {
  const frame = (change: object) => ({ spreaders: [{ ...card.spreaders[0]!, ...change }] });
  it.each<[string, Partial<Card>, RegExp]>([
    ['a sheet too short', { sheetCount: 1 }, /^Point 3 of the lower edge lies off the sheet of 2440 by 600\.$/],
    ['an edge that turns back', { upper: [...card.upper].reverse() }, /^The upper edge turns back: each point/],
    ['a frame beyond the edge', frame({ along: 4600 }), /^A frame stands 4600 along an edge of 44\d\d\.$/],
    [
      'a frame wider apart than the sheet',
      frame({ lower: 100 }),
      /^A frame’s half-breadths are 590 apart; the sheet is 44\d wide there\.$/,
    ],
    [
      'nothing that holds it',
      { spreaders: [], hasTransom: false, stem: 0, lower: [card.lower[0]!, { id: 'z', along: 160, up: 80 }] },
      /shorter than 100 mm/,
    ],
  ])('%s', (_, change, words) => {
    const result = bendCard({ ...card, ...change });
    expect(result.ok ? 'bent' : cardProblemWords(result.problem, (mm) => String(Math.round(mm)))).toMatch(words);
  });
  it('an edge that turns back has no outline, but a length along it', () => {
    expect(cardOutline({ ...card, lower: [...card.lower].reverse() })).toBeUndefined();
    expect(alongLower(card, 150)).toBeCloseTo(0, 6);
    expect(alongLower(card, 9000)).toBeCloseTo(whole.lowerLongMm, 6);
  });
});
