/** Pictures of a sounder's screen on this machine's disk, for the command line. */
import { readFileSync, statSync } from 'node:fs';
import sharp from 'sharp';
import { openText } from '@/core/formats';
import { SCREEN_FORMAT } from '@/core/formats/screenFile';
import type { Recording } from '@/core/recording';
import { GENERIC_RIG, TRANSDUCERS, type Face } from '@/core/rig';
import { screenRecording } from '@/core/screenPicture';

const LARGEST_BYTES = 40e6;
const LONGEST_PX = 12_000;
/** As many pixels on the longer side as the app reads. */
const READ_PX = 2400;

/** The pings of a picture, by a calibration the app has exported. @throws Error with one plain sentence */
export async function loadScreenPicture(path: string, calibrationPath: string): Promise<Recording> {
  const opened = openText(SCREEN_FORMAT, readFileSync(calibrationPath, 'utf8'));
  if (!opened.ok) throw new Error(opened.problem);
  const { name, faceId, calibration } = opened.value;
  const faces = [...GENERIC_RIG.faces, ...TRANSDUCERS.flatMap((t) => t.faces)];
  const faceOf = (id: string): Face => faces.find((f) => f.id === id) ?? GENERIC_RIG.faces[0]!;
  if (statSync(path).size > LARGEST_BYTES)
    throw new Error(`This picture has more than ${LARGEST_BYTES / 1e6} MB, the most.`);
  const image = sharp(path, { limitInputPixels: LONGEST_PX ** 2 });
  const { width = 0, height = 0 } = await image.metadata().catch(() => {
    throw new Error('This is not a picture, or it is damaged. PNG, JPEG and WebP open.');
  });
  if (Math.max(width, height) > LONGEST_PX)
    throw new Error(`This picture is ${Math.max(width, height)} pixels long; ${LONGEST_PX} is the most.`);
  const { data, info } = await image
    .resize({ width: READ_PX, height: READ_PX, fit: 'inside', withoutEnlargement: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw new Error('This picture is cut short or damaged, and cannot be opened.');
    });
  const pixels = { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
  return screenRecording(
    pixels,
    calibration,
    faceOf(faceId),
    name,
    calibration.panels.map((panel) => faceOf(panel.faceId)),
  );
}
