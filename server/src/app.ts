/** Serves the built application on this machine: nothing from outside, no script but its own. */
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';

/** Files with a hash in their name never change; everything else is asked for anew. */
const YEAR_MS = 365 * 24 * 3600 * 1000;

/** @param folder the built application, with index.html in it */
export function createApp(folder: string): Express {
  const app = express();
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          'default-src': ["'self'"],
          'script-src': ["'self'"],
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
  app.use(compression());
  app.get('/healthz', (_request, response) => void response.json({ ok: true }));
  app.use('/assets', express.static(`${folder}/assets`, { maxAge: YEAR_MS, immutable: true, fallthrough: false }));
  app.use(express.static(folder, { index: 'index.html' }));
  // any other path is a place inside the application
  app.get('/{*path}', (_request, response) => void response.sendFile('index.html', { root: folder }));
  return app;
}
