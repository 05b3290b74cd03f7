import { describe, expect, it } from '@jest/globals';
import { FIRST_BRIEF } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';
import { benchPass, scenePass } from './benchPass';
import { cutawayAt, cutawayPass } from './cutaway';

const request = benchPass(
  { ...FIRST_BRIEF, windMps: 0 },
  GENERIC_RIG,
  { faceId: 'cone-83', pingRate: 6, rangeM: 20, power: 'full' },
  9,
  2,
  { ground: 'ledge' },
);
const pass = cutawayPass(request, 'cone-83');
const shown = cutawayAt(pass, 0, null).fish.length;
const marks = pass.visible.filter((v) => v.pings.length > 20);

describe('the cutaway', () => {
  it('has fish on the pass that show', () => {
    expect(marks.length).toBeGreaterThan(3);
    expect(shown).toBeLessThan(pass.visible.length);
  });
  it('lights the fish that made an echo, with a path that is longer before and after the nearest', () => {
    for (const v of marks) {
      const { made } = cutawayAt(pass, v.nearestTimeS, v.nearestRangeM);
      expect(made?.kind).toBe('fish');
      if (made?.kind !== 'fish') continue;
      expect(made.fish.lengthM).toBe(v.fish.lengthM);
      const mark = made.fish.mark!;
      expect(mark.nearestM).toBeLessThanOrEqual(Math.min(mark.fromM, mark.toM));
      // The slant range is by Pythagoras what the section shows.
      expect(Math.hypot(made.fish.aheadM, made.fish.portM, made.fish.depthM)).toBeCloseTo(
        made.fish.rangeM,
        6,
      );
    }
  });
  it('shows that on a slope the bed is touched nearer than it lies below', () => {
    const ledge = scenePass(
      'channel-ledge',
      GENERIC_RIG,
      { faceId: 'cone-83', pingRate: 4, rangeM: 30, power: 'full' },
      2,
    );
    const over = cutawayPass(ledge, 'cone-83');
    const nearer = [...ledge.track.timeS].filter((_, p) => p % 20 === 0).map((t) => cutawayAt(over, t, null));
    for (const { touch, belowM } of nearer) expect(touch.rangeM).toBeLessThanOrEqual(belowM);
    expect(nearer.some(({ touch, belowM }) => touch.rangeM < belowM - 0.3)).toBe(true);
  });
  it('calls the bed the bed, and open water nothing', () => {
    const at = cutawayAt(pass, 10, null);
    expect(cutawayAt(pass, 10, at.touch.rangeM + 0.2).made).toMatchObject({ kind: 'bed' });
    expect(cutawayAt(pass, 10, 2).made).toBeNull();
  });
});
