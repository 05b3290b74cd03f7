import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { run } from './tools.mjs';

/**
 * Bundles a script as the app's workers are bundled, and runs it: run from source the core is several times slower.
 * @param {string} entry @param {string[]} args
 * @param {{ inject?: string[], nodeArgs?: string[] }} options files whose exports every module sees; arguments of Node itself
 * @returns {boolean} whether it ended well
 */
export function runBundled(entry, args = [], { inject = [], nodeArgs = [] } = {}) {
  const outfile = join(mkdtempSync(join(tmpdir(), 'nimble-')), 'bundle.cjs');
  buildSync({
    entryPoints: [entry],
    bundle: true,
    platform: 'node',
    alias: { '@': '.' },
    inject,
    logLevel: 'error',
    outfile,
  });
  return run('node', [...nodeArgs, outfile, ...args]);
}
