import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A server of a test's own, which can be taken away and put back with another version. */
export interface OwnServer {
  base: string;
  stop: () => Promise<void>;
}

export async function serve(dist: string, port = 0): Promise<OwnServer> {
  const process: ChildProcess = spawn('node', [
    'build/server.mjs',
    '--dist',
    dist,
    '--port',
    String(port),
    '--strict-port',
  ]);
  const base = await new Promise<string>((resolve, reject) => {
    process.stdout!.on('data', (chunk) => {
      const found = /https?:\/\/\S+?(?=\/\s)/.exec(String(chunk));
      if (found) resolve(found[0]);
    });
    process.on('exit', () => reject(new Error('the server stopped')));
  });
  const gone = new Promise<void>((done) => process.once('exit', () => done()));
  return {
    base,
    stop: async () => {
      process.kill('SIGKILL');
      await gone;
    },
  };
}

export const builtFiles = (dist: string): string[] =>
  readdirSync(dist, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath, entry.name));

/** Another version of the built app: the same, but for the names of its pieces and of the whole. The old names are gone. */
export function otherVersion(): string {
  const dist = mkdtempSync(path.join(tmpdir(), 'nimble-next-'));
  cpSync('dist', dist, { recursive: true, filter: (file) => !/\.(br|gz)$/.test(file) });
  const { build } = JSON.parse(readFileSync(path.join(dist, 'version.json'), 'utf8')) as { build: string };
  const renamed = builtFiles(dist)
    .map((file) => /-([0-9a-f]{32})\.js$/.exec(file)?.[1])
    .filter((hash) => hash !== undefined);
  const next = (hash: string): string => [...hash].reverse().join('');
  for (const file of builtFiles(dist)) {
    if (/\.(js|html|json)$/.test(file)) {
      let text = readFileSync(file, 'utf8');
      for (const hash of [...renamed, build]) text = text.replaceAll(hash, next(hash));
      // The page is told apart by what is in it.
      if (file.endsWith('sw.js'))
        text = text.replace(
          /(revision:"[0-9a-f]{31})[0-9a-f]",url:"index\.html"|url:"index\.html",(revision:"[0-9a-f]{31})[0-9a-f]"/,
          (whole) => whole.replace(/[0-9a-f]"(?=,url|$)/, 'x"'),
        );
      writeFileSync(file, text);
    }
    const hash = renamed.find((h) => file.includes(h));
    if (hash) renameSync(file, file.replace(hash, next(hash)));
  }
  return dist;
}
