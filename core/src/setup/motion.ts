/**
 * A small rigid motion of a frame, and what a reading would be after it.
 *
 * Conventions: a motion turns the frame about a pivot, first about x (roll), then y (pitch), then z (yaw), each by the
 * right hand, and then moves it. With x aft, y to starboard and z up: roll lifts the starboard side, pitch leans the
 * top aft, yaw swings the starboard side forward.
 */
import { toDeg } from '../measure';
import type { Vec3 } from '../geometry';
import type { SetFrame, SetReading } from './job';

/** x, y, z in mm, then roll, pitch and yaw in radians. */
export type Motion = readonly [number, number, number, number, number, number];
export const STILL: Motion = [0, 0, 0, 0, 0, 0];

export function moved([x, y, z, roll, pitch, yaw]: Motion, pivot: Vec3, point: Vec3): Vec3 {
  const [px, py, pz] = [point[0] - pivot[0], point[1] - pivot[1], point[2] - pivot[2]];
  const [y1, z1] = [py * Math.cos(roll) - pz * Math.sin(roll), py * Math.sin(roll) + pz * Math.cos(roll)];
  const [x2, z2] = [px * Math.cos(pitch) + z1 * Math.sin(pitch), z1 * Math.cos(pitch) - px * Math.sin(pitch)];
  const [x3, y3] = [x2 * Math.cos(yaw) - y1 * Math.sin(yaw), x2 * Math.sin(yaw) + y1 * Math.cos(yaw)];
  return [pivot[0] + x + x3, pivot[1] + y + y3, pivot[2] + z + z2];
}

/** What a reading shows of a frame that is moved so. mm; of plumb degrees. */
export function readingAfter(reading: SetReading, frame: SetFrame, motion: Motion, pivot: Vec3): number {
  const at = (place: 'centre' | 'port' | 'starboard' | 'foot') => moved(motion, pivot, frame[place]);
  switch (reading.kind) {
    case 'along': {
      const [x, y, z] = at(reading.to);
      const [fx, fy, fz] = reading.from;
      return Math.hypot(x - fx, y - fy, z - fz);
    }
    case 'height':
      return at(reading.of)[2];
    case 'offset':
      return at(reading.of)[1];
    case 'plumb':
      return plumbOf(frame, motion, pivot);
  }
}

/** A shorter upright says nothing of how the frame stands, mm. */
const LEAST_UPRIGHT_MM = 1;

/** How far the frame leans aft at the top, °: by its centre over its foot, as it was drawn and then moved. */
function plumbOf(frame: SetFrame, motion: Motion, pivot: Vec3): number {
  const up = frame.centre[2] - frame.foot[2];
  const upright: Vec3 = Math.abs(up) < LEAST_UPRIGHT_MM ? [0, 0, 1] : [(frame.centre[0] - frame.foot[0]) / up, 0, 1];
  const from = moved(motion, pivot, pivot);
  const to = moved(motion, pivot, [pivot[0] + upright[0], pivot[1], pivot[2] + upright[2]]);
  return toDeg(Math.atan2(to[0] - from[0], to[2] - from[2]));
}
