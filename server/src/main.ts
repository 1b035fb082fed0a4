/** Starts the server on the port asked for, or the next free one, on this machine only. */
import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';

const PORTS_TRIED = 20;
const folder = fileURLToPath(new URL('../../web/dist', import.meta.url));
const wanted = Number(process.env['PORT'] ?? 4173);

if (!existsSync(`${folder}/index.html`)) {
  console.error('The application is not built: run npm run build, or bin/start, which does.');
  process.exit(1);
}
listen(wanted, PORTS_TRIED);

function listen(port: number, tries: number): void {
  const server = createApp(folder).listen(port, '127.0.0.1', () => {
    const { port: taken } = server.address() as AddressInfo; // a listening TCP server has one
    console.log(`Kalotrope is at http://localhost:${taken}`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && tries > 0) {
      listen(port + 1, tries - 1);
      return;
    }
    console.error(`Cannot listen on port ${port}: ${error.message}`);
    process.exit(1);
  });
}
