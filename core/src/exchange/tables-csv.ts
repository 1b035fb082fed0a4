/** Tables that go out as CSV: marking out, frames' edges, and the list of quantities. Lengths in mm. */
import Papa from 'papaparse';
import type { Takeoff } from '../epoxy';
import type { Frame } from '../frames';
import { toDeg } from '../measure';
import { markOut, type Panel, type PanelsPart, type RoundedStrip } from '../panels';

const csv = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse([[...head], ...rows], { newline: '\n' })}\n`;
const tenth = (value: number): number => Number(value.toFixed(1));

/** Offsets from the base line that the builder chose; negative is below it. */
export const markingCsv = (
  panel: Panel,
  { markingStep, markingBase }: Pick<PanelsPart, 'markingStep' | 'markingBase'>,
): string =>
  csv(
    ['along', 'lower_edge', 'upper_edge', 'corner'],
    markOut(panel, markingStep, markingBase).rows.map((row) => [
      ...[row.u, row.lower, row.upper].map(tenth),
      row.corner ?? '',
    ]),
  );

export const frameCsv = (frame: Frame): string =>
  csv(
    ['edge', 'half_breadth', 'height', 'bevel_deg', 'other_face_offset'],
    frame.edges.flatMap((edge) =>
      edge.points.map((p) => [
        edge.panelName,
        tenth(p.y),
        tenth(p.z),
        Number(p.bevelDeg.toFixed(2)),
        tenth(p.otherFaceOffset),
      ]),
    ),
  );

export const takeoffCsv = (takeoff: Takeoff): string =>
  csv(
    ['group', 'item', 'counted_from', 'resin_g', 'filler_g', 'cloth_m2', 'tape_m'],
    takeoff.lines.map((line) => [
      line.group,
      line.item,
      line.from,
      Math.round(line.resin),
      Math.round(line.filler),
      Number(line.clothM2.toFixed(3)),
      Number(line.tapeM.toFixed(2)),
    ]),
  );

/**
 * The pieces of a rounded chine, then how it stands along the line. Cuts off square: positive leaves the lower side
 * long.
 */
export const stripCsv = (strip: RoundedStrip): string => {
  const degrees = (rad: number) => Number(toDeg(rad).toFixed(2));
  return [
    csv(
      ['layer', 'piece', 'length', 'width_fore', 'width_aft', 'cut_fore_deg', 'cut_aft_deg'],
      strip.pieces.map((p) => [
        p.layer,
        p.number,
        ...[p.length, p.widthFore, p.widthAft].map(tenth),
        degrees(p.cutForeRad),
        degrees(p.cutAftRad),
      ]),
    ),
    csv(
      ['x', 'turn_deg', 'radius', 'panels_stand_back', 'outside_width'],
      strip.places
        .filter((_, i) => i % 10 === 0)
        .map((p) => [tenth(p.x), degrees(p.turnRad), ...[p.radius, p.setback, p.outsideWidth].map(tenth)]),
    ),
  ].join('\n');
};
