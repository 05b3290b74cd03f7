/** Prints the table of accuracy: scripts/accuracy, bundled. */
import { runBundled } from './runBundled.mjs';
import { ensurePackages } from './tools.mjs';

ensurePackages();
if (!runBundled('scripts/accuracy/main.ts', process.argv.slice(2))) process.exit(1);
if (!runBundled('scripts/accuracy/screensMain.ts', [], { external: ['sharp'] })) process.exit(1);
