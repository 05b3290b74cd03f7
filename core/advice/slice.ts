import type { Rig } from '@/core/rig';
import type { Brief } from './brief';
import type { Habits } from './practices';
import { startSetup, type Setup } from './setup';
import type { TriedColours } from './triedColours';
import type { Control, Pinnable, Pins } from './setupLine';

/** Lines that are the slice's own; the rest (range, pings, the boat) is one for both pictures and stands on the cone's card. */
const ON_THE_SLICES: ReadonlySet<Control> = new Set([
  'imaging',
  'power',
  'pulse',
  'gain',
  'firstColour',
  'colourSpread',
  'otherSounders',
  'noiseRejection',
  'topWater',
  'tvg',
  'chartSpeed',
]);

/** Lines that are one for both pictures: held on either card they are held for both. */
export const SHARED_LINES: readonly Pinnable[] = ['range', 'lookNoDeeper', 'pingRate'];

/**
 * The slice's own setup beside the cone's: of the face its imaging line names, in the same window, at the same ping rate, with gain,
 * colours and chart speed of its own. Null on a rig without a slice, and where the setup itself is a slice's.
 * @param own what is held on the slice's card
 */
export function sliceSetup(
  brief: Brief,
  rig: Rig,
  cone: Setup,
  habits: Habits = {},
  own: Pins = {},
  tried: TriedColours | null = null,
): Setup | null {
  const imaging = cone.lines.find((l) => l.control === 'imaging');
  const face = rig.faces.find((f) => f.beam.shape === 'fan' && f.frequencyHz === imaging?.value);
  if (!imaging || !face || cone.prediction.face.beam.shape === 'fan') return null;
  const shared = Object.fromEntries(
    SHARED_LINES.map((control) => [control, cone.lines.find((l) => l.control === control)!.value]),
  );
  const setup = startSetup({ ...brief, faceId: face.id }, rig, habits, { ...own, ...shared }, tried);
  const { topM, bedLockM } = cone.settings;
  return {
    ...setup,
    settings: { ...setup.settings, topM, bedLockM },
    lines: [imaging, ...setup.lines.filter((l) => l.control !== 'imaging')].filter((l) =>
      ON_THE_SLICES.has(l.control),
    ),
  };
}
