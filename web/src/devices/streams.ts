/** The server's streams of a scale and of a shop's thermometer; what is not as it should be is passed over. */
import { z } from 'zod';
import type { Source } from './source';

const scaleSchema = z.object({ seq: z.number(), grams: z.number().min(-100_000).max(100_000) });
const shopSchema = z.object({ tempC: z.number().min(-60).max(80), humidity: z.number().min(0).max(100) });
export type ShopReading = z.infer<typeof shopSchema>;

const streamOf = <T>(path: string, schema: z.ZodType<T>): Source<T> => ({
  listen: (onMessage) => {
    const stream = new EventSource(path);
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const read = schema.safeParse(jsonOf(data));
      if (read.success) onMessage(read.data);
    };
    return () => stream.close();
  },
});

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export const benchScale = streamOf('/devices/scale', scaleSchema);
export const shopSensor = streamOf('/devices/shop', shopSchema);

/** What is done to a stand-in: false where the server does not take it, or is gone. */
export async function changeStandIn(device: 'scale' | 'shop', change: object): Promise<boolean> {
  try {
    const headers = { 'content-type': 'application/json' };
    const answer = await fetch(`/devices/${device}`, { method: 'POST', headers, body: JSON.stringify(change) });
    return answer.ok;
  } catch {
    return false;
  }
}
