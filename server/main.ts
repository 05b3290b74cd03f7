import { existsSync, readFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { createApp } from './app';
import { serveFeed } from './boatFeed';
import { serveCallOut } from './callOut';
import { readOptions, type ServerOptions } from './options';

/** Longest a request's head may take to come in, ms. */
const SLOW_MS = 15_000;

function start(options: ServerOptions): void {
  const dist = path.resolve(options.dist);
  if (!existsSync(path.join(dist, 'index.html')))
    throw new Error(`there is no built app in ${options.dist}: run "npm run build" first`);
  const secure = options.cert !== null && options.key !== null;
  const app = createApp(dist, { secure });
  const server = secure
    ? https.createServer({ cert: readFileSync(options.cert!), key: readFileSync(options.key!) }, app)
    : http.createServer(app);
  // A socket that dawdles over its request is let go.
  server.headersTimeout = SLOW_MS;
  server.requestTimeout = 2 * SLOW_MS;
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && !options.strictPort && options.port !== 0) {
      console.log(`Port ${options.port} is taken; taking a free one.`);
      options.port = 0;
      server.listen(0, options.host);
      return;
    }
    console.error(`The server could not start: ${error.message}`);
    process.exit(1);
  });
  server.on('listening', () => {
    const { port } = server.address() as AddressInfo;
    const host = options.host.includes(':') ? `[${options.host}]` : options.host;
    console.log(`Nimble Echo is at ${secure ? 'https' : 'http'}://${host}:${port}/`);
  });
  if (options.feed) serveFeed(server, options.feed);
  if (options.callOut) serveCallOut(server);
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => server.close(() => process.exit(0)));
  server.listen(options.port, options.host);
}

try {
  start(readOptions(process.argv.slice(2)));
} catch (error) {
  console.error(`The server could not start: ${error instanceof Error ? error.message : String(error)}`);
  process.exit(1);
}
