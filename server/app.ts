import path from 'node:path';
import express, { type ErrorRequestHandler, type Express, type Response } from 'express';
import helmet from 'helmet';
import sirv from 'sirv';

/** Files whose name carries a hash of what is in them never change. */
const HASHED = /[.-][0-9a-f]{16,}\.\w+$/;

/** What pages may ask of the device: tilt, place and a lit screen; nothing else, and nothing for others. */
const PERMISSIONS = [
  'accelerometer=(self)',
  'geolocation=(self)',
  'gyroscope=(self)',
  'screen-wake-lock=(self)',
  ...['camera', 'display-capture', 'magnetometer', 'microphone', 'midi', 'payment', 'serial', 'usb'].map(
    (name) => `${name}=()`,
  ),
].join(', ');

const plain = (response: Response, status: number, words: string): void => {
  response.status(status).set('Cache-Control', 'no-store').type('text/plain').send(words);
};

/**
 * The app's server: the built files of `dist`, compressed when they were built and sent as they are, under a strict content
 * security policy; any path without a file ending is the app's own route, any other missing file is a 404. No answer tells of paths
 * or of what went wrong inside.
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
      // The policy above says who may frame the app.
      xFrameOptions: false,
      strictTransportSecurity: secure,
      crossOriginEmbedderPolicy: false,
    }),
  );
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', PERMISSIONS);
    next();
  });
  app.get('/healthz', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ ok: true });
  });
  app.use((request, response, next) => {
    if (request.method === 'GET' || request.method === 'HEAD') return next();
    plain(response.set('Allow', 'GET, HEAD'), 405, 'Only reading is possible here.');
  });
  // All files are known before the first request: no address can lead out of the folder.
  const files = sirv(dist, {
    brotli: true,
    gzip: true,
    etag: true,
    setHeaders: (response, pathname) =>
      response.setHeader(
        'Cache-Control',
        HASHED.test(path.basename(pathname)) ? 'public, max-age=31536000, immutable' : 'no-cache',
      ),
  });
  app.use(files);
  app.use((request, response) => {
    if (path.extname(request.path) !== '') return plain(response, 404, 'Not found.');
    request.url = '/index.html';
    files(request, response, () => plain(response, 404, 'Not found.'));
  });
  // Express takes only what has four parameters for this.
  const refuse: ErrorRequestHandler = (error: { status?: unknown }, _request, response, next) => {
    if (response.headersSent) return next(error);
    const bad = typeof error.status === 'number' && error.status >= 400 && error.status < 500;
    plain(response, bad ? 400 : 500, bad ? 'This address cannot be read.' : 'The server failed. Try again.');
  };
  app.use(refuse);
  return app;
}
