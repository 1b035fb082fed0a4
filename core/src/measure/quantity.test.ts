import { describe, expect, it } from 'vitest';
import { formatArea, formatDeg, formatMass, formatShare, toDeg, toRad } from './quantity';

describe('quantities', () => {
  it('turn between degrees and radians', () => {
    expect(toDeg(Math.PI)).toBe(180);
    expect(toRad(toDeg(0.7))).toBeCloseTo(0.7, 12);
  });
  it.each([
    [formatDeg(12.34), '12.3°'],
    [formatDeg(-0.04), '0.0°'],
    [formatDeg(-1.26, 2), '-1.26°'],
    [formatMass(12.4), '12 g'],
    [formatMass(999.6), '1000 g'],
    [formatMass(1234), '1.23 kg'],
    [formatMass(12_340), '12.3 kg'],
    [formatArea(1.2345), '1.23 m²'],
    [formatShare(0.8149), '81 %'],
    [formatShare(0.15, 1), '15.0 %'],
  ])('are written as %s', (written, wanted) => expect(written).toBe(wanted));
});
