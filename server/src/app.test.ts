import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createApp, isKalotropeAt } from './app';

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
  expect(await (await fetch(`${base}/healthz`)).json()).toEqual({ ok: true, application: 'kalotrope' });
});
it('gives the application for any place inside it, and nothing for a file that is not there', async () => {
  expect(await (await fetch(`${base}/project/x/lines`)).text()).toBe('<p>page</p>');
  expect((await fetch(`${base}/assets/none.js`)).status).toBe(404);
});
it('allows scripts of its own only, and nothing from outside', async () => {
  const policy = (await fetch(base)).headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toMatch(/https?:|script-src[^;]*'unsafe|\*/);
});

it('has no other page: 404 for what is not there, without a path or a line of code', async () => {
  for (const path of [
    '/nowhere',
    '/project',
    '/project/a/b/c',
    '/assets/none.js',
    '/%E0%A4%A',
    '/assets/..%2f..%2fetc%2fpasswd',
  ]) {
    const answer = await fetch(`${base}${path}`);
    expect([path, answer.status >= 400 && answer.status < 500]).toEqual([path, true]);
    expect(await answer.text()).not.toMatch(/[\\/]|Error|at /);
  }
  expect((await fetch(base, { method: 'POST' })).status).toBe(404);
});
it('answers to its own names only', async () => {
  const { port } = new URL(base);
  const status = (host: string) =>
    new Promise<number | undefined>((resolve) => {
      request({ port, host: '127.0.0.1', headers: { host } }, (answer) => resolve(answer.resume().statusCode)).end();
    });
  expect(await status(`localhost:${port}`)).toBe(200);
  expect(await status(`evil.example:${port}`)).toBe(421);
  expect(await status('localhost.evil.example')).toBe(421);
});
it('knows itself when it runs already', async () => {
  expect(await isKalotropeAt(Number(new URL(base).port))).toBe(true);
  const other = createServer((_request, response) => void response.end('{"ok":true}')).listen(0, '127.0.0.1');
  await new Promise((resolve) => other.once('listening', resolve));
  expect(await isKalotropeAt((other.address() as AddressInfo).port)).toBe(false);
  other.close();
});
