import * as v from 'valibot';

const share = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(1));
/** A place of a picture, as shares of its width and height. */
const PointSchema = v.object({ x: share, y: share });
export type Point = v.InferOutput<typeof PointSchema>;

/** Longest and shortest time a screen holds, s, and deepest water, m. */
const seconds = v.pipe(v.number(), v.finite(), v.minValue(2), v.maxValue(3600));
const metres = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(400));

/** What must be known of a picture of a sounder's screen before anything on it can be measured. */
export const ScreenCalibrationSchema = v.object({
  /** Corners of the panel with the echoes: top left, top right, bottom right, bottom left. */
  corners: v.tuple([PointSchema, PointSchema, PointSchema, PointSchema]),
  /** Two depths on the panel's scale: how far down the panel, as a share of it, and which depth, m. */
  depths: v.pipe(
    v.tuple([v.object({ down: share, depthM: metres }), v.object({ down: share, depthM: metres })]),
    v.check(
      ([a, b]) => (b.down - a.down) * (b.depthM - a.depthM) > 0,
      'the deeper of the two depths must lie lower on the panel',
    ),
  ),
  /** The side the newest echoes are on. */
  now: v.picklist(['left', 'right']),
  /** Seconds from one side to the other, and the boat's speed. */
  acrossS: seconds,
  speedMps: v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(15)),
  /** Ends of the colour legend, anywhere on the picture. */
  legend: v.object({ weak: PointSchema, strong: PointSchema }),
});
export type ScreenCalibration = v.InferOutput<typeof ScreenCalibrationSchema>;
