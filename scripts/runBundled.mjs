import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { buildSync } from 'esbuild';
import { run } from './tools.mjs';

/**
 * Bundles a script as the app's workers are bundled, and runs it: run from source the core is several times slower.
 * @param {string} entry @param {string[]} args
 * @param {{ inject?: string[], nodeArgs?: string[], external?: string[] }} options files whose exports every module sees; arguments
 *   of Node itself; packages that are not bundled, which are then looked for from build/
 * @returns {boolean} whether it ended well
 */
export function runBundled(entry, args = [], { inject = [], nodeArgs = [], external = [] } = {}) {
  const folder = external.length > 0 ? 'build' : mkdtempSync(join(tmpdir(), 'nimble-'));
  const outfile = join(folder, `${basename(entry, '.ts')}.cjs`);
  buildSync({
    entryPoints: [entry],
    bundle: true,
    platform: 'node',
    alias: { '@': '.' },
    inject,
    external,
    logLevel: 'error',
    outfile,
  });
  return run('node', [...nodeArgs, outfile, ...args]);
}
