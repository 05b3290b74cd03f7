/** Builds the app into dist/, ready to be saved whole on a device, and the server into build/. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { buildSync } from 'esbuild';
import { generateSW } from 'workbox-build';
import { run } from './tools.mjs';

const DIST = 'dist';
/** Most that is saved on a device for use with no signal, bytes. */
const MOST_SAVED = 9e6;

rmSync(DIST, { recursive: true, force: true });
rmSync('build', { recursive: true, force: true });
if (!run('npx', ['expo', 'export', '--platform', 'web'])) process.exit(1);
// The router's own development pages; nothing of the app asks for them.
rmSync(`${DIST}/assets`, { recursive: true, force: true });
rmSync(`${DIST}/metadata.json`, { force: true });

const files = () =>
  readdirSync(DIST, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath, entry.name))
    .sort();

// One name for all that belongs together: a page and a server that differ in it are of two versions.
const hash = createHash('sha256');
for (const file of files()) hash.update(file).update(readFileSync(file));
const build = hash.digest('hex').slice(0, 16);
const page = `${DIST}/index.html`;
writeFileSync(
  page,
  readFileSync(page, 'utf8').replace('<title>', `<meta name="build" content="${build}" /><title>`),
);
writeFileSync(`${DIST}/version.json`, JSON.stringify({ build }));

const { count, size, warnings } = await generateSW({
  globDirectory: DIST,
  globPatterns: ['**/*'],
  globIgnores: ['sw.js', 'version.json', '**/LICENSE.txt'],
  // Names that carry a hash of what is in them need no other mark.
  dontCacheBustURLsMatching: /[.-][0-9a-f]{16,}\.\w+$/,
  maximumFileSizeToCacheInBytes: MOST_SAVED,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/\.\w+$/, /^\/healthz/],
  // The very first visit works with no signal too, without a reload.
  clientsClaim: true,
  cleanupOutdatedCaches: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
  swDest: `${DIST}/sw.js`,
});
for (const warning of warnings) console.error(warning);
if (warnings.length > 0 || size > MOST_SAVED) {
  console.error(
    `The app is ${(size / 1e6).toFixed(2)} MB; at most ${MOST_SAVED / 1e6} MB are saved on a device.`,
  );
  process.exit(1);
}
console.log(`Saved on a device: ${count} files, ${(size / 1e6).toFixed(2)} MB.`);

// Compressed once, here, and sent as they are.
const brotli = promisify(brotliCompress);
const zip = promisify(gzip);
await Promise.all(
  files()
    .filter((file) => /\.(js|css|html|json|webmanifest|svg|txt)$/.test(file) && statSync(file).size > 1000)
    .map(async (file) => {
      const bytes = readFileSync(file);
      const quality = bytes.length > 1e6 ? 9 : 11;
      writeFileSync(
        `${file}.br`,
        await brotli(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }),
      );
      writeFileSync(`${file}.gz`, await zip(bytes, { level: 9 }));
    }),
);

buildSync({
  entryPoints: ['server/main.ts'],
  outfile: 'build/server.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  logLevel: 'error',
});
