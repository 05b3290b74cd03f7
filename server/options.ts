import { parseArgs } from 'node:util';
import { feedAddress, type FeedAddress } from './boatFeed';

/** What the server is told on the command line. */
export interface ServerOptions {
  host: string;
  port: number;
  /** Fail when the port is taken, instead of taking a free one. */
  strictPort: boolean;
  dist: string;
  cert: string | null;
  key: string | null;
  /** Where the boat's sentences come from; null leaves the feed off. */
  feed: FeedAddress | null;
  /** Whether one page may call out to others on the boat. */
  callOut: boolean;
}

/** Reads the command line. @throws Error with a plain sentence for what it cannot use */
export function readOptions(args: readonly string[]): ServerOptions {
  const { values } = parseArgs({
    args: [...args],
    options: {
      host: { type: 'string', default: '127.0.0.1' },
      port: { type: 'string', default: '4170' },
      'strict-port': { type: 'boolean', default: false },
      dist: { type: 'string', default: 'dist' },
      cert: { type: 'string' },
      key: { type: 'string' },
      feed: { type: 'string' },
      'call-out': { type: 'boolean', default: false },
    },
  });
  // An empty text would count as 0, which is any free port.
  const port = /^\d{1,5}$/.test(values.port) ? Number(values.port) : NaN;
  if (!(port <= 65535))
    throw new Error(`--port must be a whole number from 0 to 65535, got “${values.port}”`);
  for (const name of ['host', 'dist', 'cert', 'key'] as const)
    if (values[name] === '') throw new Error(`--${name} is empty`);
  if ((values.cert === undefined) !== (values.key === undefined))
    throw new Error('--cert and --key go together: give both files or neither');
  return {
    host: values.host,
    port,
    strictPort: values['strict-port'],
    dist: values.dist,
    cert: values.cert ?? null,
    key: values.key ?? null,
    feed: values.feed === undefined ? null : feedAddress(values.feed),
    callOut: values['call-out'],
  };
}
