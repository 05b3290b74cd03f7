/** Prints the hardest sentences on the screens: scripts/worstSentences.ts, bundled. */
import { runBundled } from './runBundled.mjs';
import { ensurePackages } from './tools.mjs';

ensurePackages();
if (!runBundled('scripts/worstSentences.ts')) process.exit(1);
