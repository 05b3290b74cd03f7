import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';

/** Files whose name carries a hash of what is in them never change. */
const HASHED = /[.-][0-9a-f]{16,}\.\w+$/;

/**
 * The app's server: the built files of `dist`, compressed, under a strict content security policy; any path without a
 * file ending is the app's own route, any other missing file is a 404.
 * @param secure whether it is served over TLS, so that browsers may be told to stay there
 */
export function createApp(dist: string, { secure = false }: { secure?: boolean } = {}): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          workerSrc: ["'self'", 'blob:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
          ...(secure ? { upgradeInsecureRequests: [] } : {}),
        },
      },
      strictTransportSecurity: secure,
      crossOriginEmbedderPolicy: false,
    }),
  );
  app.use(compression());
  app.get('/healthz', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ ok: existsSync(path.join(dist, 'index.html')) });
  });
  app.use(
    express.static(dist, {
      index: false,
      setHeaders: (response, file) => {
        response.setHeader(
          'Cache-Control',
          HASHED.test(path.basename(file)) ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (path.extname(request.path) !== '') {
      response.status(404).type('text/plain').send('Not found.');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(path.join(dist, 'index.html'));
  });
  return app;
}
