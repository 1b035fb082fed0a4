/**
 * Finds the figures that no fair batten passes through and the slip of reading or copying that would explain each.
 *
 * Method: every line's half-breadths and heights are runs of figures along the line, from knuckle to knuckle;
 * smoothness.ts says which of them are off, and where a fair line would have them; slip-names.ts names the slip. An x
 * that differs from the other lines' x of the same station is a slip by itself. Measured: bench/find-slips.ts;
 * figures in docs/measurements.md.
 */
import { at } from '../geometry';
import { BENT_HARD, NO_USUAL_SLIP, type LinesFinding } from './findings';
import { MM_PER_INCH } from '../measure';
import { CENTRELINE_MM, type HullLine } from './hull-line';
import { pointPath } from './paths';
import { placesAlong } from './places';
import type { OffsetPoint } from './schema';
import { fairFigure, nameSlip, type NamedSlip, type Writing } from './slip-names';
import { FEWEST, suspectsIn, type Suspect } from './smoothness';

export type Quantity = 'halfBreadth' | 'height';
type Point = HullLine['points'][number];

/** Less than this is drawing, not copying. */
const LEAST_SLIP_MM = 3;
/** A fair line drawn by hand is read to about this, besides the rounding. */
const DRAWING_MM = 0.25;
/** Rounded figures lie evenly within half a step: a deviation of step/√12. */
const ROUNDING = 1 / Math.sqrt(12);

/** Slips of all lines, as checks with the value offered. */
function findSlips(lines: readonly HullLine[], { suspects, isOfCard }: Judged): LinesFinding[] {
  const written = writingOf(lines);
  // to the tenth as it was put there: what is typed over it is whole millimetres or eighths
  const isAsBent = isOfCard && written.stepMm <= TENTH_MM;
  const writing = isAsBent ? { ...written, kind: 'bent' as const } : written;
  const stations = placesOfStations(lines);
  const places = lines.flatMap((line, i) => [
    ...stationSlips(line, stations),
    ...(['halfBreadth', 'height'] as const).flatMap((quantity) =>
      suspects(line, quantity, writing).map((suspect) =>
        slipFinding({ lines, lineIndex: i, quantity, suspect, writing }),
      ),
    ),
  ]);
  return places;
}

/** By whom figures are suspected, and whether the table is that of a bent card. */
type Judged = { readonly suspects: SuspectsOf; readonly isOfCard: boolean };

/** The figures of one line that no fair line passes through. */
export type SuspectsOf = (line: HullLine, quantity: Quantity, writing: Writing) => Suspect[];

export function suspectsOf(line: HullLine, quantity: Quantity, writing: Writing): Suspect[] {
  const noise = Math.hypot(DRAWING_MM, writing.stepMm * ROUNDING);
  return runsOf(line.points).flatMap(({ from, to }) => {
    const points = line.points.slice(from, to + 1);
    const us = placesAlong(points);
    return suspectsIn(
      us,
      points.map((p) => p[quantity]),
      noise,
    )
      .map((suspect) => ({ ...suspect, index: suspect.index + from }))
      .filter(({ index, fairMm }) => Math.abs(at(line.points, index)[quantity] - fairMm) >= LEAST_SLIP_MM)
      .filter((suspect) => isSure(line, suspect, at(line.points, suspect.index)[quantity]));
  });
}

/**
 * A line may end as it likes: on the centreline it turns there by any angle. At a transom it goes on as it came, and
 * what is off by much more than it might be is a slip.
 */
function isSure({ points }: HullLine, { index, fairMm, sdMm }: Suspect, mm: number): boolean {
  if (index > 0 && index < points.length - 1) return true;
  const isOnCentreline = at(points, index).halfBreadth <= CENTRELINE_MM;
  return !isOnCentreline && Math.abs(mm - fairMm) >= Math.max(END_SLIP_MM, END_SD * sdMm);
}
/** By trial (bench/end-slips.ts): no end of a fair table is blamed, and an inch too much is found nine times of ten. */
const END_SLIP_MM = 20;
const END_SD = 6;

/**
 * The slips in the figures as they are written: where heights run down from a line, an inch too much is an inch too
 * much of that. Remedies are in the project's own heights, up from the base.
 */
export function findSlipsAsWritten(
  lines: readonly HullLine[],
  heightsFrom: number | null,
  judged: Judged,
): LinesFinding[] {
  if (heightsFrom === null) return findSlips(lines, judged);
  const turn = (mm: number) => Number((heightsFrom - mm).toFixed(6));
  const written = lines.map((line) => ({
    ...line,
    points: line.points.map((p) => ({ ...p, height: turn(p.height) })),
  }));
  return findSlips(written, judged).map((found) => ({
    ...found,
    remedies: (found.remedies ?? []).map((remedy) => ({
      ...remedy,
      edits: remedy.edits.map((edit) =>
        edit.path.at(-1) === 'height' && typeof edit.value === 'number' ? { ...edit, value: turn(edit.value) } : edit,
      ),
    })),
  }));
}

/** From one knuckle to the next, both included. */
function runsOf(points: readonly Point[]): { from: number; to: number }[] {
  const stops = [
    0,
    ...points.flatMap((p, i) => (p.isKnuckle && i > 0 && i < points.length - 1 ? [i] : [])),
    points.length - 1,
  ];
  return stops
    .slice(1)
    .map((to, i) => ({ from: at(stops, i), to }))
    .filter(({ from, to }) => to - from + 1 >= FEWEST);
}

const TENTH_MM = 0.1;
/** Steps in which tables are written, coarsest first, with the kind of rule they tell of. */
const STEPS: readonly Writing[] = [
  { kind: 'imperial', stepMm: MM_PER_INCH / 8 },
  { kind: 'metric', stepMm: 1 },
  { kind: 'metric', stepMm: 0.5 },
  { kind: 'imperial', stepMm: MM_PER_INCH / 16 },
  { kind: 'imperial', stepMm: MM_PER_INCH / 32 },
  { kind: 'metric', stepMm: TENTH_MM },
];
/** A figure may be out of step by a slip; a table is not. */
const IN_STEP = 0.85;

/** How the table is written, read off the figures themselves. */
function writingOf(lines: readonly HullLine[]): Writing {
  const figures = lines
    .flatMap((line) => line.points.flatMap((p) => [p.halfBreadth, p.height]))
    .filter((mm) => mm !== 0);
  const fits = ({ stepMm }: Writing) =>
    figures.filter((mm) => Math.abs(mm / stepMm - Math.round(mm / stepMm)) * stepMm < 1e-3).length >=
    IN_STEP * figures.length;
  return STEPS.find((writing) => figures.length > 0 && fits(writing)) ?? { kind: 'unknown', stepMm: TENTH_MM };
}

/** A sheet bent hard round a frame lies this far off a fair line there; what is further off is a slip, mm. */
const HARD_BEND_MM = 20;

function slipFinding(input: {
  readonly lines: readonly HullLine[];
  readonly lineIndex: number;
  readonly quantity: Quantity;
  readonly suspect: Suspect;
  readonly writing: Writing;
}): LinesFinding {
  const { lines, lineIndex, quantity, suspect, writing } = input;
  const line = at(lines, lineIndex);
  const point = at(line.points, suspect.index);
  const valueMm = point[quantity];
  const { fairMm, sdMm } = suspect;
  const isBentSo = writing.kind === 'bent' && Math.abs(valueMm - fairMm) < HARD_BEND_MM;
  const slip = nameSlip({
    valueMm,
    fairMm,
    sdMm,
    otherMm: point[quantity === 'height' ? 'halfBreadth' : 'height'],
    beside: cellsBeside(lines, lineIndex, suspect.index, quantity),
    writing,
  });
  return finding({
    line,
    point,
    quantity,
    valueMm,
    offMm: valueMm - fairMm,
    slip:
      slip && !isBentSo
        ? slip
        : { name: isBentSo ? BENT_HARD : NO_USUAL_SLIP, valueMm: fairFigure({ fairMm, writing }) },
  });
}

function finding(input: {
  readonly line: HullLine;
  readonly point: Point;
  readonly quantity: Quantity | 'x';
  readonly valueMm: number;
  readonly offMm: number;
  readonly slip: NamedSlip;
}): LinesFinding {
  const { line, point, quantity, valueMm, offMm, slip } = input;
  return {
    severity: 'check',
    code: 'slip',
    where: { stage: 'lines', line: line.id, station: point.station, x: point.x },
    data: {
      line: line.name,
      station: stationWords(point),
      quantity: quantity === 'halfBreadth' ? 'half-breadth' : quantity,
      valueMm,
      offMm,
      slip: slip.name,
      suggestedMm: slip.valueMm,
    },
    remedies: [
      {
        label: 'Take the offered value',
        edits: [{ path: pointPath(line.id, point.index, quantity), value: slip.valueMm }],
      },
    ],
  };
}

/** `station 3`, `transom`. */
const stationWords = ({ station, x }: Point): string =>
  station === '' ? `x ${Math.round(x)}` : /^[a-z]/.test(station) ? station : `station ${station}`;

/** The cells from which a wrong figure may have come: before and after on the line, above and below at the station. */
function cellsBeside(lines: readonly HullLine[], lineIndex: number, index: number, quantity: Quantity): NamedSlip[] {
  const line = at(lines, lineIndex);
  const point = at(line.points, index);
  const cell = (name: string, other: OffsetPoint | undefined) => (other ? [{ name, valueMm: other[quantity] }] : []);
  const atStation = (other: HullLine | undefined) => other?.points.find((p) => p.station === point.station);
  return [
    ...cell('The figure of the station before', line.points[index - 1]),
    ...cell('The figure of the station after', line.points[index + 1]),
    ...cell('The figure of the line below', atStation(lines[lineIndex - 1])),
    ...cell('The figure of the line above', atStation(lines[lineIndex + 1])),
    { name: 'Its own other figure', valueMm: point[quantity === 'height' ? 'halfBreadth' : 'height'] },
  ];
}

/** Where each station lies on each line, ends left out: they have an x of their own. */
type PlacesOfStations = ReadonlyMap<string, readonly { readonly line: HullLine; readonly x: number }[]>;

function placesOfStations(lines: readonly HullLine[]): PlacesOfStations {
  const places = new Map<string, { line: HullLine; x: number }[]>();
  for (const line of lines)
    for (const { station, x } of line.points.slice(1, -1)) {
      const list = places.get(station);
      if (list) list.push({ line, x });
      else places.set(station, [{ line, x }]);
    }
  return places;
}

/** An x unlike that of the same station on two other lines or more, which agree. Ends have an x of their own. */
function stationSlips(line: HullLine, stations: PlacesOfStations): LinesFinding[] {
  return line.points.slice(1, -1).flatMap((point) => {
    if (point.station === '') return [];
    const others = (stations.get(point.station) ?? []).filter((other) => other.line !== line).map(({ x }) => x);
    const wanted = others[0];
    if (wanted === undefined || others.length < 2 || others.some((x) => Math.abs(x - wanted) > SAME_X_MM)) return [];
    if (Math.abs(point.x - wanted) <= SAME_X_MM) return [];
    const slip = { name: 'The station’s x on the other lines', valueMm: wanted };
    return [finding({ line, point, quantity: 'x', valueMm: point.x, offMm: point.x - wanted, slip })];
  });
}

/** Stations are written the same on every line. */
const SAME_X_MM = 0.5;
