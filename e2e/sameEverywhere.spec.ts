import { expect, test } from '@playwright/test';
import { build } from 'esbuild';
import { levelsOf } from './levels';

test('the same seed gives the same levels in this browser as in Node @once', async ({ page }) => {
  const { outputFiles } = await build({
    entryPoints: ['e2e/levels.ts'],
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'made',
    alias: { '@': '.' },
  });
  await page.goto('about:blank');
  await page.addScriptTag({ content: outputFiles[0]!.text });
  const here = levelsOf();
  const there = await page.evaluate(() =>
    (window as unknown as { made: { levelsOf(): number[][] } }).made.levelsOf(),
  );
  expect(there).toHaveLength(here.length);
  here.forEach((levels, k) => {
    expect(levels.length).toBeGreaterThan(5000);
    let most = 0;
    levels.forEach((level, i) => (most = Math.max(most, Math.abs(level - there[k]![i]!))));
    expect(most).toBeLessThan(0.001);
  });
});
