import { FIRST_BRIEF, likelyShapes, predict, sliceSetup, startSetup, type Brief } from '@/core/advice';
import { GENERIC_RIG, screenOf, transducerOf, waterPerColumn, waterPerRow } from '@/core/rig';

const sliceOf = (change: Partial<Brief> = {}, pins = {}) => {
  const brief = { ...FIRST_BRIEF, ...change };
  return sliceSetup(brief, GENERIC_RIG, startSetup(brief, GENERIC_RIG, {}, pins));
};

describe('the slice beside the cone', () => {
  it('has a setup of its own: of the face its line names, true to shape, with a little haze left', () => {
    const cone = startSetup(FIRST_BRIEF, GENERIC_RIG);
    const slice = sliceOf()!;
    const { face } = slice.prediction;
    expect(face.beam.shape).toBe('fan');
    expect(face.frequencyHz).toBe(cone.lines.find((l) => l.control === 'imaging')!.value);
    const { settings } = slice;
    expect([settings.pingRate, settings.rangeM]).toEqual([cone.settings.pingRate, cone.settings.rangeM]);
    const rowM = waterPerRow(settings.rangeM - settings.topM, screenOf(GENERIC_RIG).rows);
    const ratio = waterPerColumn(FIRST_BRIEF.speedMps, settings.chartSpeed) / rowM;
    expect(ratio).toBeGreaterThan(0.8);
    expect(ratio).toBeLessThan(1.25);
    const first = slice.lines.find((l) => l.control === 'firstColour')!;
    expect(first.because.rule).toBe('first-colour-leave-haze');
  });
  it('leaves to the cone what is one for both, and shares a range that is held, and no gain', () => {
    const slice = sliceOf({}, { range: 25, gain: 9 })!;
    expect(slice.lines.map((l) => l.control)).not.toContain('boatSpeed');
    expect(slice.settings.rangeM).toBe(25);
    expect(slice.settings.gainDb).not.toBe(9);
  });
  it('holds lines of its own, and the rest of it adapts; the range is the cone’s', () => {
    const cone = startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { range: 25 });
    const free = sliceSetup(FIRST_BRIEF, GENERIC_RIG, cone)!;
    const held = sliceSetup(FIRST_BRIEF, GENERIC_RIG, cone, {}, { gain: -24, range: 60 })!;
    expect(held.settings.gainDb).toBe(-24);
    expect(held.settings.rangeM).toBe(25);
    const spread = (s: typeof held) => s.lines.find((l) => l.control === 'colourSpread')!.value;
    // Less gain by hand takes the bed down, and the colours need not reach so far.
    expect(free.settings.gainDb).toBeGreaterThan(-24);
    expect(spread(held)).toBeLessThan(spread(free));
    expect(cone.settings.gainDb).not.toBe(-24);
  });
  it('is none without a slice, or where the slice is the setup already', () => {
    const cones = { ...GENERIC_RIG, faces: GENERIC_RIG.faces.filter((f) => f.beam.shape === 'cone') };
    expect(sliceSetup(FIRST_BRIEF, cones, startSetup(FIRST_BRIEF, cones))).toBeNull();
    const fan = GENERIC_RIG.faces.find((f) => f.beam.shape === 'fan')!;
    expect(sliceOf({ faceId: fan.id })).toBeNull();
  });
});

describe('likely shapes', () => {
  const face = transducerOf('twin-83-200').faces[0]!;
  const rig = { ...GENERIC_RIG, faces: [face], excessNoiseDb: 45 };
  const p = predict(FIRST_BRIEF, rig, face);
  const meeting = { lengthM: 0.3, depthM: 10, asideM: 0, speedMps: 1.5, pingRate: 12 };
  const shares = (change: Partial<typeof meeting>, with_ = p) =>
    likelyShapes(with_, { ...meeting, ...change });

  it('are an arch where the echo is loud and the cone wide, and a line where nothing moves', () => {
    expect(shares({}).arch).toBeGreaterThan(0.8);
    expect(shares({ speedMps: 0 }).line).toBeGreaterThan(0.8);
  });
  it('go over to nothing as noise grows, and never add up to more than all', () => {
    let before = -1;
    for (const excessNoiseDb of [55, 80, 90, 100, 115]) {
      const noisy = { ...rig, excessNoiseDb };
      const all = shares({}, predict(FIRST_BRIEF, noisy, face));
      const nothing = all.nothing ?? 0;
      // Eighty ways to lie leave a share uncertain by at most 0.06.
      expect(nothing).toBeGreaterThanOrEqual(before - 0.12);
      expect(Object.values(all).reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(1);
      before = nothing;
    }
    expect(before).toBeGreaterThan(0.9);
  });
  it('lose their sections with speed: too few pings for a shape', () => {
    const slow = shares({ speedMps: 1 });
    const fast = shares({ speedMps: 8, pingRate: 4 });
    expect((fast.arch ?? 0) + (fast.half ?? 0)).toBeLessThan((slow.arch ?? 0) + (slow.half ?? 0));
  });
  it('are the same each time they are asked for', () => expect(shares({})).toEqual(shares({})));
});
