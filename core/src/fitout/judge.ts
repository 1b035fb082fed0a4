/** What is to be looked at of what lies inside and on top. */
import type { Edit } from '../findings';
import { FRAMES_PATH, outlineOfOpening } from '../frames';
import { contains } from '../geometry';
import { leastRadius, type SheetInStock } from '../panels';
import { acrossAt, alongAt } from './lie';
import { WIDE_LANDING } from './constants';
import { edgeLeft } from './edge-left';
import { planeAtX } from './across';
import type { InsideFinding } from './findings';
import { INSIDE_PATH, type Hatch, type InsidePlan } from './schema';
import { noRoomFor } from './sheet-room';
import { widestGap, widestSpan } from './supports';
import { insideThing } from './things';
import type { Fitted } from './value';

type Asked = {
  readonly stock: readonly SheetInStock[];
  /** Plywood left round a hatch. */
  readonly keep: number;
};

export function judgeInside(plans: readonly InsidePlan[], parts: readonly Fitted[], asked: Asked): InsideFinding[] {
  return plans.flatMap((plan) => {
    if (plan.to <= plan.from) return [backwards(plan)];
    return parts.filter((part) => part.plan === plan.id).flatMap((part) => judgePart(plan, part, asked));
  });
}

const whereOf = (plan: InsidePlan, x?: number) => ({
  stage: 'fitout',
  part: insideThing(plan.id),
  ...(x !== undefined && { x }),
});

const backwards = (plan: InsidePlan): InsideFinding => ({
  ...{ severity: 'stop', code: 'part-backwards', where: whereOf(plan) },
  data: { part: plan.name, fromX: plan.from, toX: plan.to },
});

function judgePart(plan: InsidePlan, part: Fitted, { stock, keep }: Asked): InsideFinding[] {
  const misses: InsideFinding[] =
    part.pieces.length > 0
      ? []
      : [
          {
            ...{ severity: 'stop', code: 'part-misses-hull', where: whereOf(plan) },
            data: { part: part.name, fromX: plan.from, toX: plan.to },
          },
        ];
  return [
    ...misses,
    ...overSheer(plan, part),
    ...tooFree(plan, part),
    ...tooNarrow(plan, part),
    ...onNothing(plan, part),
    ...shutOut(plan, part),
    ...overSheet(plan, part, stock),
    ...tooTight(plan, part),
    ...throughIt(plan, part),
    ...drained(plan, part),
    ...fittingsOff(plan, part),
    ...plan.hatches.flatMap((hatch) => hatchOff(plan, part, hatch, keep)),
  ];
}

/** A sheer that lies short by less is packed with glue, mm. */
const PACKED_MM = 2;

function overSheer(plan: InsidePlan, part: Fitted): InsideFinding[] {
  if (part.openFrom !== undefined)
    return [
      {
        ...{ severity: 'check', code: 'part-over-sheer', where: whereOf(plan, part.openFrom) },
        data: { part: part.name, x: part.openFrom },
      },
    ];
  const worst = part.sheer.reduce<Fitted['sheer'][number] | undefined>(
    (low, one) => (!low || one.offMm < low.offMm ? one : low),
    undefined,
  );
  if (!worst || worst.offMm > -PACKED_MM) return [];
  return [
    {
      ...{ severity: 'check', code: 'sheer-short', where: whereOf(plan, worst.x) },
      data: { part: part.name, x: worst.x, mm: -worst.offMm },
    },
  ];
}

const edit = (plan: InsidePlan, key: string, value: Edit['value']): Edit => ({
  path: [...INSIDE_PATH, plan.id, key],
  value,
});

/** A cambered part is stiff by its camber. */
function tooFree(plan: InsidePlan, part: Fitted): InsideFinding[] {
  const most = widestSpan(plan.thickness);
  const gaps = part.pieces.map((piece) => widestGap(plan, part.lie, piece));
  const worst = gaps.reduce((a, b) => (b.spanMm > a.spanMm ? b : a), { spanMm: 0, u: 0 });
  // a knee is no place to stand on
  if (worst.spanMm <= most || part.lie.radius !== 0 || TIES.has(plan.kind)) return [];
  const bearers = moreBearers(plan, part, most);
  return [
    {
      ...{ severity: 'check', code: 'span-too-wide', where: whereOf(plan) },
      data: { part: part.name, span: worst.spanMm, most, bearers },
      remedies: [
        {
          label: bearers === 1 ? 'Put a bearer under it' : `Put ${bearers} bearers under it`,
          edits: [edit(plan, 'bearers', plan.bearers + bearers)],
        },
      ],
    },
  ];
}

const TIES: ReadonlySet<InsidePlan['kind']> = new Set(['breasthook', 'knee']);
const MOST_BEARERS = 30;

/** The fewest that leave no span too wide. */
function moreBearers(plan: InsidePlan, part: Fitted, most: number): number {
  for (let more = 1; plan.bearers + more < MOST_BEARERS; more++) {
    const tried = { ...plan, bearers: plan.bearers + more };
    if (part.pieces.every((piece) => widestGap(tried, part.lie, piece).spanMm <= most)) return more;
  }
  return MOST_BEARERS - plan.bearers;
}

function tooNarrow(plan: InsidePlan, part: Fitted): InsideFinding[] {
  const least = WIDE_LANDING.value;
  const { breadth } = plan.cleat;
  const strips = part.supports.filter(({ of }) => of !== 'solid' && of !== 'pad');
  if (strips.length === 0 || breadth >= least) return [];
  return [
    {
      ...{ severity: 'check', code: 'strips-narrow', where: whereOf(plan) },
      data: { part: part.name, mm: breadth, least },
      remedies: [
        { label: 'Make them as broad', edits: [{ path: [...INSIDE_PATH, plan.id, 'cleat', 'breadth'], value: least }] },
      ],
    },
  ];
}

/** A joint that has no timber under it within half the timber's breadth. */
function onNothing(plan: InsidePlan, part: Fitted): InsideFinding[] {
  const xs = part.supports.flatMap(({ line, breadth }) => (line ? [{ x: line.x, reach: breadth / 2 }] : []));
  return plan.cuts
    .filter(({ x }) => x > plan.from && x < plan.to)
    .filter(({ x }) => !xs.some((bearer) => Math.abs(bearer.x - x) <= bearer.reach))
    .map(({ id, x }): InsideFinding => {
      const nearest = xs.reduce<number | undefined>(
        (best, bearer) => (best === undefined || Math.abs(bearer.x - x) < Math.abs(best - x) ? bearer.x : best),
        undefined,
      );
      const moved = plan.cuts.map((cut) => (cut.id === id && nearest !== undefined ? { ...cut, x: nearest } : cut));
      return {
        ...{ severity: 'check', code: 'cut-on-nothing', where: whereOf(plan, x), data: { part: part.name, x } },
        ...(nearest !== undefined && {
          remedies: [{ label: 'Cut it over the nearest bearer', edits: [edit(plan, 'cuts', moved)] }],
        }),
      };
    });
}

const shutOut = (plan: InsidePlan, part: Fitted): InsideFinding[] =>
  part.tooBroad
    ? [
        {
          ...{ severity: 'check', code: 'will-not-go-in', where: whereOf(plan, part.tooBroad.x) },
          data: { part: part.name, ...part.tooBroad },
          remedies: [{ label: 'Cut it in two along the centreline', edits: [edit(plan, 'isHalved', true)] }],
        },
      ]
    : [];

function overSheet(plan: InsidePlan, part: Fitted, stock: readonly SheetInStock[]): InsideFinding[] {
  // bent to a camber its grain lies along
  const asked = { thickness: plan.thickness, mayTurn: part.lie.radius === 0 };
  if (part.isTimber) return [];
  return part.pieces.flatMap(({ name, region }): InsideFinding[] => {
    const none = noRoomFor(region, stock, asked);
    if (!none) return [];
    const { long, wide, sheetLong, sheetWide } = none;
    return [
      {
        ...{ severity: 'check', code: 'piece-over-sheet', where: whereOf(plan), data: { part: name, ...none } },
        remedies: [remedyFor(plan, [long, wide], [sheetLong, sheetWide])],
      },
    ];
  });
}

/** Too broad: in two halves; too long: cut across in its middle. */
function remedyFor(plan: InsidePlan, [long, wide]: readonly [number, number], sheet: readonly [number, number]) {
  if (wide > sheet[1] && long <= sheet[0])
    return { label: 'Cut it in two along the centreline', edits: [edit(plan, 'isHalved', true)] };
  const id = `cut.${plan.cuts.length + 1}.${Math.round((plan.from + plan.to) / 2)}`;
  const cut = { id, x: (plan.from + plan.to) / 2 };
  return { label: 'Cut it in two across, in its middle', edits: [edit(plan, 'cuts', [...plan.cuts, cut])] };
}

/** Its face grain runs along the boat, and the camber bends across it. */
function tooTight(plan: InsidePlan, part: Fitted): InsideFinding[] {
  const least = leastRadius(plan.thickness, Math.PI / 2);
  if (part.lie.radius === 0 || part.lie.radius >= least) return [];
  return [
    {
      ...{ severity: 'check', code: 'camber-too-tight', where: whereOf(plan) },
      data: { part: part.name, radius: part.lie.radius, least },
    },
  ];
}

function throughIt(plan: InsidePlan, part: Fitted): InsideFinding[] {
  const { radius } = plan.camber;
  return part.through.map(({ frame, name, mm, belowSheerMm }): InsideFinding => {
    const top = { kind: radius > 0 ? 'radius' : 'straight', mm: radius, below: belowSheerMm };
    return {
      ...{ severity: 'check', code: 'frame-through', where: whereOf(plan), data: { part: part.name, frame: name, mm } },
      remedies: [
        {
          label: `Cut ${name.toLowerCase()} to lie under it`,
          edits: [{ path: [...FRAMES_PATH, frame, 'top'], value: top }],
        },
      ],
    };
  });
}

function drained(plan: InsidePlan, { name, drains }: Fitted): InsideFinding[] {
  if (!drains) return [];
  const { radius, without, isLevel } = drains;
  return [
    ...without.map((part): InsideFinding => ({
      ...{ severity: 'check', code: 'drain-no-room', where: whereOf(plan), data: { part, radius } },
    })),
    ...(isLevel
      ? [{ severity: 'note' as const, code: 'drain-level' as const, where: whereOf(plan), data: { part: name } }]
      : []),
  ];
}

function fittingsOff(plan: InsidePlan, { name: part, fittings }: Fitted): InsideFinding[] {
  return fittings.clashes.map(({ fitting, name, of, clearX }): InsideFinding => {
    const where = whereOf(plan, plan.fittings.find(({ id }) => id === fitting)?.x);
    if (of === '') return { severity: 'check', code: 'fitting-off', where, data: { part, fitting: name } };
    const path = [...INSIDE_PATH, plan.id, 'fittings', fitting, 'x'];
    return {
      ...{ severity: 'check', code: 'fitting-clash', where, data: { part, fitting: name, of } },
      ...(clearX !== undefined && {
        remedies: [{ label: `Move it clear of ${of.toLowerCase()}`, edits: [{ path, value: clearX }] }],
      }),
    };
  });
}

function hatchOff(plan: InsidePlan, { lie, pieces, name }: Fitted, hatch: Hatch, keep: number): InsideFinding[] {
  const v = acrossAt(lie, hatch.out, 'under') * (plan.hand === 'port' ? -1 : 1);
  const u = alongAt(lie, planeAtX(hatch.x), v, 0);
  const { shape, long, wide, corner } = hatch;
  const ring = outlineOfOpening({ shape, out: u, up: v, width: long, height: wide, corner });
  const edges = pieces.flatMap(({ region }) =>
    ring.some((p) => contains(region.outline, p)) ? [edgeLeft(region.outline, ring)] : [],
  );
  const edge = edges.length === 1 ? (edges[0] ?? 0) : 0;
  if (edge >= keep) return [];
  return [{ severity: 'check', code: 'hatch-off', where: whereOf(plan, hatch.x), data: { part: name, edge } }];
}
