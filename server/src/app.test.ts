import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createApp } from './app';

const folder = mkdtempSync(join(tmpdir(), 'kalotrope-web-'));
mkdirSync(join(folder, 'assets'));
writeFileSync(join(folder, 'index.html'), '<p>page</p>');
let base = '';
let close = () => {};
beforeAll(async () => {
  const server = createApp(folder).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  close = () => void server.close();
});
afterAll(() => {
  close();
  rmSync(folder, { recursive: true });
});

it('says that it is well', async () => {
  expect(await (await fetch(`${base}/healthz`)).json()).toEqual({ ok: true });
});
it('gives the application for any place inside it, and nothing for a file that is not there', async () => {
  expect(await (await fetch(`${base}/project/x/lines`)).text()).toBe('<p>page</p>');
  expect((await fetch(`${base}/assets/none.js`)).status).toBe(404);
});
it('allows scripts of its own only, and nothing from outside', async () => {
  const policy = (await fetch(base)).headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toMatch(/https?:|script-src[^;]*unsafe|\*/);
});
