/**
 * A scale at a serial port that says its weight in plain figures, a line a reading: `ST,GS,+ 137.2 g`. Where the
 * browser has no such ports there is none. The last figure of a line is the weight.
 */
import type { Source } from './source';

type Port = {
  readonly open: (options: { baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
};
type Ports = { readonly requestPort: () => Promise<Port> };

const BAUD = 9600;
const OUNCE_G = 28.349523125;

// not in every browser, nor in its types
const portsOf = (): Ports | undefined => (navigator as { serial?: Ports }).serial;

export const hasPorts = (): boolean => portsOf() !== undefined;

/** Undefined where a line holds no weight. */
export function gramsOfLine(line: string): number | undefined {
  const found = [...line.matchAll(/([+-]?)\s*(\d+(?:[.,]\d+)?)\s*(kg|g|oz)?/gi)].at(-1);
  if (!found) return undefined;
  const figure = Number(`${found[1]}${(found[2] ?? '').replace(',', '.')}`);
  const unit = (found[3] ?? 'g').toLowerCase();
  return figure * (unit === 'kg' ? 1000 : unit === 'oz' ? OUNCE_G : 1);
}

/** Asks which port; rejects where none is chosen or it cannot be opened. */
export async function openSerialScale(): Promise<Source<{ readonly grams: number }>> {
  const ports = portsOf();
  if (!ports) throw new Error('Asked for a serial port where the browser has none; expected hasPorts() first');
  const port = await ports.requestPort();
  await port.open({ baudRate: BAUD });
  return {
    listen: (onMessage) => {
      const reader = port.readable?.getReader();
      void readLines(reader, (line) => {
        const grams = gramsOfLine(line);
        if (grams !== undefined) onMessage({ grams });
      });
      return () =>
        void reader?.cancel().then(
          () => port.close(),
          () => undefined,
        );
    },
  };
}

const LONGEST_LINE = 200;

async function readLines(reader: ReadableStreamDefaultReader<Uint8Array> | undefined, onLine: (line: string) => void) {
  const decoder = new TextDecoder();
  let rest = '';
  try {
    for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
      const lines = (rest + decoder.decode(part.value, { stream: true })).split(/[\r\n]+/);
      rest = (lines.pop() ?? '').slice(-LONGEST_LINE);
      lines.filter((line) => line.trim() !== '').forEach(onLine);
    }
  } catch {
    // unplugged: no more readings come, which is what is told
  } finally {
    reader?.releaseLock();
  }
}
