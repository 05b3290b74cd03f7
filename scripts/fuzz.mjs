/**
 * Tries thousands of plans, boats, settings and entries (the seeded few hundred of the unit tests, more of them, bundled), and
 * thousands of damaged things on every door.
 */
import { runBundled } from './runBundled.mjs';
import { ensurePackages } from './tools.mjs';

ensurePackages();
process.env.FUZZ_RUNS ??= '5000';
const doors = runBundled('scripts/fuzzDoors.ts', [], { external: ['sharp', 'h5wasm'] });
const plans = runBundled('features/fuzz.test.ts', [], { inject: ['scripts/testGlobals.ts'] });
if (!doors || !plans) process.exit(1);
