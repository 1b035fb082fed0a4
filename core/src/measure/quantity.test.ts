import { describe, expect, it } from 'vitest';
import {
  areaFigure,
  formatArea,
  formatClothWeight,
  formatDeg,
  formatMass,
  formatTemperature,
  formatVolume,
  formatRun,
  formatShare,
  massFigure,
  toDeg,
  toRad,
} from './quantity';

describe('quantities', () => {
  it('turn between degrees and radians', () => {
    expect(toDeg(Math.PI)).toBe(180);
    expect(toRad(toDeg(0.7))).toBeCloseTo(0.7, 12);
  });
  it.each([
    [formatDeg(12.34), '12.3°'],
    [formatDeg(-0.04), '0.0°'],
    [formatDeg(-1.26, 2), '−1.26°'],
    [formatMass(12.4, 'mm'), '12 g'],
    [formatVolume(750, 'mm'), '750 ml'],
    [formatVolume(1500, 'mm'), '1.50 litres'],
    [formatVolume(100, 'in-16'), '3.4 fl oz'],
    [formatVolume(946.352946, 'in-16'), '1.00 qt'], // a quart, exactly
    [formatTemperature(-10, 'mm'), '−10 °C'],
    [formatTemperature(18, 'in-16'), '64 °F'],
    [formatTemperature(-40, 'in-16'), '−40 °F'], // where the two scales meet
    [formatMass(999.6, 'm'), '1000 g'],
    [formatMass(1234, 'mm'), '1.23 kg'],
    [formatMass(12_340, 'mm'), '12.3 kg'],
    [formatArea(1.2345, 'mm'), '1.23 m²'],
    [formatMass(28.35, 'in'), '1.0 oz'],
    [formatMass(908, 'ft-in-8ths'), '2.0 lb'],
    [formatArea(0.83612736, 'in-16'), '9.0 ft²'],
    [formatRun(0.9144, 'in'), '1.0 yd'],
    [formatRun(12.34, 'mm'), '12.3 m'],
    [formatClothWeight(200, 'mm'), '200 g/m²'],
    [formatClothWeight(200, 'in'), '5.9 oz/yd²'],
    [massFigure(283.495, 'in'), '10.0'],
    [areaFigure(0.5, 'mm'), '0.50'],
    [formatShare(0.8149), '81 %'],
    [formatShare(0.15, 1), '15.0 %'],
  ])('are written as %s', (written, wanted) => expect(written).toBe(wanted));
});
