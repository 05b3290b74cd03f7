import { readChannel } from '@/core/reading';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { withBedsOff } from '@/core/testing/withBedsOff';
import { cone200, sceneOf, straight } from '@/core/testing/testWater';
import type { BedMaterial } from '@/core/water';
import { groundOf } from './ground';
import type { BedPatch } from './hardness';

const DEPTH_M = 9;

/** Patches of a level bed heard to a range. @param hardDb and roughDb of the bed off its table @param calibrated whether levels are absolute */
function patchesOf(
  material: BedMaterial,
  farM: number,
  { hardDb = 0, roughDb = 0, calibrated = true, rig = GENERIC_RIG } = {},
): readonly BedPatch[] {
  const made = simulate({
    scene: sceneOf({}, DEPTH_M, material),
    track: straight(600, 10, 0.8),
    rig,
    faces: [cone200],
    pingRate: 10,
    farM,
    seed: 4,
  });
  const pings = made.channels[0]!.pingCount;
  const byPing = (value: number): Float32Array => new Float32Array(pings).fill(value);
  const off = withBedsOff(made, byPing(DEPTH_M), { hardDb: byPing(hardDb), roughDb: byPing(roughDb) });
  const channel = calibrated ? off.channels[0]! : { ...off.channels[0]!, calibration: null };
  return readChannel({ ...off, channels: [channel] }, channel).hardness;
}
const meanHard = (patches: readonly BedPatch[]): number =>
  patches.reduce((sum, patch) => sum + patch.hard, 0) / patches.length;

describe('hard against soft', () => {
  it('is said outright where the bed answers as its kind does', () => {
    for (const [material, ground] of [
      ['gravel', 'hard'],
      ['mud', 'soft'],
    ] as const) {
      const patches = patchesOf(material, 22);
      expect(patches.length).toBeGreaterThan(10);
      for (const { hard } of patches) expect(groundOf(hard)).toBe(ground);
    }
  });
  it('is not said of a bed that answers halfway between sand and silt', () => {
    // By Rayleigh's formula silt answers 2.3 dB less than sand.
    const patches = patchesOf('sand', 22, { hardDb: -1.2 });
    const unclear = patches.filter(({ hard }) => groundOf(hard) === 'unclear');
    expect(unclear.length / patches.length).toBeGreaterThan(0.9);
  });
  it('has one witness in two echoes: a louder bed is louder in both', () => {
    // Silt that answers as sand does would be all but sure if its second echo were taken for a proof of the first.
    expect(meanHard(patchesOf('silt', 22, { hardDb: 2.3 }))).toBeLessThan(0.97);
    expect(meanHard(patchesOf('silt', 22, { hardDb: 2.3 }))).toBeGreaterThan(0.7);
  });
  it('is told by the second echo where the bed is rougher or smoother than its kind', () => {
    // By its first echo alone this silt is sand, and this sand silt.
    expect(meanHard(patchesOf('silt', 22, { roughDb: 2.8 }))).toBeLessThan(0.05);
    expect(meanHard(patchesOf('sand', 22, { roughDb: -2.8 }))).toBeGreaterThan(0.95);
  });
  it('of levels that are only relative is told soft where no second echo comes back, and not told where none could be heard', () => {
    const noisy = { calibrated: false, rig: { ...GENERIC_RIG, excessNoiseDb: 84 } };
    const soft = patchesOf('mud', 22, noisy);
    expect(soft.length).toBeGreaterThan(10);
    for (const patch of soft) expect(patch.secondUnheardDb).toBeGreaterThan(12);
    expect(meanHard(soft)).toBeLessThan(0.3);
    expect(patchesOf('mud', 12, noisy)).toEqual([]);
  });
});
