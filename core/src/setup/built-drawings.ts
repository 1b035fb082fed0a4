/** The panels of the boat as it stands, to cut from: full size, to mark out, and by how much they differ. */
import {
  closedPath,
  csv,
  straightPath,
  lengthCell,
  lengthHead,
  openPath,
  TEXT_MM,
  type Drawing,
  type ExportTable,
} from '../formats';
import type { PaperSheets, SheetHead, SheetTable } from '../formats';
import { at, simplify, unit3, cross3, dot3, sub3, type Vec2, type Vec3 } from '../geometry';
import { placeInBoat, planeOf, reaches, type Frame } from '../frames';
import type { Hull } from '../lines';
import { formatFine, unitLabel, type Notation } from '../measure';
import { cutOf, markingCsv, markingSheet, panelDrawing, planeMark, type Panel, type PanelsPart } from '../panels';
import type { Marks } from '../stage';
import { builtPlace } from './as-built';
import { HANDS, type BuiltPanel, type FittedFrame } from './built';
import { signedFigure } from './small-figure';
import type { SetupValue } from './value';

export type BuiltWhole = {
  readonly project: { readonly panels: PanelsPart; readonly notation: Notation };
  readonly values: {
    readonly lines: Pick<Hull, 'stations'>;
    readonly panels: { readonly panels: readonly Panel[] };
    readonly frames: { readonly frames: readonly Frame[] };
    readonly setup: SetupValue;
  };
};

/** With names that none of the drawn ones has. */
function named({ panel, hand }: BuiltPanel): Panel {
  const { only: _, ...shape } = panel;
  const isOne = hand === 'starboard' || hand === 'port';
  const name = isOne ? `${panel.name}, ${hand}, as built` : `${panel.name}, as built`;
  return { ...shape, id: `${panel.id}-${hand}-built`, name, ...(isOne && { only: hand }) };
}

/** Itself, or its layers. */
const cutsOf = (built: BuiltPanel): BuiltPanel[] => cutOf(built.panel).map((panel) => ({ ...built, panel }));

export const builtDrawings = (whole: BuiltWhole): Drawing[] => [
  ...whole.values.setup.built.flatMap(cutsOf).map((built) => builtDrawing(built, whole)),
  ...whole.values.setup.fitted.map(fittedDrawing),
];

export const builtDrawing = (built: BuiltPanel, { project, values }: BuiltWhole): Drawing =>
  panelDrawing(named(built), {
    ...{ stations: values.lines.stations, panels: [], part: project.panels, notation: project.notation },
    // between the layers nothing is marked
    others: (built.panel.layer?.number ?? 1) > 1 ? [] : [framesWhereTheyStand(built, values)],
  });

/** The section inside the skin, with the centreline; what is cut in it is as on its own sheet. */
function fittedDrawing({ id, name, starboard, port }: FittedFrame): Drawing {
  const ring = [...starboard, ...[...port].reverse().map(([y, z]): Vec2 => [-y, z])];
  const zs = ring.map(([, z]) => z);
  const [low, high] = [Math.min(...zs), Math.max(...zs)];
  return {
    ...{
      name: `${id}-fitted`,
      title: `${name}, fitted to the hull as it stands`,
      hand: '1, seen from aft, starboard to the right',
    },
    material: 'as on its own sheet',
    paths: [closedPath('cut', ring), straightPath([0, low], [0, high])],
    texts: [{ at: [0, (low + high) / 2], heightMm: TEXT_MM, text: `${name}, fitted` }],
  };
}

/** What may be left out of a mark's curve: a tenth of a pencil line. */
const MARK_OFF_MM = 0.05;

/** Both faces of each frame where it stands, not where it was drawn. */
function framesWhereTheyStand({ panel, hand }: BuiltPanel, { frames: { frames }, setup }: BuiltWhole['values']): Marks {
  const marks = frames.flatMap((frame) => {
    const stood = setup.frames.find(({ id }) => id === frame.id);
    const place = stood ? builtPlace(stood, setup.heights) : (p: Vec3) => p;
    const side = ([x, y, z]: Vec3): Vec3 => (hand === 'port' ? [x, -y, z] : [x, y, z]);
    const otherFace = frame.face === 'fore' ? frame.width : -frame.width;
    return [0, otherFace].flatMap((aftMm, k) => {
      const corners = [at(CORNERS, 0), at(CORNERS, 1), at(CORNERS, 2)].map((p) =>
        side(place(placeInBoat(frame, p, aftMm))),
      );
      const curve = planeMark(panel, planeThrough(corners, planeOf(frame).normal), (p) => reaches(frame.reach, p));
      return curve.length > 1 ? [{ curve, name: k === 0 ? frame.name : '' }] : [];
    });
  });
  return {
    paths: marks.map(({ curve }) => ({ ...openPath(simplify(curve, MARK_OFF_MM)), layerName: 'FRAMES' })),
    texts: marks
      .filter(({ name }) => name !== '')
      .map(({ curve, name }) => ({ at: at(curve, -1), heightMm: TEXT_MM * 0.55, text: name, layerName: 'FRAMES' })),
  };
}

/** Three places of a frame's plane, wide apart, mm. */
const CORNERS = [
  [0, 0],
  [1000, 0],
  [0, 1000],
] as const;

function planeThrough(corners: readonly Vec3[], aft: Vec3): { readonly normal: Vec3; readonly level: number } {
  const [a, b, c] = [at(corners, 0), at(corners, 1), at(corners, 2)];
  const square = unit3(cross3(sub3(b, a), sub3(c, a)));
  const normal: Vec3 = dot3(square, aft) < 0 ? [-square[0], -square[1], -square[2]] : square;
  return { normal, level: dot3(normal, a) };
}

export const builtMarking = ({ project, values }: BuiltWhole, head: SheetHead): PaperSheets[] =>
  values.setup.built
    .flatMap(cutsOf)
    .map((built) => markingSheet(named(built), { head, part: project.panels, stations: values.lines.stations }));

/** Edge by edge, as a sheet has it and as the screen shows it. */
export const changeRows = (built: readonly BuiltPanel[], notation: Notation): string[][] =>
  built.flatMap(({ panel, hand, changes }) =>
    changes.map(({ edge, isUpper, longerBy, offMm, alongMm }) => [
      `${panel.name}${hand === 'pair' ? '' : `, ${HANDS[hand]}`}: ${edgeName(panel, isUpper)} (${edge})`,
      ...[signedFigure(longerBy, notation), signedFigure(offMm, notation), formatFine(alongMm, notation)],
    ]),
  );

const edgeName = ({ spansCentreline }: Panel, isUpper: boolean): string => {
  if (spansCentreline) return isUpper ? 'starboard' : 'port';
  return isUpper ? 'upper' : 'lower';
};

export const CHANGE_HEADS = ['edge', 'longer', 'outward', 'where'] as const;

export const changesTable = (built: readonly BuiltPanel[], notation: Notation): SheetTable => ({
  columns: CHANGE_HEADS.map((head, i) => ({
    head: i === 0 ? `as built, ${unitLabel(notation)}` : head,
    ...(i > 0 && { isFigure: true }),
  })),
  rows: changeRows(built, notation),
});

export function builtTables({ project, values }: BuiltWhole): ExportTable[] {
  const { built } = values.setup;
  if (built.length === 0) return [];
  const { notation } = project;
  const head = [
    'panel',
    'hand',
    'edge',
    ...['longer_by', 'outward_by', 'along'].map((name) => lengthHead(name, notation)),
  ];
  const rows = built.flatMap(({ panel, hand, changes }) =>
    changes.map(({ edge, isUpper, longerBy, offMm, alongMm }) => [
      ...[panel.name, HANDS[hand], `${isUpper ? 'upper' : 'lower'}: ${edge}`],
      ...[longerBy, offMm, alongMm].map((mm) => lengthCell(mm, notation)),
    ]),
  );
  return [
    { name: 'as-built', title: 'Panels as built, edge by edge', csv: csv(head, rows) },
    ...values.setup.fitted.map(({ id, name, starboard, port }) => ({
      name: `fitted-${id}`,
      title: `${name}, fitted, its section`,
      csv: csv(
        ['hand', ...['half_breadth', 'height'].map((head) => lengthHead(head, notation))],
        [...starboard.map((p) => ['starboard', p] as const), ...port.map((p) => ['port', p] as const)].map(
          ([hand, [y, z]]) => [hand, lengthCell(y, notation), lengthCell(z, notation)],
        ),
      ),
    })),
    ...built.flatMap(cutsOf).map((one) => {
      const panel = named(one);
      const title = `${panel.name}, offsets to mark out`;
      return { name: `marking-${panel.id}`, title, csv: markingCsv(panel, project.panels, notation) };
    }),
  ];
}
