/**
 * Writes what ships beside the code: the outlines of the icons in use and the fonts, out of their packages, and the app's own icon
 * in all its sizes. Run after adding an icon's name.
 */
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { chromium } from '@playwright/test';
import { FLAGS } from './pages.mjs';
import { ensureChromium } from './tools.mjs';

/** @type {Record<string, string>} */
const OUTLINES = createRequire(import.meta.url)('@mdi/js');

const NAMES =
  `access-point anchor arrow-expand-down arrow-left arrow-right bookmark-multiple-outline bookmark-plus-outline card-text-outline
checkbox-blank-outline folder-open-outline checkbox-marked
chevron-down chevron-right chevron-up close dots-horizontal magnify magnify-plus-outline map-marker-outline map-marker-plus-outline minus monitor
notebook-edit-outline pause play plus printer-outline ruler sail-boat spirit-level target tray-arrow-down tray-arrow-up tune-variant
help-circle-outline undo-variant water-sync waveform waves wrench-outline`
    .split(/\s+/)
    .sort();

/** @param {string} name @returns {string} */
function pathOf(name) {
  const key = `mdi${name
    .split('-')
    .map((part) => part.charAt(0).toUpperCase() + part.slice(1))
    .join('')}`;
  const path = OUTLINES[key];
  if (!path) throw new Error(`the icon package has no ${name}`);
  return path;
}

const lines = NAMES.map((name) => `  ${/-/.test(name) ? `'${name}'` : name}: '${pathOf(name)}',`);
writeFileSync(
  'ui/iconPaths.ts',
  `/** Outlines of the icons in use, by name, in a square of 24; written by npm run assets. */
export const ICON_PATHS = {
${lines.join('\n')}
} as const;
`,
);

const FONTS = 'node_modules/@fontsource';
mkdirSync('public/fonts', { recursive: true });
for (const [family, weight] of [
  ['atkinson-hyperlegible', 400],
  ['atkinson-hyperlegible', 700],
  ['atkinson-hyperlegible-mono', 400],
])
  copyFileSync(
    `${FONTS}/${family}/files/${family}-latin-${weight}-normal.woff2`,
    `public/fonts/${family}-${weight}.woff2`,
  );
copyFileSync(`${FONTS}/atkinson-hyperlegible/LICENSE`, 'public/fonts/LICENSE.txt');

/** An arch over the bed, on paper. @param {number} room share of the square the drawing takes */
const drawing = (
  room,
) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-50 -50 100 100" width="100%" height="100%">
  <rect x="-50" y="-50" width="100" height="100" fill="#f4eee2"/>
  <g transform="scale(${room})">
    <path d="M-40 22 Q0 -72 40 22" fill="none" stroke="#882f04" stroke-width="13" stroke-linecap="round"/>
    <rect x="-50" y="36" width="100" height="12" rx="2" fill="#1c1a17"/>
  </g>
</svg>`;

mkdirSync('public/icons', { recursive: true });
const browser = await chromium.launch({ executablePath: ensureChromium(), args: FLAGS });
/** @param {string} file @param {number} size @param {number} room */
const write = async (file, size, room) => {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  await page.setContent(
    `<style>body{margin:0}</style><div style="width:${size}px;height:${size}px">${drawing(room)}</div>`,
  );
  await page.screenshot({ path: file });
  await page.close();
};
for (const size of [180, 192, 512]) await write(`public/icons/icon-${size}.png`, size, 0.74);
// Phones cut a maskable icon to a circle of four fifths.
for (const size of [192, 512]) await write(`public/icons/maskable-${size}.png`, size, 0.5);
await write('assets/favicon.png', 192, 0.8);
await browser.close();
