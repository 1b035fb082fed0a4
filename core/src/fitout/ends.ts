/** The inner faces of what closes a boat's ends, and the outer ones that a deck runs out to. */
import { at, dot3, type Vec3 } from '../geometry';
import type { Transom } from '../panels';
import type { EndOfRoom } from './fitted';

/** @param clearMm kept clear of them */
export function innerFaces(transoms: readonly Transom[], thickness: number, clearMm: number): EndOfRoom[] {
  return transoms
    .filter(({ rows }) => rows === undefined)
    .map(({ end, fit, rakeRad, corners }) => {
      const out = end === 'aft' ? 1 : -1;
      const normal: Vec3 = [out * Math.cos(rakeRad), 0, -out * Math.sin(rakeRad)];
      // the plane of the panels' ends is the inner face of one that caps them, the outer one of one between them
      const within = fit === 'caps' ? 0 : thickness;
      return { normal, level: dot3(at(corners, 0), normal) - within - clearMm };
    });
}
