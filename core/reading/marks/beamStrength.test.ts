import { beamPattern, cone } from '@/core/rig';
import { degToRad } from '@/core/units';
import { beamStrength } from './beamStrength';

describe('strength in the beam', () => {
  const beam = cone(degToRad(20));
  /** Levels of a −35 dB target passed `side` off the axis, free of fading. */
  const passed = (side: number) => {
    const sinAlong = Array.from({ length: 41 }, (_, i) => Math.abs(i - 20) * 0.009);
    const levels = sinAlong.map((a) => -35 + 20 * Math.log10(beamPattern(beam, a, side)));
    const shown = sinAlong.map((a, i) => [a, levels[i]!] as const).filter(([, l]) => l > -50);
    return beamStrength(
      shown.map(([, l]) => l),
      shown.map(([a]) => a),
      beam,
    );
  };
  it('is found whether the target passed under the face or to the side', () => {
    for (const side of [0.01, 0.08, 0.14]) {
      const { db, spreadDb } = passed(side);
      // Two of its own standard deviations; 1.25 dB are for a fading that these levels do not have.
      expect(Math.abs(db - 1.25 + 35)).toBeLessThan(2 * spreadDb + 0.5);
      // Offsets out to 14 dB down were tried: what is left must be far less.
      expect(spreadDb).toBeLessThan(5);
    }
  });
  it('is unsure from a single ping: anywhere in the beam', () => {
    expect(beamStrength([-40], [0], beam).spreadDb).toBeGreaterThan(3);
    expect(beamStrength([-40], [0], beam).db).toBeGreaterThan(-40);
  });
});
