/**
 * Stand-ins for a bench scale and a shop's thermometer and hygrometer, for those who have none that speaks.
 *
 * A live scale trembles by some hundredths of a gram; so does this one.
 */
import { createFaulty, type Fault } from './faults';

const TREMBLE_G = 0.06;
const TREMBLE_C = 0.04;
const DRIFT_G_PER_MINUTE = 2;
const SPIKE_G = 40;
const DRIFT_C_PER_MINUTE = 0.5;
const SPIKE_C = 15;

export type ScaleMessage = { readonly seq: number; readonly grams: number };
export type ShopMessage = { readonly seq: number; readonly tempC: number; readonly humidity: number };
export type Devices = ReturnType<typeof createDevices>;

export function createDevices(now: () => number = Date.now, chance: () => number = Math.random) {
  const tremble = (size: number) => size * (chance() - 0.5);
  const round = (value: number) => Math.round(value * 100) / 100;
  let seq = 0;
  const scale = { load: 0, tare: 0, ...createFaulty(now, { driftPerMinute: DRIFT_G_PER_MINUTE, spike: SPIKE_G }) };
  const shop = {
    ...{ tempC: 18, humidity: 60 },
    ...createFaulty(now, { driftPerMinute: DRIFT_C_PER_MINUTE, spike: SPIKE_C }),
  };
  return {
    /** Null: nothing is sent. */
    readScale: (): ScaleMessage | null => {
      const grams = scale.through(scale.load - scale.tare + tremble(TREMBLE_G));
      return grams === null ? null : { seq: ++seq, grams: round(grams) };
    },
    readShop: (): ShopMessage | null => {
      const tempC = shop.through(shop.tempC + tremble(TREMBLE_C));
      return tempC === null ? null : { seq: ++seq, tempC: round(tempC), humidity: shop.humidity };
    },
    /** What is done to the scale: put on it, added, set to nought, broken. Grams. */
    changeScale: (change: ScaleChange) => {
      if (change.load !== undefined) scale.load = change.load;
      if (change.add !== undefined) scale.load = Math.max(0, scale.load + change.add);
      if (change.tare) scale.tare = scale.load;
      if (change.fault !== undefined) scale.setFault(change.fault);
    },
    changeShop: (change: ShopChange) => {
      shop.tempC = change.tempC ?? shop.tempC;
      shop.humidity = change.humidity ?? shop.humidity;
      if (change.fault !== undefined) shop.setFault(change.fault);
    },
  };
}

export type ScaleChange = {
  readonly load?: number | undefined;
  readonly add?: number | undefined;
  readonly tare?: boolean | undefined;
  readonly fault?: Fault | undefined;
};
export type ShopChange = {
  readonly tempC?: number | undefined;
  readonly humidity?: number | undefined;
  readonly fault?: Fault | undefined;
};
