/** Tries thousands of plans, boats, settings and entries: the seeded few hundred of the unit tests, more of them, bundled. */
import { runBundled } from './runBundled.mjs';
import { ensurePackages } from './tools.mjs';

ensurePackages();
process.env.FUZZ_RUNS ??= '5000';
if (!runBundled('features/fuzz.test.ts', [], { inject: ['scripts/testGlobals.ts'] })) process.exit(1);
