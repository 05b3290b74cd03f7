import { accepted, refused, type Result } from '@/core/formats';
import type { PixelImage } from '@/core/screenPicture';

/** Largest file and longest side of a picture that is opened. */
const LARGEST_BYTES = 40e6;
const LONGEST_PX = 12_000;
/** Pictures are read at no more than this on their longer side: a screen has no more to show. */
const READ_PX = 2400;
/** The size of a picture stands in the first part of its file. */
const HEAD_BYTES = 512 * 1024;

const KINDS = ['image/png', 'image/jpeg', 'image/webp'];
export const PICTURE_KINDS = KINDS.join(',');

/** A picture file as pixels; what cannot be opened costs one sentence, and its size is known before it is unpacked. */
export async function openPicture(file: Blob): Promise<Result<PixelImage>> {
  if (!KINDS.includes(file.type)) return refused('This is not a PNG, JPEG or WebP picture.', 'foreign');
  if (file.size > LARGEST_BYTES)
    return refused(
      `This picture has ${Math.ceil(file.size / 1e6)} MB; ${LARGEST_BYTES / 1e6} MB is the most.`,
      'damaged',
    );
  try {
    const { imageSize } = await import('image-size');
    const { width, height } = imageSize(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
    if (Math.max(width, height) > LONGEST_PX)
      return refused(
        `This picture is ${Math.max(width, height)} pixels long; ${LONGEST_PX} is the most.`,
        'damaged',
      );
    const scale = Math.min(1, READ_PX / Math.max(width, height));
    const bitmap = await createImageBitmap(
      file,
      scale < 1 ? { resizeWidth: Math.round(width * scale), resizeHeight: Math.round(height * scale) } : {},
    );
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d');
    if (!context) return refused('This browser cannot open pictures.', 'damaged');
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    return accepted({ width: canvas.width, height: canvas.height, data });
  } catch {
    return refused('This picture is cut short or damaged, and cannot be opened.', 'damaged');
  }
}
