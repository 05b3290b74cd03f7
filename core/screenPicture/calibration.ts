import * as v from 'valibot';

const share = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(1));
/** A place of a picture, as shares of its width and height. */
const PointSchema = v.object({ x: share, y: share });
export type Point = v.InferOutput<typeof PointSchema>;

/** Longest and shortest time a screen holds, s, and deepest water, m. */
const seconds = v.pipe(v.number(), v.finite(), v.minValue(2), v.maxValue(3600));
const metres = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(400));

/** Where a panel of echoes lies on a picture, its scale and its colours. */
const PANEL = {
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
  /** Ends of the colour legend, anywhere on the picture. */
  legend: v.object({ weak: PointSchema, strong: PointSchema }),
};

/** Most panels a picture is read from beside its first. */
export const MOST_MORE_PANELS = 3;

/** What must be known of a picture of a sounder's screen before anything on it can be measured. */
export const ScreenCalibrationSchema = v.object({
  ...PANEL,
  /** The side the newest echoes are on. */
  now: v.picklist(['left', 'right']),
  /** Seconds from one side to the other, and the boat's speed. */
  acrossS: seconds,
  speedMps: v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(15)),
  /** Further panels of the same moment, each of a beam of its own. */
  panels: v.optional(
    v.pipe(
      v.array(v.object({ ...PANEL, faceId: v.pipe(v.string(), v.maxLength(40)) })),
      v.maxLength(MOST_MORE_PANELS),
    ),
    [],
  ),
});
export type ScreenCalibration = v.InferOutput<typeof ScreenCalibrationSchema>;
/** A panel of a picture, whichever it is. */
export type Panel = Pick<ScreenCalibration, 'corners' | 'depths' | 'legend'>;
