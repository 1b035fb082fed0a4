/**
 * Turns the table into a hull: each line as a batten, with what is wrong with the numbers as findings.
 *
 * The result holds every line that can be bent, in the table's order; a line that cannot is left out and named in a
 * stop. Nothing is repaired silently.
 */
import { at, distance3, length3, sub3 } from '../geometry';
import type { LinesFinding, LinesResult } from './findings';
import { battenAt, crossingsOfX, sampleBatten } from './batten';
import { oncePer } from '../stage';
import { residuals } from './fairness';
import { bendPoints, CENTRELINE_MM, positionOf, type HullLine } from './hull-line';
import { pointPath } from './paths';
import { judgeRunOuts } from './judge-run-outs';
import { joinRunOuts } from './run-outs';
import { findSlipsAsWritten, suspectsOf, type SuspectsOf } from './slips';
import type { LinesTable, Longitudinal, OffsetPoint } from './schema';

export type Station = { readonly label: string; readonly x: number };

export type Hull = {
  /** The lines that bound panels, lowest first. */
  readonly lines: readonly HullLine[];
  /** Lines that bound none: a deck edge, a waterline. */
  readonly extras: readonly HullLine[];
  readonly stations: readonly Station[];
  readonly fromX: number;
  readonly toX: number;
  /** Of a boat whose sides differ, its other side's lowest line, turned over; absent: the same. */
  readonly otherLowest?: HullLine;
};

const CURVE_POINTS = 91;

/**
 * Bends all lines and judges the numbers: residuals, slips. Never throws on the user's data. `suspects` may remember
 * its answers: looking for slips takes some milliseconds a line.
 */
export function drawLines(part: LinesTable, suspects: SuspectsOf = suspectsOf): LinesResult<Hull> {
  const { value, findings, assumed } = bendLines(part);
  const [lines, extras] = [value.lines.map(measureLine), value.extras.map(measureLine)];
  // a batten bent round a corner lies off the points beside it, which are no slips
  const bent = new Set(findings.flatMap(({ code, where }) => (code === 'corner-not-broken' ? [where.line] : [])));
  const slips = findSlipsAsWritten([...lines, ...extras], part.heightsFrom ?? null, {
    ...{ suspects, isOfCard: part.card?.lines === null },
  });
  const findingsNow = [...findings, ...slips.filter(({ where }) => !bent.has(where.line))];
  return { value: { ...value, lines, extras }, findings: findingsNow, assumed };
}

/**
 * The lines that go all the way to an end of the hull, lowest first: those that run out on another before it do not.
 */
export const linesToEnd = ({ lines }: Pick<Hull, 'lines'>, end: 'fore' | 'aft'): HullLine[] =>
  lines.filter((line) => !line.runOuts?.[end]);

/** The line with its drawn curve. */
export const drawLine = oncePer((line: HullLine): HullLine => ({
  ...line,
  curve: sampleBatten(line.batten, CURVE_POINTS),
}));

/** The same with how far its points lie off it. */
const measureLine = oncePer((line: HullLine): HullLine => ({ ...drawLine(line), residuals: residuals(line.points) }));

/** Bends all lines and says what cannot be bent; no judgement of fairness and no
 * drawn curve: residuals and curves are empty. For computing alone. */
export const bendLines = ({ longitudinals }: Pick<LinesTable, 'longitudinals'>): LinesResult<Hull> =>
  bendTable(longitudinals);

const bendTable = oncePer((longitudinals: LinesTable['longitudinals']): LinesResult<Hull> => {
  const bent = longitudinals.map((longitudinal) => ({ ...bendLine(longitudinal), isExtra: longitudinal.isExtra }));
  const findings = bent.flatMap((one) => one.findings);
  const lines = bent.flatMap(({ line, isExtra }) => (line && !isExtra ? [line] : []));
  const extras = bent.flatMap(({ line, isExtra }) => (line && isExtra ? [line] : []));
  if (lines.length < 2)
    findings.push({
      severity: 'stop',
      code: 'lines-too-few',
      where: { stage: 'lines' },
      data: { count: lines.length },
    });
  const joined = joinRunOuts(lines);
  findings.push(...crossingLines(lines), ...judgeRunOuts(joined));
  const xs = lines.flatMap((line) => line.points.map((p) => p.x));
  const value: Hull = {
    lines: joined,
    extras,
    stations: stationsOf(longitudinals),
    fromX: xs.length > 0 ? Math.min(...xs) : 0,
    toX: xs.length > 0 ? Math.max(...xs) : 0,
  };
  return { value, findings, assumed: [] };
});

type BentLine = { readonly line: HullLine | undefined; readonly findings: readonly LinesFinding[] };

const bendLine = oncePer((longitudinal: Longitudinal): BentLine => {
  const findings: LinesFinding[] = [];
  const points = usablePoints(longitudinal, findings);
  if (points.length < 2) {
    findings.push({
      severity: 'stop',
      code: 'line-too-short',
      where: { stage: 'lines', line: longitudinal.id },
      data: { line: longitudinal.name, count: points.length },
    });
    return { line: undefined, findings };
  }
  const { id, name } = longitudinal;
  return { line: bendPoints({ id, name, residuals: [], curve: [] }, points), findings };
});

/** Points in order from bow to stern; a repeated one is passed over, one that turns back is kept but named. */
function usablePoints(longitudinal: Longitudinal, findings: LinesFinding[]) {
  const kept: (OffsetPoint & { index: number })[] = [];
  longitudinal.points.forEach((point, index) => {
    const where = { stage: 'lines', line: longitudinal.id, station: point.station, x: point.x } as const;
    const names = { line: longitudinal.name, station: pointName({ ...point, index }) };
    const before = kept.length > 0 ? at(kept, -1) : undefined;
    if (before && distance3(positionOf(before), positionOf(point)) < REPEATED_MM) {
      findings.push({ severity: 'check', code: 'point-repeated', where, data: names });
      return;
    }
    if (
      before &&
      point.x < before.x &&
      length3(sub3(positionOf(point), positionOf(before))) > 0 &&
      !isEnd(index, longitudinal)
    ) {
      findings.push({
        severity: 'check',
        code: 'line-turns-back',
        where,
        data: { ...names, backMm: before.x - point.x },
      });
    }
    if (point.halfBreadth < -CENTRELINE_MM) {
      findings.push({
        severity: 'check',
        code: 'half-breadth-negative',
        where,
        data: { ...names, valueMm: point.halfBreadth },
        remedies: [
          {
            label: 'Change the sign',
            edits: [{ path: pointPath(longitudinal.id, index, 'halfBreadth'), value: -point.halfBreadth }],
          },
        ],
      });
    }
    kept.push({ ...point, index });
  });
  return kept;
}

/** Closer than any two points of a table are meant to be. */
const REPEATED_MM = 0.01;
const isEnd = (index: number, line: Longitudinal) => index === 1 || index === line.points.length - 1;

/** The point in words: its station's label, or which of the line's points it is. */
export function pointName(point: OffsetPoint & { readonly index: number }): string {
  if (point.station === '') return `point ${point.index + 1}`;
  return /^\d/.test(point.station) ? `station ${point.station}` : point.station;
}

function stationsOf(longitudinals: readonly Longitudinal[]): Station[] {
  const byLabel = new Map<string, number[]>();
  for (const line of longitudinals)
    for (const point of line.points) {
      if (point.station === '') continue;
      byLabel.set(point.station, [...(byLabel.get(point.station) ?? []), point.x]);
    }
  const stations: Station[] = [];
  for (const [label, xs] of byLabel) {
    const x = at(xs, 0);
    if (xs.length > 1 && xs.every((other) => Math.abs(other - x) < SAME_STATION_MM)) stations.push({ label, x });
  }
  return stations.sort((a, b) => a.x - b.x);
}

/** Points of one label further apart in x than this are an end (a raked stem), not a station. */
const SAME_STATION_MM = 0.5;

/** A line that dips under the one below it without lying further out. */
function crossingLines(lines: readonly HullLine[]): LinesFinding[] {
  const findings: LinesFinding[] = [];
  for (let i = 1; i < lines.length; i++) {
    const [lower, upper] = [at(lines, i - 1), at(lines, i)];
    let worst: { x: number; below: number } | undefined;
    for (const point of upper.points) {
      for (const t of crossingsOfX(lower.batten, point.x).slice(0, 1)) {
        const [, y, z] = battenAt(lower.batten, t).position;
        const below = z - point.height;
        if (below > 1 && point.halfBreadth <= y + 1 && below > (worst?.below ?? 0)) worst = { x: point.x, below };
      }
    }
    if (!worst) continue;
    findings.push({
      severity: 'check',
      code: 'lines-cross',
      where: { stage: 'lines', line: upper.id, x: worst.x },
      data: { upper: upper.name, lower: lower.name, belowMm: worst.below, xMm: worst.x },
    });
  }
  return findings;
}
