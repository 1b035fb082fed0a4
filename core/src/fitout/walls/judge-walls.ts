/** What is to be looked at of the walls: whether they can be made, bent and stood where they are. */
import { leastRadius, panelConstants, type SheetInStock } from '../../panels';
import { edgeLeft } from '../edge-left';
import type { InsideFinding } from '../findings';
import type { WallPlan } from '../schema';
import { noRoomFor } from '../sheet-room';
import { insideThing } from '../things';
import type { InsideValue } from '../inside-value';
import { outlineOn, type FittedWall } from './fitted-wall';

type Asked = {
  readonly stock: readonly SheetInStock[];
  /** Plywood left round an opening. */
  readonly keep: number;
};

export const judgeWalls = (
  plans: readonly WallPlan[],
  { walls, parts }: Pick<InsideValue, 'walls' | 'parts'>,
  asked: Asked,
): InsideFinding[] =>
  plans.flatMap((plan) => {
    const nameOf = (id: string | null) => [...parts, ...walls].find((one) => one.id === id)?.name ?? '';
    return walls
      .filter((wall) => wall.plan === plan.id)
      .flatMap((wall) =>
        wall.noLine
          ? [notMade(plan, wall.noLine, nameOf(plan.lower.onPart ?? plan.upper.onPart))]
          : [
              ...stretched(plan, wall),
              ...tooTight(plan, wall),
              ...offItsPart(plan, wall, nameOf(plan.lower.onPart)),
              ...shortOf(plan, wall, nameOf(plan.between)),
              ...overSheet(plan, wall, asked.stock),
              ...openingsNear(plan, wall, asked.keep),
            ],
      );
  });

const whereOf = (plan: WallPlan, x?: number) => ({
  stage: 'fitout',
  part: insideThing(plan.id),
  ...(x !== undefined && { x }),
});

function notMade(plan: WallPlan, why: NonNullable<FittedWall['noLine']>, part: string): InsideFinding {
  const where = whereOf(plan);
  const data = { part: plan.name };
  switch (why) {
    case 'few-points':
      return { severity: 'stop', code: 'wall-few-points', where, data };
    case 'off-sheer':
      return {
        severity: 'stop',
        code: 'wall-off-sheer',
        where,
        data: { ...data, fromX: plan.lower.from, toX: plan.lower.to },
      };
    case 'off-part':
      return { severity: 'stop', code: 'wall-on-nothing', where, data: { ...data, on: part } };
    case 'no-surface':
      return { severity: 'stop', code: 'wall-no-surface', where, data };
  }
}

function stretched(plan: WallPlan, { panel }: FittedWall): InsideFinding[] {
  const { TWIST_LIMIT_DEG, STRAIN_LIMITS } = panelConstants;
  if (!panel || panel.maxTwist.value <= TWIST_LIMIT_DEG.value) return [];
  const { maxTwist, maxStrain } = panel;
  return [
    {
      severity: maxStrain.value > STRAIN_LIMITS.value.force ? 'stop' : 'check',
      ...{ code: 'wall-twists', where: whereOf(plan, maxTwist.x) },
      data: { part: plan.name, twistDeg: maxTwist.value, strain: maxStrain.value, x: maxTwist.x },
    },
  ];
}

/** Its grain runs along u, and it bends square to its rulings. */
function tooTight(plan: WallPlan, { bend }: FittedWall): InsideFinding[] {
  if (!bend) return [];
  const least = leastRadius(plan.thickness, bend.alongRad - Math.PI / 2);
  if (bend.radiusMm >= least) return [];
  return [
    {
      ...{ severity: 'check', code: 'wall-bend-tight', where: whereOf(plan, bend.x) },
      data: { part: plan.name, radius: bend.radiusMm, least, x: bend.x },
    },
  ];
}

const offItsPart = (plan: WallPlan, { offAt }: FittedWall, on: string): InsideFinding[] =>
  offAt
    ? [
        {
          ...{ severity: 'check', code: 'wall-off-part', where: whereOf(plan, offAt[0]) },
          data: { part: plan.name, on, x: offAt[0] },
        },
      ]
    : [];

const shortOf = (plan: WallPlan, { isShort }: FittedWall, side: string): InsideFinding[] =>
  isShort ? [{ severity: 'check', code: 'wall-short', where: whereOf(plan), data: { part: plan.name, side } }] : [];

const overSheet = (plan: WallPlan, { pieces }: FittedWall, stock: readonly SheetInStock[]): InsideFinding[] =>
  pieces.flatMap(({ name, region }): InsideFinding[] => {
    const none = noRoomFor(region, stock, { thickness: plan.thickness, mayTurn: false });
    if (!none) return [];
    return [{ severity: 'check', code: 'piece-over-sheet', where: whereOf(plan), data: { part: name, ...none } }];
  });

function openingsNear(plan: WallPlan, wall: FittedWall, keep: number): InsideFinding[] {
  const [piece] = wall.pieces;
  if (!piece) return [];
  return plan.openings.flatMap((opening, i): InsideFinding[] => {
    const edge = edgeLeft(piece.region.outline, outlineOn(plan, opening, wall.rulings));
    if (edge >= keep) return [];
    const data = { part: plan.name, opening: i + 1, edge };
    return [{ severity: 'check', code: 'wall-opening-near', where: whereOf(plan), data }];
  });
}
