/**
 * The devices as event streams, and what is done to their stand-ins. The format is in docs/formats.md.
 *
 * Only a page of this server can change one: what another sends across is no JSON by its type, and is not read.
 */
import { json, Router, type Response } from 'express';
import { z } from 'zod';
import { createDevices, type Devices } from './devices';
import { FAULTS } from './faults';

const SCALE_EVERY_MS = 250;
const SHOP_EVERY_MS = 1000;

const scaleSchema = z.strictObject({
  load: z.number().min(0).max(20_000).optional(),
  add: z.number().min(-20_000).max(20_000).optional(),
  tare: z.boolean().optional(),
  fault: z.enum(FAULTS).optional(),
});
const shopSchema = z.strictObject({
  tempC: z.number().min(-40).max(60).optional(),
  humidity: z.number().min(0).max(100).optional(),
  fault: z.enum(FAULTS).optional(),
});

export function deviceRoutes(devices: Devices = createDevices()): Router {
  const router = Router();
  router.get('/scale', (_request, response) => stream(response, devices.readScale, SCALE_EVERY_MS));
  router.get('/shop', (_request, response) => stream(response, devices.readShop, SHOP_EVERY_MS));
  router.use(json({ limit: '1kb' }));
  router.post('/scale', (request, response) => answer(response, scaleSchema, request.body, devices.changeScale));
  router.post('/shop', (request, response) => answer(response, shopSchema, request.body, devices.changeShop));
  return router;
}

/** A message at every step, until the page goes. */
function stream(response: Response, read: () => object | null, everyMs: number): void {
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  const send = () => {
    const message = read();
    if (message) response.write(`data: ${JSON.stringify(message)}\n\n`);
  };
  send();
  const timer = setInterval(send, everyMs);
  response.on('close', () => clearInterval(timer));
}

function answer<T>(response: Response, schema: z.ZodType<T>, body: unknown, change: (value: T) => void): void {
  const read = schema.safeParse(body);
  if (!read.success) {
    const [issue] = read.error.issues;
    const where = issue?.path.join('.') || 'the change';
    response
      .status(400)
      .type('text')
      .send(`${where}: ${issue?.message ?? 'not valid'}`);
    return;
  }
  change(read.data);
  response.status(204).end();
}
