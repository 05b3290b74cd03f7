import * as v from 'valibot';
import { ScreenCalibrationSchema } from '@/core/screenPicture/calibration';
import type { Format } from './envelope';

/** Where the panel, scale and legend lie on pictures of one unit's screen, by a name. */
export const NamedCalibrationSchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  /** The beam its pictures are of. */
  faceId: v.pipe(v.string(), v.maxLength(40)),
  calibration: ScreenCalibrationSchema,
});
export type NamedCalibration = v.InferOutput<typeof NamedCalibrationSchema>;

export const SCREEN_FORMAT: Format<NamedCalibration> = {
  name: 'nimble-echo-screen',
  label: 'screen calibration',
  schema: NamedCalibrationSchema,
  migrations: [],
};
