import type { Rig } from '@/core/rig';
import type { Brief } from './brief';
import type { Habits } from './schools';
import { startSetup, type Setup } from './setup';
import type { Control, Pinnable, Pins } from './setupLine';

/** Lines that are one for both pictures of a boat, and stand on the cone's card. */
const ON_THE_CONES: ReadonlySet<Control> = new Set(['beam', 'imaging', 'boatSpeed', 'size']);

/** Lines that stand on both cards and are held for both. */
export const HELD_FOR_BOTH: readonly Pinnable[] = ['range', 'lookNoDeeper'];

/**
 * The slice's own setup beside the cone's: of the face its imaging line names, with the lines that are the slice's own. Null on a
 * rig without a slice, and where the setup itself is a slice's. Range and look no deeper, where the user holds
 * them, are held for both.
 * @param pins the cone's @param own the slice's
 */
export function sliceSetup(
  brief: Brief,
  rig: Rig,
  cone: Setup,
  habits: Habits = {},
  pins: Pins = {},
  own: Pins = {},
): Setup | null {
  const imaging = cone.lines.find((l) => l.control === 'imaging');
  const face = rig.faces.find((f) => f.beam.shape === 'fan' && f.frequencyHz === imaging?.value);
  if (!face || cone.prediction.face.beam.shape === 'fan') return null;
  const shared = Object.fromEntries(HELD_FOR_BOTH.map((control) => [control, pins[control]]));
  const setup = startSetup({ ...brief, faceId: face.id }, rig, habits, { ...own, ...shared });
  return { ...setup, lines: setup.lines.filter((l) => !ON_THE_CONES.has(l.control)) };
}
