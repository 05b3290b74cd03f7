import { seededRandom } from '@/core/maths';
import type { Mount } from '@/core/rig';
import type { Track } from '@/core/scene';

/** The beam's axes in the world, a row of six a ping: fore-and-aft (x, y, z), then athwart. */
export type Frames = Float64Array;

/** One seed for the shake of loose mounts: a pass differs from another by its waves. */
const SHAKE_SEED = 77;

/** How the face points, ping by ping: heading, pitch, roll, the mount's own tilt, and its shake when it is loose. */
export function framesOf(track: Track, mount: Mount): Frames {
  const pings = track.timeS.length;
  const frames = new Float64Array(6 * pings);
  const shake = seededRandom(SHAKE_SEED);
  let shakeAlong = 0;
  let shakeAthwart = 0;
  for (let p = 0; p < pings; p++) {
    if (mount.looseRad > 0) {
      // A bracket that works loose swings on: each ping keeps half of the last one's lean.
      shakeAlong = 0.5 * shakeAlong + 0.87 * mount.looseRad * shake.normal();
      shakeAthwart = 0.5 * shakeAthwart + 0.87 * mount.looseRad * shake.normal();
    }
    const heading = track.headingRad[p]!;
    // Bow up turns the face forward; starboard down turns it to port. Angles stay small, so turns add.
    const pitch = track.pitchRad[p]! + mount.alongRad + shakeAlong;
    const roll = track.rollRad[p]! + mount.athwartRad + shakeAthwart;
    const [ch, sh] = [Math.cos(heading), Math.sin(heading)];
    const [cp, sp] = [Math.cos(pitch), Math.sin(pitch)];
    const [cr, sr] = [Math.cos(roll), Math.sin(roll)];
    const at = 6 * p;
    frames[at] = ch * cp;
    frames[at + 1] = sh * cp;
    frames[at + 2] = -sp;
    frames[at + 3] = -sh * cr + ch * sp * sr;
    frames[at + 4] = ch * cr + sh * sp * sr;
    frames[at + 5] = sr * cp;
  }
  return frames;
}
