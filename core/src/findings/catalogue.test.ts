import { describe, expect, it } from 'vitest';
import { CATALOGUE, sentence, type FindingCode } from './catalogue';
import { NOTATIONS } from '../measure';

describe('the catalogue of findings', () => {
  it.each(Object.keys(CATALOGUE) as FindingCode[])('%s reads as a plain sentence in every notation', (code) => {
    for (const notation of NOTATIONS) {
      const text = sentence(
        { severity: 'check', code, where: { stage: 'lines' }, data: CATALOGUE[code].example },
        notation,
      );
      expect(text).not.toMatch(/undefined|NaN|null|\[object|!/);
      expect(text).toMatch(/^[\p{Lu}\d].*\.$/su);
      expect(text.length).toBeLessThan(260);
    }
  });
});
