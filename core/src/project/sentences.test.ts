import { describe, expect, it } from 'vitest';
import { NOTATIONS } from '../measure';
import { STAGES } from './chain';
import { CATALOGUE, sentence } from './sentences';

const examples = STAGES.flatMap(({ name, catalogue }) =>
  Object.entries(catalogue).map(([code, { example }]) => ({ stage: name, code, data: { ...example } })),
);

describe('the catalogues of findings', () => {
  it.each(examples)('$code reads as a plain sentence in every notation', ({ stage, code, data }) => {
    for (const notation of NOTATIONS) {
      const text = sentence({ severity: 'check', code, where: { stage }, data }, notation);
      expect(text).not.toMatch(/undefined|NaN|null|\[object|!|cannot be shown/);
      expect(text).toMatch(/^[\p{Lu}\d].*\.$/su);
      expect(text.length).toBeLessThan(260);
    }
  });
  it('have no code twice', () => expect(examples).toHaveLength(Object.keys(CATALOGUE).length));
  it.each(examples)('$code with any part of its data missing or no figure says neither NaN nor undefined', (found) => {
    const { stage, code, data } = found;
    for (const key of Object.keys(data))
      for (const wrong of [undefined, NaN, null, Infinity, {}]) {
        const bad = { severity: 'check', code, where: { stage }, data: { ...data, [key]: wrong } } as never;
        expect(sentence(bad, 'mm')).not.toMatch(/undefined|NaN|null|Infinity|\[object/);
      }
  });
});
