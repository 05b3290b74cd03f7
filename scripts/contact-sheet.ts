/** Draws every named scene, cone over slice, on one sheet for the eye: docs/contact-sheet.png. Run with `npx tsx`. */
import { recordingOf } from '@/core/recording';
import { chromium } from '@playwright/test';
import { PLAIN_SETTINGS, type Settings } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { GENERIC_RIG, transducerOf, type Face } from '@/core/rig';
import { makeScene, SCENES, trackOver, type SceneRecipe } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { FLAGS } from './pages.mjs';
import { ensureChromium } from './tools.mjs';

const [OUT = 'docs/contact-sheet.png', seedText = '1', only = '', widthText = '400'] = process.argv.slice(2);
const SEED = Number(seedText);
const COLUMNS = Number(widthText);
const ROWS = 220;

/** Deeper than this a lake's transducer is left at home. */
const DEEP_M = 50;

function facesFor(recipe: SceneRecipe): [Face, Face] {
  const deep = recipe.rangeM > DEEP_M;
  return [
    deep ? transducerOf('offshore-50-200').faces[0]! : transducerOf('twin-83-200').faces[0]!,
    transducerOf('imaging').faces[0]!,
  ];
}

function pixelsOf(recipe: SceneRecipe): { label: string; rgba: string }[] {
  const scene = makeScene(recipe.id, SEED);
  const track = trackOver(recipe.id, SEED);
  const faces = facesFor(recipe);
  const recording = simulate({
    scene,
    track,
    rig: GENERIC_RIG,
    faces,
    pingRate: recipe.pingRate,
    farM: recipe.rangeM,
    seed: SEED,
  });
  const nowS = track.timeS[track.timeS.length - 1]!;
  return faces.map((face) => {
    const slice = face.beam.shape === 'fan';
    const settings: Settings = {
      ...PLAIN_SETTINGS,
      faceId: face.id,
      rangeM: recipe.rangeM,
      gainMode: 'auto',
      firstColourDb: 2,
      colourSpreadDb: 44,
      tvg: slice ? 'volume' : 'target',
      contrastMode: slice ? 'auto' : 'manual',
      chartSpeed: COLUMNS / nowS,
      pingRate: recipe.pingRate,
      palette: slice ? 'graphite' : 'ink',
    };
    const { pixels } = drawPicture(
      recordingOf([recording]),
      settings,
      { rows: ROWS, columns: COLUMNS },
      nowS,
    );
    return { label: face.label, rgba: Buffer.from(pixels.buffer).toString('base64') };
  });
}

async function main(): Promise<void> {
  const browser = await chromium.launch({ executablePath: ensureChromium(), args: FLAGS });
  const page = await browser.newPage({ viewport: { width: 3 * COLUMNS + 80, height: 900 } });
  await page.setContent(
    `<style>body{font:13px sans-serif;margin:12px;background:#fbf8ef;color:#1b1b1b}main{display:grid;grid-template-columns:repeat(auto-fill,${COLUMNS}px);gap:14px}figure{margin:0}canvas{display:block;margin-top:2px}b{font-size:14px}</style><main></main>`,
  );
  for (const recipe of SCENES.filter((s) => !only || only.split(',').includes(s.id))) {
    const pictures = pixelsOf(recipe);
    await page.evaluate(
      ({ title, teaches, pictures, rows, columns }) => {
        const figure = document.createElement('figure');
        const caption = document.createElement('div');
        caption.innerHTML = '<b></b><br><span></span>';
        caption.querySelector('b')!.textContent = title;
        caption.querySelector('span')!.textContent = teaches;
        figure.append(caption);
        for (const { rgba } of pictures) {
          const canvas = document.createElement('canvas');
          canvas.width = columns;
          canvas.height = rows;
          const bytes = Uint8ClampedArray.from(atob(rgba), (c) => c.charCodeAt(0));
          canvas.getContext('2d')!.putImageData(new ImageData(bytes, columns, rows), 0, 0);
          figure.append(canvas);
        }
        document.querySelector('main')!.append(figure);
      },
      {
        title: `${recipe.waterName} · ${recipe.title} · 0–${recipe.rangeM} m`,
        teaches: recipe.teaches,
        pictures,
        rows: ROWS,
        columns: COLUMNS,
      },
    );
  }
  await page.screenshot({ path: OUT, fullPage: true });
  await browser.close();
}

void main();
