/** Scales of drawings as they are written on them: `1:10`, `1 in = 1 ft`, `1/2" = 1'`, or the plain number. */
import { parseLength } from './length';

export type ParsedScale =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly expected: string };

const EXPECTED = 'a scale such as 10, 1:10 or 1 in = 1 ft, from 1 to 1000';

/** Full size over drawn size. Never throws. */
export function parseScale(text: string): ParsedScale {
  const value = ratioOf(text.trim().replace(',', '.'));
  return value !== undefined && value >= 1 && value <= 1000 ? { ok: true, value } : { ok: false, expected: EXPECTED };
}

function ratioOf(text: string): number | undefined {
  const [drawn, full, ...more] = text.split('=');
  if (full !== undefined) {
    const [a, b] = [parseLength(drawn ?? '', 'mm'), parseLength(full, 'mm')];
    return more.length === 0 && a.ok && b.ok && a.mm > 0 ? b.mm / a.mm : undefined;
  }
  const match = /^(?:(\d+(?:\.\d+)?)\s*[:/]\s*)?(\d+(?:\.\d+)?)$/.exec(text);
  if (!match) return undefined;
  return Number(match[2]) / Number(match[1] ?? 1);
}
