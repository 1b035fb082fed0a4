import { describe, expect, it } from 'vitest';
import { sentence } from '../project';
import { placeText, worstFirst, type Finding } from './finding';

const finding = (severity: Finding['severity'], line: string): Finding => ({
  severity,
  code: 'line-turns-back',
  where: { stage: 'lines', line },
  data: { line, station: 'station 3', backMm: 9 },
});

describe('findings', () => {
  it('come worst first, otherwise as they were, and the list given is left alone', () => {
    const given = [finding('note', 'a'), finding('check', 'b'), finding('stop', 'c'), finding('check', 'd')];
    const before = [...given];
    expect(worstFirst(given).map((f) => f.where.line)).toEqual(['c', 'b', 'd', 'a']);
    expect(given).toEqual(before);
  });
  it('give their lengths in the builder’s notation', () => {
    expect(sentence(finding('check', 'Chine'), 'mm')).toContain('9.0 mm');
    expect(sentence(finding('check', 'Chine'), 'ft-in-8ths')).toContain('11/32 in');
    expect(sentence(finding('check', 'Chine'), 'in')).toContain('0.354 in');
  });
  it.each([
    [{ stage: 'lines' } as const, 'lines'],
    [{ stage: 'panels', panel: 'side', x: 1200.4 } as const, 'side, x 1200'],
    [{ stage: 'lines', line: 'keel', station: '3' } as const, 'keel, 3'],
  ])('have a place in words', (place, words) => expect(placeText(place)).toBe(words));
});
