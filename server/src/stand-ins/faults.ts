/** What can be wrong with a device that measures, and how its stand-in does it. */
export const FAULTS = ['none', 'drift', 'dropout', 'freeze', 'spike'] as const;
export type Fault = (typeof FAULTS)[number];

/** A spike every so many readings. */
const SPIKE_EVERY = 12;

export type Faulty = {
  readonly setFault: (fault: Fault) => void;
  /** What is sent in place of the true figure; null: nothing is. */
  readonly through: (truth: number) => number | null;
};

/** `driftPerMinute` and `spike` in the unit of what is measured. */
export function createFaulty(now: () => number, { driftPerMinute = 0, spike = 0 }): Faulty {
  let fault: Fault = 'none';
  let since = now();
  let frozen: number | undefined;
  let count = 0;
  return {
    setFault: (next) => {
      fault = next;
      since = now();
      frozen = undefined;
    },
    through: (truth) => {
      count++;
      switch (fault) {
        case 'dropout':
          return null;
        case 'drift':
          return truth + (driftPerMinute * (now() - since)) / 60_000;
        case 'freeze':
          return (frozen ??= truth);
        case 'spike':
          return count % SPIKE_EVERY === 0 ? truth + spike : truth;
        case 'none':
          return truth;
      }
    },
  };
}
