/** Builds the app into dist/. */
import { rmSync } from 'node:fs';
import { run } from './tools.mjs';

rmSync('dist', { recursive: true, force: true });
if (!run('npx', ['expo', 'export', '--platform', 'web'])) process.exit(1);
