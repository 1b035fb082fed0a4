/** The demo boats: invented, for an invented place. See bench/draw-demo-lines.ts for how their lines were drawn. */
import { plainFrame, plainGirder, plainMember } from '../../frames';
import { at } from '../../geometry';
import { plainInside, plainLine, plainWall } from '../../fitout';
import { linesOf } from '../../lines';
import { NO_RECORDS, type LogRecords } from '../../log';
import { CHECKS } from '../../setup';
import { longitudinalsOf, newProject } from '../defaults';
import type { Project } from '../document';
import { ILVEN_TABLE } from './ilven';
import { ORRIN_TABLE } from './orrin';
import { ORRIN_DONE, orrinLog } from './orrin-log';
import { ILVEN_LOADS, TAMSEL_LOADS } from './loads';
import { TAMSEL_TABLE } from './tamsel';
import { VEYRA_TABLE } from './veyra';

export type DemoId = 'tamsel' | 'orrin' | 'veyra' | 'ilven' | 'slips';
export const DEMO_IDS: readonly DemoId[] = ['tamsel', 'orrin', 'veyra', 'ilven', 'slips'];

/** The name of each, as the list of projects has it. */
export const DEMO_NAMES: Readonly<Record<DemoId, string>> = {
  tamsel: 'Tamsel 430',
  orrin: 'Orrin pram',
  veyra: 'Veyra 520',
  ilven: 'Ilven 640',
  slips: 'Tamsel table with slips',
};

/** A fresh copy of a demo under the given project id. */
export function demoProject(demo: DemoId, id: string): Project {
  if (demo === 'slips') return slips(id);
  if (demo === 'veyra') return veyra(id);
  if (demo === 'ilven') return ilven(id);
  return demo === 'tamsel' ? tamsel(id) : orrin(id);
}

/** What was done on a demo, up to the day given (2027-03-01). */
export const demoRecords = (demo: DemoId, today: string): LogRecords =>
  demo === 'orrin' ? orrinLog(today) : NO_RECORDS;

type Frames = Project['frames'];
type Given = Partial<Frames['frames'][number]>;

/**
 * Frames from the bow aft: the first two have their fore face on the station, the others their after one; with what is
 * particular to each.
 */
const numbered = (kind: string, width: number, xs: readonly number[], own: readonly Given[] = []): Frames['frames'] =>
  xs.map((x, i) =>
    plainFrame({
      ...{ id: `frame.${i + 1}`, name: `${kind} ${i + 1}`, x, width, face: i < 2 ? 'fore' : 'aft' },
      ...own[i],
    }),
  );

/** On the centreline, in the lowest place. */
const MIDDLE_LIMBER = { id: 'limber.1', out: 0, diameter: 25, setIn: 25, isPair: false } as const;

/** Under a foredeck with its hatch; an open ring amidships; under the stern seat. Stringers run through all. */
const TAMSEL_FRAMES: readonly Given[] = [
  {
    top: { kind: 'rise', mm: 30, below: 6 },
    openings: [
      {
        ...{ id: 'opening.1', shape: 'rounded', out: 0, up: 415, width: 300, height: 180, corner: 40 },
        ...{ isPair: false, doubler: 40, lid: 25, lip: 0, room: 0 },
      },
    ],
    limbers: [MIDDLE_LIMBER],
    cleats: [{ id: 'cleat.1', edge: 'top', face: 'fore', setIn: 0, breadth: 30, depth: 20 }],
  },
  { kind: 'ring', ring: { breadth: 80, floor: 110, beam: 0, corner: 60 }, limbers: [MIDDLE_LIMBER] },
  {
    top: { kind: 'level', mm: 360, below: 0 },
    openings: [
      {
        ...{ id: 'opening.1', shape: 'oval', out: 320, up: 245, width: 180, height: 100, corner: 0 },
        ...{ isPair: true, doubler: 0, lid: 0, lip: 0, room: 0 },
      },
    ],
    limbers: [MIDDLE_LIMBER],
    cleats: [{ id: 'cleat.1', edge: 'top', face: 'aft', setIn: 0, breadth: 30, depth: 20 }],
  },
];

/** Open, to sit and stand between. */
const RING: Given = { kind: 'ring', ring: { breadth: 75, floor: 90, beam: 0, corner: 50 } };

const flat = (mm: number) => ({ fore: mm, aft: mm, of: 'under' as const });

/**
 * A sole on the ring's floor; side seats level with the stern seat, over the stringer; a foredeck with the camber of
 * the bulkhead under it.
 */
const TAMSEL_INSIDE: Project['fitout']['parts'] = [
  plainInside({
    id: 'sole',
    name: 'Sole',
    kind: 'sole',
    from: 1560,
    to: 3580,
    height: flat(172),
    bearers: 5,
    isHalved: true,
  }),
  plainInside({
    ...{
      id: 'seats',
      name: 'Side seat',
      kind: 'seat',
      from: 2760,
      to: 3590,
      height: flat(360),
      hand: 'pair',
      bearers: 2,
    },
    inner: { fore: 360, aft: 380 },
  }),
  plainInside({
    ...{ id: 'stern', name: 'Stern seat', kind: 'seat', from: 3591, to: 4290, height: flat(360), bearers: 1 },
  }),
  plainInside({
    ...{ id: 'foredeck', name: 'Foredeck', kind: 'deck', fit: 'over', from: 0, to: 1212, overhang: 8, thickness: 6 },
    ...{ camber: { radius: 2520 }, height: { fore: 658, aft: 622, of: 'under' }, screws: 150 },
    fittings: [
      { id: 'cleat', name: 'Mooring cleat', x: 760, out: 0, isPair: false, pad: { long: 160, wide: 90, thick: 18 } },
    ],
  }),
  plainInside({
    ...{ id: 'knees', name: 'Quarter knee', kind: 'knee', from: 4090, to: 4301, hand: 'pair', school: 'framed' },
    ...{ height: { fore: 521, aft: 522, of: 'top' }, thickness: 22, isTimber: true, inner: { fore: 650, aft: 520 } },
    cleat: { breadth: 30, depth: 20, atSkin: false, atFrames: false },
    hollow: { fore: 0, aft: 0, inner: 30 },
  }),
];

/** Turns the spray on the foredeck aside, bent as the deck is broad, leaning forward. */
/** A made-up shed behind the ringing station, and its trailer. */
const TAMSEL_LIMITS: Project['fitout']['limits'] = {
  ...{
    shopLong: 6200,
    shopWide: 3400,
    walk: 600,
    doorWide: 2300,
    doorHigh: 2000,
    trailerLong: 4600,
    trailerWide: 1700,
  },
};

const TAMSEL_PEOPLE: Project['fitout']['people'] = [
  {
    ...{ id: 'helm', name: 'Helm', pose: 'seated', faces: 'forward', x: 4120, out: 0, height: 369 },
    size: { tall: 1750, sitting: 910, thigh: 595, shin: 438, broad: 525 },
  },
];

const TAMSEL_WALLS: Project['fitout']['walls'] = [
  plainWall({
    ...{ id: 'spray', name: 'Spray board', kind: 'cabin-front', thickness: 6, gap: 1.5 },
    cleat: { breadth: 20, depth: 20 },
    lower: plainLine({
      follows: 'points',
      onPart: 'foredeck',
      points: [
        { id: 'p1', x: 1060, out: 0, height: 640 },
        { id: 'p2', x: 1071, out: 190, height: 640 },
        { id: 'p3', x: 1095, out: 340, height: 640 },
      ],
    }),
    upper: plainLine({ follows: 'lower', in: -25, up: 110 }),
  }),
];

const stringer = (given: Partial<Frames['members'][number]>) => plainMember([], 'mm', given);

/** Grey outside, clear inside, out of an invented chandler’s tins. */
const TAMSEL_FINISHES: Project['epoxy']['finishes'] = [
  {
    ...{ id: 'finish-1', name: 'Grey primer', packMl: 750, price: 24, onHand: 0, kind: 'primer', where: 'outside' },
    ...{ coats: 2, covers: 10, fromHours: 12, untilHours: 168 },
  },
  {
    ...{ id: 'finish-2', name: 'Heron grey paint', packMl: 750, price: 29, onHand: 0, kind: 'paint' },
    ...{ where: 'outside', coats: 2, covers: 11, fromHours: 16, untilHours: 96 },
  },
  {
    ...{ id: 'finish-3', name: 'Clear varnish', packMl: 1000, price: 31, onHand: 1, kind: 'varnish', where: 'inside' },
    ...{ coats: 3, covers: 12, fromHours: 24, untilHours: 72 },
  },
];

function tamsel(id: string): Project {
  const lines = linesOf(longitudinalsOf(TAMSEL_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.tamsel, notation: 'mm', lines });
  return {
    ...base,
    note:
      'V-bottomed skiff of the Lough Arvel ringing station: two people and a bundle of net poles over shallow ' +
      'water.',
    frames: {
      ...base.frames,
      pins: 4,
      frames: numbered('Bulkhead', 9, [1200, 2400, 3600], TAMSEL_FRAMES),
      members: [
        stringer({ id: 'stringer.1', name: 'Side stringer', line: 'chine', away: 180, width: 30, depth: 18, to: 4100 }),
        stringer({ id: 'clamp', name: 'Sheer clamp', line: 'sheer', on: 'below', width: 35, depth: 18 }),
      ],
    },
    fitout: { ...base.fitout, parts: TAMSEL_INSIDE, walls: TAMSEL_WALLS, people: TAMSEL_PEOPLE, limits: TAMSEL_LIMITS },
    weights: { ...base.weights, loads: [...TAMSEL_LOADS] },
    // seats and a sole are cut from as much again as what stands in the boat
    sheets: { ...base.sheets, stock: base.sheets.stock.map((sheet) => ({ ...sheet, qty: Math.max(sheet.qty, 5) })) },
    epoxy: { ...base.epoxy, finishes: TAMSEL_FINISHES },
  };
}

/** Two and a half inches and an inch and three quarters; gussets of the skin’s own plywood. */
const ORRIN_STOCK: Frames['sawn'] = {
  corner: 'floor',
  floor: 63.5,
  side: 44.45,
  plate: { thickness: 6, leg: 127, faces: 2 },
  spall: { height: null, breadth: 44.45 },
};

const INCH = 25.4;
const inches = (n: number) => n * INCH;
const ORRIN_CLEAT = { breadth: inches(1.125), depth: inches(0.75), atSkin: true, atFrames: true };
const orrinSeat = (given: Parameters<typeof plainInside>[0]) =>
  plainInside({ thickness: 9, gap: inches(1 / 8), cleat: ORRIN_CLEAT, screws: inches(5), ...given });
const onSeat = { fore: inches(12), aft: inches(12), of: 'top' } as const;

const ORRIN_INSIDE: Project['fitout']['parts'] = [
  orrinSeat({ id: 'thwart', name: 'Thwart', kind: 'thwart', from: inches(43), to: inches(53), height: onSeat }),
  orrinSeat({
    ...{ id: 'stern', name: 'Stern seat', kind: 'seat', from: inches(88), to: inches(102), height: onSeat },
    hollow: { fore: inches(1.5), aft: 0, inner: 0 },
  }),
];

/** Two stand on the thwart and tie it to the sides, up to the sheer, notched over the clamps. */
const ORRIN_KNEES: Project['fitout']['knees'] = [
  {
    ...{ id: 'hanging.1', name: 'Thwart knee', hand: 'pair', x: inches(48), goes: 'up', onPart: 'thwart' },
    ...{ height: inches(12), thickness: inches(0.75), across: inches(7), along: inches(4.75) },
    ...{ nose: inches(2), hollow: inches(0.5) },
  },
];

const ORRIN_PEOPLE: Project['fitout']['people'] = [
  {
    ...{ id: 'rower', name: 'Rower', pose: 'rowing', faces: 'aft', x: inches(43), out: 0, height: inches(12) },
    size: { tall: inches(68), sitting: inches(35.5), thigh: inches(23), shin: inches(17), broad: inches(20) },
  },
];

function orrin(id: string): Project {
  const lines = linesOf(longitudinalsOf(ORRIN_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.orrin, notation: 'ft-in-8ths', lines });
  return {
    ...base,
    note: 'Flat-bottomed pram with a bow transom, framed, with chine logs: the tender that lives on the landing stage.',
    school: 'framed',
    fitout: { ...base.fitout, parts: ORRIN_INSIDE, knees: ORRIN_KNEES, people: ORRIN_PEOPLE },
    frames: {
      ...base.frames,
      frames: numbered('Frame', 20, [609.6, 1371.6, 2057.4]),
      sawn: ORRIN_STOCK,
      planked: { panel: 'chine-chine', board: 609.6, from: 'aft', breadth: 44.45, depth: 19.05 },
      screws: { ...base.frames.screws, spacing: 101.6, ends: 25.4 },
      members: [
        stringer({
          ...{ id: 'chine-log', name: 'Chine log', line: 'chine', side: 'outside', isThrough: false },
          ...{ width: 38.1, depth: 19.05 },
        }),
        stringer({ id: 'clamp', name: 'Sheer clamp', line: 'sheer', on: 'below', width: 38.1, depth: 19.05 }),
      ],
    },
    epoxy: { ...base.epoxy, tapeLayersInside: 0, tapeLayersOutside: 1 },
    plan: { ...base.plan, jobs: [...ORRIN_DONE] },
    log: { ...base.log, budget: 900 },
  };
}

/** A top with the decks' own camber. */
const UNDER_DECK: Given = { top: { kind: 'radius', mm: 2400, below: 6.5 } };

/** Both ends decked over their bulkheads, and a tank under the foredeck's after half that is closed by its own top. */
/** Sharp at both ends, and shod there. */
const VEYRA_STEMS: Project['fitout']['stems'] = (['fore', 'aft'] as const).map((end) => ({
  ...{ id: `stem.${end}`, name: end === 'fore' ? 'Outer stem' : 'Outer sternpost', end },
  ...{ face: 36, outer: 12, depth: 14, over: 20, under: 0 },
}));

const VEYRA_INSIDE: Project['fitout']['parts'] = [
  plainInside({
    ...{ id: 'foredeck', name: 'Foredeck', kind: 'deck', fit: 'over', from: 0, to: 912, overhang: 8, thickness: 6 },
    ...{ camber: { radius: 2400 }, height: { fore: 711, aft: 636, of: 'under' } },
  }),
  plainInside({
    ...{
      id: 'afterdeck',
      name: 'Afterdeck',
      kind: 'deck',
      fit: 'over',
      from: 4288,
      to: 5200,
      overhang: 8,
      thickness: 6,
    },
    ...{ camber: { radius: 2400 }, height: { fore: 636, aft: 711, of: 'under' } },
  }),
  plainInside({
    ...{ id: 'tank', name: 'Compartment top', kind: 'top', from: 909, to: 1400, height: flat(400), bearers: 1 },
  }),
];

/** As a tape and a rule read them, of one evening: bulkhead 2 is racked by 8 mm, bulkhead 3 leans aft by a degree. */
const VEYRA_READ: readonly (readonly [string, readonly number[]])[] = [
  ['frame.2', [2200, -1, 0, 0, 478, 480, 2336, 2322]],
  ['frame.3', [3400, 0, 1, 1, 480, 479, 3493, 3494]],
];

const veyraRead = (): Project['setup']['readings'] =>
  VEYRA_READ.flatMap(([frame, values], i) =>
    values.map((value, k) => {
      const what = at(CHECKS, k);
      const turn = i * values.length + k + 1;
      return { id: `${frame}.${what}`, frame, what, isTrue: false, value, turn, firstTurn: i * values.length + 1 };
    }),
  );

function veyra(id: string): Project {
  const lines = linesOf(longitudinalsOf(VEYRA_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.veyra, notation: 'mm', lines });
  return {
    ...base,
    note:
      'Double-ended pulling boat for the far islands. Her forefoot was drawn hollow, and the bottom will not ' +
      'lie on it: see Panels.',
    fitout: { ...base.fitout, parts: VEYRA_INSIDE, stems: VEYRA_STEMS },
    setup: { ...base.setup, readings: veyraRead() },
    frames: {
      ...base.frames,
      frames: numbered('Bulkhead', 9, [900, 2000, 3200, 4300], [UNDER_DECK, RING, RING, UNDER_DECK]),
      members: [stringer({ id: 'clamp', name: 'Sheer clamp', line: 'sheer', on: 'below', width: 35, depth: 18 })],
      girders: [
        plainGirder(
          [],
          { fromX: 0, toX: 5200 },
          {
            ...{ name: 'Centre girder', from: 1500, to: 3700 },
            top: { kind: 'straight', fore: 200, aft: 200, below: 0 },
          },
        ),
      ],
    },
  };
}

/** Ends are decked: forward of a camber under the deck's plywood, which is flatter than the sheer there. */
const DECK_RADIUS_MM = 977;
const decked = (top: Given['top']): Given => ({ ...(top && { top }), limbers: [MIDDLE_LIMBER] });
const UNDER_FOREDECK = [0.3, 3].map((below) => decked({ kind: 'radius', mm: DECK_RADIUS_MM, below }));
const DECKED = decked({ kind: 'rise', mm: 25, below: 6 });
/** A sole lies level on the floors of the middle ones, over the centre girder. */
const SOLE_MM = 190;
const FLOOR: Given = {
  ...{ kind: 'ring', ring: { breadth: 60, floor: 150, beam: 0, corner: 50 } },
  limbers: [{ ...MIDDLE_LIMBER, out: 32, isPair: true, setIn: 12 }],
};

const ILVEN_DECK = {
  kind: 'deck',
  fit: 'over',
  overhang: 6,
  thickness: 6,
  camber: { radius: DECK_RADIUS_MM },
} as const;
const ILVEN_INSIDE: Project['fitout']['parts'] = [
  plainInside({
    ...{ id: 'sole', name: 'Sole', kind: 'sole', from: 2300, to: 4600, height: flat(SOLE_MM), bearers: 7 },
    ...{ isHalved: true, screws: 150 },
  }),
  plainInside({
    ...{ ...ILVEN_DECK, id: 'foredeck', name: 'Foredeck', from: 0, to: 1289 },
    height: { fore: 637.2, aft: 605.3, of: 'under' },
  }),
  plainInside({
    ...{ ...ILVEN_DECK, id: 'afterdeck', name: 'Afterdeck', from: 5111, to: 6400 },
    height: { fore: 572.4, aft: 563.9, of: 'under' },
  }),
];

function ilven(id: string): Project {
  const lines = linesOf(longitudinalsOf(ILVEN_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.ilven, notation: 'mm', lines });
  const xs = Array.from({ length: 9 }, (_, i) => 640 * (i + 1));
  const batten = { width: 30, depth: 18, from: 500 };
  return {
    ...base,
    note:
      'One of the two slender hulls of the carrier for nets and hides: decked ends, a level sole between, stringers ' +
      'right through.',
    panels: {
      ...base.panels,
      roundedChines: [{ id: 'lower-chine', radiusFore: 25, radiusAft: 130, layers: 4, layerThickness: 1.5, sag: 2 }],
    },
    frames: {
      ...base.frames,
      frames: numbered('Bulkhead', 9, xs, [...UNDER_FOREDECK, FLOOR, FLOOR, FLOOR, FLOOR, FLOOR, DECKED, DECKED]),
      members: [
        stringer({ ...batten, id: 'stringer.1', name: 'Bilge stringer', line: 'upper-chine', on: 'below', away: 30 }),
        stringer({ ...batten, id: 'stringer.2', name: 'Side stringer', line: 'upper-chine', away: 130 }),
        stringer({ ...batten, id: 'stringer.3', name: 'Sheer stringer', line: 'sheer', on: 'below' }),
      ],
      girders: [
        plainGirder(
          [],
          { fromX: 0, toX: 6400 },
          {
            ...{ name: 'Centre girder', from: 2300, to: 4600 },
            top: { kind: 'straight', fore: SOLE_MM, aft: SOLE_MM, below: 0 },
          },
        ),
      ],
    },
    fitout: { ...base.fitout, parts: ILVEN_INSIDE },
    weights: { ...base.weights, loads: [...ILVEN_LOADS] },
  };
}

/** What went wrong when the table was typed in: two digits swapped, an inch lost, a hundred too many. */
const SLIPS: Readonly<Record<string, readonly [number, number]>> = {
  'chine 3': [494.6, 192],
  'sheer 5': [689.7, 506.2],
  'keel 2': [0, 269.1],
};

function slips(id: string): Project {
  const typed = TAMSEL_TABLE.map(([line, station, x, ...own]) => {
    const [halfBreadth, height] = SLIPS[`${line} ${station}`] ?? own;
    return [line, station, x, halfBreadth, height] as const;
  });
  const lines = linesOf(longitudinalsOf(typed));
  return {
    ...newProject({ id, name: DEMO_NAMES.slips, notation: 'mm', lines }),
    note: 'The first boat’s table as someone typed it in, with three errors in it.',
  };
}
