/** Draws the ranked pairs on one sheet for looking at: docs/eye-pairs.png. Run with `npx tsx scripts/eye/sheet.ts`. */
import { chromium } from '@playwright/test';
import { FLAGS } from '../pages.mjs';
import { ensureChromium } from '../tools.mjs';
import { drawnOf, PAIRS, SCREEN } from './pairs';

async function main(): Promise<void> {
  const [out = 'docs/eye-pairs.png', from = '0', to = String(PAIRS.length), marked = ''] =
    process.argv.slice(2);
  const browser = await chromium.launch({ executablePath: ensureChromium(), args: FLAGS });
  const page = await browser.newPage({ viewport: { width: 4 * SCREEN.columns + 100, height: 900 } });
  await page.setContent(
    `<style>body{font:15px sans-serif;margin:12px;background:#fff;color:#111}main{display:grid;grid-template-columns:repeat(2,${2 * SCREEN.columns + 8}px);gap:16px}section{display:grid;grid-template-columns:repeat(2,${SCREEN.columns}px);gap:2px 8px}h2{font-size:15px;margin:0;grid-column:1/3}</style><main></main>`,
  );
  for (const [i, pair] of PAIRS.slice(Number(from), Number(to)).entries()) {
    const pictures = [pair.first, pair.second].map((change) => {
      const { picture, places } = drawnOf(pair, change);
      return { rgba: Buffer.from(picture.pixels.buffer).toString('base64'), places: marked ? places : [] };
    });
    await page.evaluate(
      ({ title, pictures, rows, columns }) => {
        const section = document.createElement('section');
        const heading = document.createElement('h2');
        heading.textContent = title;
        section.append(heading);
        for (const { rgba, places } of pictures) {
          const canvas = document.createElement('canvas');
          canvas.width = columns;
          canvas.height = rows;
          const bytes = Uint8ClampedArray.from(atob(rgba), (c) => c.charCodeAt(0));
          const context = canvas.getContext('2d')!;
          context.putImageData(new ImageData(bytes, columns, rows), 0, 0);
          context.strokeStyle = 'red';
          for (const m of places)
            context.strokeRect(
              m.column - m.halfColumns,
              m.row - m.halfRows,
              2 * m.halfColumns,
              2 * m.halfRows,
            );
          section.append(canvas);
        }
        document.querySelector('main')!.append(section);
      },
      {
        title: `${Number(from) + i + 1}. ${pair.scene} (${pair.purpose})`,
        pictures,
        rows: SCREEN.rows,
        columns: SCREEN.columns,
      },
    );
  }
  await page.screenshot({ path: out, fullPage: true });
  await browser.close();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
