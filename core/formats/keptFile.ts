import * as v from 'valibot';
import { FaceSchema } from '@/core/rig';
import { MOST_MORE_PANELS, ScreenCalibrationSchema } from '@/core/screenPicture/calibration';
import type { Format } from './envelope';

/** What is known of a recording or a picture of a screen whose file is kept on the device, apart from the file. */
export const KeptFileSchema = v.object({
  /** The fingerprint passes know it by. */
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  /** Its file's size. */
  bytes: v.pipe(v.number(), v.integer(), v.minValue(0)),
  keptAt: v.pipe(v.string(), v.isoTimestamp()),
  /** How a picture of a screen is read, and the beam it is of; null for a recording. */
  screen: v.nullable(
    v.object({
      calibration: ScreenCalibrationSchema,
      face: FaceSchema,
      /** Beams of its further panels. */
      more: v.optional(v.pipe(v.array(FaceSchema), v.maxLength(MOST_MORE_PANELS)), []),
    }),
  ),
});
export type KeptFile = v.InferOutput<typeof KeptFileSchema>;

export const KEPT_FILE_FORMAT: Format<KeptFile> = {
  name: 'nimble-echo-kept-file',
  label: 'kept recording',
  schema: KeptFileSchema,
  migrations: [],
};
