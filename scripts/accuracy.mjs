/** Bundles scripts/accuracy as the app's workers are bundled, and runs it: from source it is several times slower. */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { ensurePackages, run } from './tools.mjs';

ensurePackages();
const bundle = join(mkdtempSync(join(tmpdir(), 'nimble-accuracy-')), 'accuracy.cjs');
buildSync({
  entryPoints: ['scripts/accuracy/main.ts'],
  bundle: true,
  platform: 'node',
  alias: { '@': '.' },
  outfile: bundle,
});
if (!run('node', [bundle, ...process.argv.slice(2)])) process.exit(1);
