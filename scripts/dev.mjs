/** Serves the app from source, rebuilding as files change. */
import { ensurePackages, run } from './tools.mjs';

ensurePackages();
process.exit(run('npx', ['expo', 'start', '--web', ...process.argv.slice(2)], { CI: '' }) ? 0 : 1);
