import type { AddressInfo } from 'node:net';
import express from 'express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createDevices } from './devices';
import { deviceRoutes } from './routes';

/** A clock that is set by hand, and no tremble. */
function devicesAt() {
  const clock = { now: 0 };
  return {
    clock,
    devices: createDevices(
      () => clock.now,
      () => 0.5,
    ),
  };
}

describe('the stand-in of a scale', () => {
  it('shows what is on it, less the pot that was set to nought', () => {
    const { devices } = devicesAt();
    devices.changeScale({ load: 24 });
    devices.changeScale({ tare: true });
    devices.changeScale({ add: 137 });
    expect(devices.readScale()).toEqual({ seq: 1, grams: 137 });
  });
  it('drifts by 2 g a minute, freezes, jumps now and then, drops out, and is whole again', () => {
    const { clock, devices } = devicesAt();
    devices.changeScale({ load: 100, fault: 'drift' });
    clock.now = 90_000;
    expect(devices.readScale()?.grams).toBe(103);
    devices.changeScale({ fault: 'freeze' });
    const frozen = devices.readScale()?.grams;
    devices.changeScale({ add: 50 });
    expect([frozen, devices.readScale()?.grams]).toEqual([100, 100]);
    devices.changeScale({ fault: 'spike' });
    const read = Array.from({ length: 24 }, () => devices.readScale()?.grams);
    expect(read.filter((grams) => grams === 190)).toHaveLength(2);
    devices.changeScale({ fault: 'dropout' });
    expect(devices.readScale()).toBeNull();
    devices.changeScale({ fault: 'none' });
    expect(devices.readScale()?.grams).toBe(150);
  });
});

describe('over the server', () => {
  let base = '';
  let close = () => {};
  beforeAll(async () => {
    const server = express().use('/devices', deviceRoutes(devicesAt().devices)).listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/devices`;
    close = () => {
      server.closeAllConnections();
      server.close();
    };
  });
  afterAll(() => close());
  const post = (path: string, body: string, type = 'application/json') =>
    fetch(`${base}/${path}`, { method: 'POST', body, headers: { 'content-type': type } });

  it('streams readings, one a message', async () => {
    expect((await post('scale', '{"load":137}')).status).toBe(204);
    const answer = await fetch(`${base}/scale`);
    expect(answer.headers.get('content-type')).toBe('text/event-stream');
    const reader = answer.body!.getReader();
    const { value } = await reader.read();
    await reader.cancel();
    expect(new TextDecoder().decode(value)).toMatch(/^data: \{"seq":\d+,"grams":137\}\n\n$/);
  });
  it.each([
    ['an unknown fault', 'scale', '{"fault":"smoke"}', /^fault: /],
    ['a load below nought', 'scale', '{"load":-1}', /^load: /],
    ['a word that it does not know', 'shop', '{"pressure":1013}', /pressure/],
    ['an oven', 'shop', '{"tempC":200}', /^tempC: /],
    ['no JSON by its type, as another page would send it', 'scale', '{"load":1}', /^the change: /, 'text/plain'],
  ])('refuses %s, and says where', async (_what, path, body, words, type = 'application/json') => {
    const answer = await post(path, body, type);
    expect(answer.status).toBe(400);
    expect(await answer.text()).toMatch(words);
  });
});
