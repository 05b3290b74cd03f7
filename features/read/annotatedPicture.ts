import { paletteColours, type PaletteName } from '@/core/picture';
import { FONT, type Tones } from '@/ui';

const PIXEL_RATIO = 2;
const LINE_PX = 20;
const PAD_PX = 12;
const LEGEND_PX = { width: 160, height: 14 };

/** The picture as it stands on the screen, with lines of words and the legend under it, as a PNG. Rejects where the browser cannot. */
export async function annotatedPicture(
  node: HTMLElement,
  lines: readonly string[],
  palette: PaletteName,
  tones: Tones,
): Promise<Blob> {
  const { toCanvas } = await import('html-to-image');
  const drawn = await toCanvas(node, {
    pixelRatio: PIXEL_RATIO,
    backgroundColor: tones.ground,
    skipFonts: true,
    // What is only for a finger is no part of it.
    filter: (part) => !(part instanceof HTMLElement && part.getAttribute('role') === 'button'),
  });
  const out = document.createElement('canvas');
  const foot = PAD_PX * 2 + LINE_PX * lines.length + LEGEND_PX.height + PAD_PX;
  out.width = drawn.width;
  out.height = drawn.height + foot * PIXEL_RATIO;
  const context = out.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = tones.ground;
  context.fillRect(0, 0, out.width, out.height);
  context.drawImage(drawn, 0, 0);
  context.scale(PIXEL_RATIO, PIXEL_RATIO);
  context.fillStyle = tones.ink;
  context.font = `15px ${FONT.text}, sans-serif`;
  context.textBaseline = 'top';
  let y = drawn.height / PIXEL_RATIO + PAD_PX;
  for (const line of lines) {
    context.fillText(line, PAD_PX, y, out.width / PIXEL_RATIO - 2 * PAD_PX);
    y += LINE_PX;
  }
  const { steps } = paletteColours(palette);
  for (let x = 0; x < LEGEND_PX.width; x++) {
    context.fillStyle = `rgb(${steps[Math.floor((x / LEGEND_PX.width) * steps.length)]!.join(',')})`;
    context.fillRect(PAD_PX + 48 + x, y, 1, LEGEND_PX.height);
  }
  context.fillStyle = tones.ink;
  context.fillText('weak', PAD_PX, y - 1);
  context.fillText('strong', PAD_PX + 56 + LEGEND_PX.width, y - 1);
  return new Promise((resolve, reject) =>
    out.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
  );
}
