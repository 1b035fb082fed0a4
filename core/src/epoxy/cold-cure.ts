/** What still cures when the shop falls below its hardener's least. Clock times: ms since 1970. */
import { windowsFrom, type Resin, type Weather } from './windows';

export type Curing = { readonly at: number; readonly job: string };
export type ColdCure = {
  readonly job: string;
  /** When it falls below: not before now. */
  readonly from: number;
  readonly tempC: number;
  /** When it will be hard enough to work on in this weather; null: never. */
  readonly hardAt: number | null;
};

/** The first such stretch of each thing that is not hard yet; the soonest first. */
export function coldCures(
  curing: readonly Curing[],
  weather: readonly Weather[],
  { resin, now }: { readonly resin: Resin; readonly now: number },
): ColdCure[] {
  return curing
    .flatMap(({ at, job }): ColdCure[] => {
      const hardAt = windowsFrom(at, weather, resin).sand;
      if (hardAt !== null && hardAt <= now) return [];
      const cold = weather.find(
        ({ at: from, tempC }, k) =>
          tempC < resin.leastC && (weather[k + 1]?.at ?? Infinity) > now && from < (hardAt ?? Infinity),
      );
      return cold ? [{ job, from: Math.max(now, cold.at), tempC: cold.tempC, hardAt }] : [];
    })
    .sort((a, b) => a.from - b.from);
}
