/**
 * Starts the server on the port asked for, on this machine only; on the next free one where another program has that.
 *
 * A browser keeps projects for each address by itself, so it never moves to another port without saying so, and where
 * it runs already it says where instead of starting again.
 */
import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { createApp, isKalotropeAt } from './app';

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
    if (taken !== wanted && wanted !== 0)
      console.log(
        `Port ${wanted} is taken by another program. The browser keeps projects for each address by itself: those ` +
          `made at http://localhost:${wanted} are not seen here, and are there again when that port is free.`,
      );
  });
  server.on('error', (error: NodeJS.ErrnoException) => void taken(error, port, tries));
}

async function taken(error: NodeJS.ErrnoException, port: number, tries: number): Promise<void> {
  if (error.code === 'EADDRINUSE' && (await isKalotropeAt(port))) {
    console.log(`Kalotrope is running already: it is at http://localhost:${port}`);
    return;
  }
  if (error.code === 'EADDRINUSE' && tries > 0) {
    listen(port + 1, tries - 1);
    return;
  }
  console.error(`Cannot listen on port ${port}: ${error.message}`);
  process.exit(1);
}
