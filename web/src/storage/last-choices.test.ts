import { beforeEach, describe, expect, it, vi } from 'vitest';
import { keepSlip, lastNotation, lastSlip } from './last-choices';

const USUAL = { widthPx: 344, isFolded: false, open: [] };
const kept = new Map<string, string>();

beforeEach(() => {
  kept.clear();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  });
});

describe('how the slip lay', () => {
  it('comes back as it was kept', () => {
    const slip = { widthPx: 420, isFolded: true, open: ['Mark out'] };
    keepSlip(slip);
    expect(lastSlip(USUAL)).toEqual(slip);
  });
  it.each(['', 'null', '[]', '{"widthPx":"wide"}', '{"widthPx":300,"isFolded":false,"open":[7]}', '{'])(
    'is the usual where %j was kept',
    (text) => {
      kept.set('kalotrope-slip', text);
      expect(lastSlip(USUAL)).toBe(USUAL);
    },
  );
  it('is held within what fits the bench, whatever was kept', () => {
    keepSlip({ ...USUAL, widthPx: 90_000 });
    expect(lastSlip(USUAL).widthPx).toBeLessThanOrEqual(640);
    keepSlip({ ...USUAL, widthPx: -5 });
    expect(lastSlip(USUAL).widthPx).toBeGreaterThanOrEqual(264);
  });
  it('a browser that keeps nothing begins with the usual, and none is lost', () => {
    vi.stubGlobal('localStorage', undefined);
    expect(() => keepSlip(USUAL)).not.toThrow();
    expect(lastSlip(USUAL)).toBe(USUAL);
    expect(lastNotation()).toBe('mm');
  });
});
