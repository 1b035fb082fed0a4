/** Serves the built application on this machine: nothing from outside, no script but its own. */
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { deviceRoutes } from './stand-ins/routes';

/** Files with a hash in their name never change; everything else is asked for anew. */
const YEAR_MS = 365 * 24 * 3600 * 1000;

/** @param folder the built application, with index.html in it */
export function createApp(folder: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(knownHostsOnly);
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          'default-src': ["'self'"],
          // the solver of linear programs is compiled code of our own origin; scripts are never made at run time
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'"],
          // the interface's styles are made at run time; scripts never are
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'"],
          'connect-src': ["'self'"],
          'object-src': ["'none'"],
          'base-uri': ["'none'"],
          'frame-ancestors': ["'none'"],
          'form-action': ["'none'"],
        },
      },
      strictTransportSecurity: false, // plain http on this machine
    }),
  );
  // before what is packed small: a stream is sent as it comes
  app.use('/devices', deviceRoutes());
  app.use(compression());
  app.get('/healthz', (_request, response) => void response.json(HEALTH));
  app.use('/assets', express.static(`${folder}/assets`, { maxAge: YEAR_MS, immutable: true }));
  app.use(express.static(folder, { index: 'index.html' }));
  // the places inside the application: what is not one of them, and no file, is not there
  app.get(PLACES, (_request, response) => void response.sendFile('index.html', { root: folder }));
  app.use((_request, response) => void response.status(404).type('text').send('Not here'));
  app.use(quietly);
  return app;
}

const HEALTH = { ok: true, application: 'kalotrope' } as const;
const PLACES = ['/', '/projects', '/project/:id', '/project/:id/:stage'];

/** Names by which this machine calls itself: a page of another name that leads here is not let in. */
const OWN_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

const knownHostsOnly: RequestHandler = (request, response, next) => {
  const host = (request.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
  if (OWN_NAMES.has(host)) next();
  else response.status(421).type('text').send('This server answers to localhost only');
};

/** What went wrong is told to the terminal; the answer names no path and no line of code. */
const quietly: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = statusOf(error);
  if (status >= 500) console.error(error);
  response
    .status(status)
    .type('text')
    .send(status === 404 ? 'Not here' : 'This cannot be answered');
};

/** An error's own status, as of an address that cannot be read: 400 to 499; anything else is a fault of ours. */
function statusOf(error: unknown): number {
  const status = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  return status >= 400 && status < 500 ? status : 500;
}

/** Whether what listens there is this application. */
export async function isKalotropeAt(port: number): Promise<boolean> {
  try {
    const answer = await fetch(`http://127.0.0.1:${port}/healthz`, { signal: AbortSignal.timeout(ANSWER_MS) });
    const said: unknown = await answer.json();
    return (
      typeof said === 'object' && said !== null && 'application' in said && said.application === HEALTH.application
    );
  } catch {
    return false;
  }
}

const ANSWER_MS = 2000;
