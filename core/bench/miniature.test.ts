import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { faultMiniature, miniature, MOUNT_FAULTS } from '@/core/bench';
import { GENERIC_RIG } from '@/core/rig';
import { sameNumbers } from '@/core/testing/sameNumbers';

it('a miniature shows the fish under the face in use, wherever that hangs', () => {
  const { settings } = startSetup({ ...FIRST_BRIEF, presentation: 'vertical', speedMps: 0 }, GENERIC_RIG);
  const at = (x: number) =>
    miniature(
      { ...FIRST_BRIEF, presentation: 'vertical', speedMps: 0 },
      { ...GENERIC_RIG, hangs: { [settings.faceId]: { x, y: 0 } } },
      settings,
    );
  expect(sameNumbers(at(6).pixels, at(0).pixels)).toBe(true);
});

describe('a miniature', () => {
  const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
  const inked = (steps: Uint16Array, from: number, to: number, rows: number): number => {
    let count = 0;
    for (let c = 0; c < steps.length / rows; c++)
      for (let r = from; r < to; r++) if (steps[c * rows + r]! > 0) count++;
    return count;
  };
  const fishInk = (picture: ReturnType<typeof miniature>): number => {
    const row = (m: number): number => Math.round((m / settings.rangeM) * picture.rows);
    return inked(picture.steps, row(9.5), row(11), picture.rows);
  };

  it('shows the fish where the brief has it, and none in the water above', () => {
    const picture = miniature(FIRST_BRIEF, GENERIC_RIG, settings);
    const row = (m: number): number => Math.round((m / settings.rangeM) * picture.rows);
    expect(picture.columns).toBe(160);
    // A fish at 10 m against the same height of empty water.
    expect(fishInk(picture)).toBeGreaterThan(3 * inked(picture.steps, row(6), row(7.5), picture.rows));
  });
  it('of a fault differs from a sound mount, and in churned water a fish is lost among noise', () => {
    const sound = faultMiniature(FIRST_BRIEF, GENERIC_RIG, settings, 'none');
    for (const fault of MOUNT_FAULTS.filter((f) => f !== 'none'))
      expect(sameNumbers(faultMiniature(FIRST_BRIEF, GENERIC_RIG, settings, fault).steps, sound.steps)).toBe(
        false,
      );
    const churned = faultMiniature(FIRST_BRIEF, GENERIC_RIG, settings, 'churned');
    const row = (m: number): number => Math.round((m / settings.rangeM) * sound.rows);
    const overWater = (picture: typeof sound): number =>
      fishInk(picture) / (1 + inked(picture.steps, row(6), row(7.5), picture.rows));
    expect(overWater(churned)).toBeLessThan(0.5 * overWater(sound));
  });
});
