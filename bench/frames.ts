/** The gaps between the browser's frames while something is done, and how they are told. */
import type { Page } from '@playwright/test';

export async function gapsWhile(target: Page, during: () => Promise<void>): Promise<number[]> {
  // as text: a function of this file would bring helpers with it that the page does not have
  await target.evaluate(
    'const times = window.frameTimes = []; requestAnimationFrame(function tick(now) { if (window.frameTimes ' +
      '!== times) return; times.push(now); requestAnimationFrame(tick); })',
  );
  await during();
  return target.evaluate<number[]>(
    'const times = window.frameTimes; window.frameTimes = null; times.slice(1).map((time, i) => time - times[i])',
  );
}
const share = (values: readonly number[], part: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * part)] ?? NaN;
export const report = (name: string, values: readonly number[]) =>
  console.log(
    `${name}: median ${share(values, 0.5).toFixed(1)} ms, 95th percentile ${share(values, 0.95).toFixed(1)} ` +
      `ms, longest ${Math.max(...values).toFixed(1)} ms, ${values.filter((gap) => gap > 100).length} over 100 ms, ` +
      `${values.length} frames`,
  );
