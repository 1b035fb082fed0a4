/**
 * Finds the point that no fair batten passes through and the slip of reading or copying that would explain it.
 *
 * Method: a bad point also bends the batten at its neighbours, so its own residual hardly stands out. Judge a candidate
 * by how fair the rest is without it: take the point whose removal leaves the smallest greatest residual (in one
 * quantity), and flag it when its own residual exceeds `STANDS_OUT` times what is left. Then try the usual slips on
 * the value and name the one whose correction brings the residual to what is left. Repeated for up to three a line.
 * Limits: lines of seven points or more, interior points; the end points bend nothing that could give them away.
 */
import { at } from '../geometry';
import type { Finding } from '../findings';
import { MM_PER_FOOT, MM_PER_INCH } from '../measure';
import { residualOf } from './fairness';
import type { HullLine } from './hull';
import type { OffsetPoint } from './schema';

type Quantity = 'halfBreadth' | 'height';

/** Own residual over the greatest of the rest: found by trial on random fair lines (methods notes). */
const STANDS_OUT = 4;
/** Smaller than this is drawing, not copying. */
const LEAST_SLIP_MM = 4;
const MOST_SLIPS_A_LINE = 3;
const FEWEST_POINTS = 7;

/** Slips of all lines, as checks with the value offered. */
export function findSlips(lines: readonly HullLine[]): Finding[] {
  return lines.flatMap((line) => {
    if (line.points.length < FEWEST_POINTS) return [];
    return (['halfBreadth', 'height'] as const).flatMap((quantity) => slipsOf(line, quantity));
  });
}

function slipsOf(line: HullLine, quantity: Quantity): Finding[] {
  const findings: Finding[] = [];
  let points: readonly HullLine['points'][number][] = line.points;
  for (let round = 0; round < MOST_SLIPS_A_LINE && points.length >= FEWEST_POINTS; round++) {
    const suspect = worstPoint(points, quantity);
    if (!suspect) break;
    const point = at(points, suspect.index);
    findings.push(slipFinding({ line, point, quantity, suspect }));
    points = points.filter((_, i) => i !== suspect.index);
  }
  return findings;
}

type Suspect = { readonly index: number; readonly offMm: number; readonly restMm: number };

function worstPoint(points: readonly OffsetPoint[], quantity: Quantity): Suspect | undefined {
  let best: Suspect | undefined;
  for (let index = 1; index < points.length - 1; index++) {
    const offMm = residualOf(points, index)[quantity];
    if (Math.abs(offMm) < LEAST_SLIP_MM) continue;
    const rest = points.filter((_, i) => i !== index);
    const restMm = Math.max(...rest.map((_, i) => Math.abs(residualOf(rest, i)[quantity])));
    if (!best || restMm < best.restMm) best = { index, offMm, restMm };
  }
  if (!best || Math.abs(best.offMm) < STANDS_OUT * Math.max(best.restMm, 0.5)) return undefined;
  return best;
}

function slipFinding(input: {
  line: HullLine;
  point: OffsetPoint & { readonly index: number };
  quantity: Quantity;
  suspect: Suspect;
}): Finding {
  const { line, point, quantity, suspect } = input;
  const value = point[quantity];
  const slip = nameSlip(value, suspect, otherFigure(point, quantity));
  const where = { stage: 'lines', line: line.id, station: point.station, x: point.x } as const;
  const names = {
    line: line.name,
    station: point.station === '' ? `x ${Math.round(point.x)}` : `station ${point.station}`,
  };
  if (!slip)
    return {
      severity: 'check',
      code: 'line-unfair',
      where,
      data: { ...names, quantity, offMm: Math.abs(suspect.offMm) },
    };
  return {
    severity: 'check',
    code: 'slip',
    where,
    data: {
      ...names,
      quantity: quantity === 'height' ? 'height' : 'half-breadth',
      valueMm: value,
      offMm: suspect.offMm,
      slip: slip.name,
      suggestedMm: slip.value,
    },
    remedies: [
      {
        label: 'Take the offered value',
        edits: [{ path: ['lines', 'longitudinals', line.id, 'points', point.index, quantity], value: slip.value }],
      },
    ],
  };
}

type Slip = { readonly name: string; readonly value: number };

/** The usual slip whose correction leaves least, if that is no more than the unfairness of the rest. */
function nameSlip(value: number, suspect: Suspect, neighbours: readonly Slip[]): Slip | undefined {
  const fair = value - suspect.offMm;
  const close = Math.max(1.5, 1.5 * suspect.restMm, Math.abs(suspect.offMm) * 0.08);
  const likely = [...usualSlips(value), ...neighbours].map((slip) => ({
    slip,
    left: Math.abs(slip.value - fair),
  }));
  likely.sort((a, b) => a.left - b.left);
  const best = likely[0];
  return best && best.left <= close ? best.slip : undefined;
}

function usualSlips(value: number): Slip[] {
  const steps: readonly (readonly [number, string])[] = [
    [MM_PER_FOOT, 'One foot'],
    [MM_PER_INCH, 'One inch'],
    [MM_PER_INCH / 2, 'Half an inch'],
    [MM_PER_INCH / 8, 'One eighth'],
    [10, '10 mm'],
    [100, '100 mm'],
  ];
  const shifted = steps.flatMap(([mm, name]): Slip[] => [
    { name: `${name} less`, value: value - mm },
    { name: `${name} more`, value: value + mm },
  ]);
  return [...shifted, { name: 'The other sign', value: -value }, ...swappedDigits(value)];
}

function swappedDigits(value: number): Slip[] {
  const digits = String(Math.round(Math.abs(value)));
  const rest = Math.abs(value) - Math.round(Math.abs(value));
  return Array.from({ length: digits.length - 1 }, (_, i): Slip => {
    const swapped = digits.slice(0, i) + digits.charAt(i + 1) + digits.charAt(i) + digits.slice(i + 2);
    return { name: 'Two digits swapped back', value: Math.sign(value || 1) * (Number(swapped) + rest) };
  }).filter((slip) => Math.abs(slip.value - value) > LEAST_SLIP_MM);
}

/** The point's own other figure, taken by mistake for this one. */
function otherFigure(point: OffsetPoint, quantity: Quantity): Slip[] {
  const other = quantity === 'height' ? point.halfBreadth : point.height;
  return [{ name: 'Height and half-breadth the other way round', value: other }];
}
