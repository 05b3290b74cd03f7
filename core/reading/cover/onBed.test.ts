import { coverProbability, COVER_CLASSES, findStructure, readChannel, type CoverFinding } from '..';
import { madeCoverPass, ON_BED } from '@/scripts/accuracy/coverPasses';
import { planPass } from '@/scripts/accuracy/planPasses';
import { paintedPass } from '@/core/testing/paintedWater';

describe('what stands on the bed', () => {
  it('is told apart: weed, brush, timber, boulder, and a fish close over the bed', () => {
    let right = 0;
    let all = 0;
    for (const kind of ON_BED)
      for (let seed = 1; seed <= 4; seed++) {
        const pass = madeCoverPass(7_000 + seed, kind);
        const { findings } = readChannel(pass.recording, pass.recording.channels[0]!);
        const t = pass.recording.navigation.timeS;
        const said = findings
          .filter((f) => t[f.toPing]! > pass.timeS - pass.halfS && t[f.fromPing]! < pass.timeS + pass.halfS)
          .map((f) => (f.kind === 'cover' ? f.cover : f.kind));
        all++;
        if (said.includes(kind)) right++;
      }
    // 0.85 of many in `npm run accuracy`; of twenty it may be three fewer by chance (binomial, one in twenty).
    expect(right / all).toBeGreaterThanOrEqual(0.7);
  }, 120_000);

  it('has its height, its length and its rival said', () => {
    const pass = madeCoverPass(7_105, 'weed');
    const { findings } = readChannel(pass.recording, pass.recording.channels[0]!);
    const weed = findings.find((f): f is CoverFinding => f.kind === 'cover' && f.cover === 'weed');
    expect(weed).toBeDefined();
    expect(Math.abs(weed!.heightM - pass.heightM)).toBeLessThan(0.35 * pass.heightM);
    expect(weed!.rival.reading).not.toBe('weed');
    expect(weed!.reasons.map((r) => r.name)).toContain('stands-on-bed');
    const sum = COVER_CLASSES.reduce((s, c) => s + weed!.probability[c], 0);
    expect(sum).toBeCloseTo(1, 6);
  });

  it('is held for what it measures like', () => {
    const likely = (
      tallM: number,
      lengthM: number,
      underBedDb: number,
      solid: number,
      fill: number,
    ): string => {
      const p = coverProbability({
        tallM,
        lengthM,
        lengthSpread: 0,
        underBedDb,
        solid,
        fill,
        overDb: 35,
        faint: false,
      });
      return [...COVER_CLASSES].sort((a, b) => p[b] - p[a])[0]!;
    };
    expect(likely(1, 18, 34, 0, 0.84)).toBe('weed');
    expect(likely(1.4, 5, 40, 0, 0.87)).toBe('brush');
    expect(likely(5, 2, 44, 0, 0.67)).toBe('timber');
    expect(likely(0.6, 2, 18, 0.4, 0.97)).toBe('boulder');
  });
});

it('a thin bed of weed, 6 to 9 dB over the water, is weed, and nothing else stands there', () => {
  for (const seed of [9_720_004, 9_720_015, 9_720_030, 9_720_043]) {
    const { recording, truth } = paintedPass(seed, { weed: 1, clouds: 0 });
    const cover = readChannel(recording, recording.channels[0]!).findings.filter((f) => f.kind === 'cover');
    expect(cover.map((f) => f.cover)).toEqual(['weed']);
    const { fromPing, toPing } = truth.weed[0]!;
    // Its ends may be lower than can be told.
    expect(cover[0]!.fromPing).toBeGreaterThan(fromPing - 6);
    expect(cover[0]!.toPing).toBeLessThan(toPing + 6);
  }
});

it('what a wide beam draws over a fraction of its own footprint stands on no bed', () => {
  const pass = planPass(1_060_893);
  expect(pass.scene.covers).toHaveLength(0);
  const { findings } = readChannel(pass.recording, pass.recording.channels[0]!);
  expect(findings.filter((f) => f.kind === 'cover')).toHaveLength(0);
});

describe('structure of the bed', () => {
  /** A bed line over a way of one metre a ping. */
  const over = (depth: (x: number) => number, pings = 120) =>
    findStructure(
      {
        rangeM: Float32Array.from({ length: pings * 4 }, (_, p) => depth(p / 4)),
        contrastDb: new Float32Array(pings * 4),
      },
      {
        eastM: Float64Array.from({ length: pings * 4 }, (_, p) => p / 4),
        northM: new Float64Array(pings * 4),
      } as never,
    );

  it('finds a hump, a channel and a ledge, and how high they are', () => {
    const bump = (x: number): number => Math.exp(-(((x - 60) / 8) ** 2));
    const [hump] = over((x) => 12 - 3 * bump(x));
    expect(hump).toMatchObject({ kind: 'hump' });
    expect(Math.abs(hump!.heightM - 3)).toBeLessThan(0.3);
    const [channel] = over((x) => 9 + 4 * bump(x)).filter((s) => s.kind === 'channel');
    expect(Math.abs(channel!.heightM - 4)).toBeLessThan(0.3);
    const [ledge] = over((x) => (x < 50 ? 6 : x < 56 ? 6 + (x - 50) : 12));
    expect(ledge).toMatchObject({ kind: 'ledge' });
    expect(Math.abs(ledge!.heightM - 6)).toBeLessThan(1.2);
  });

  it('finds none on an even slope, on small roughness, or under a boat that keeps still', () => {
    expect(over((x) => 8 + 0.05 * x)).toEqual([]);
    expect(over((x) => 10 + 0.2 * Math.sin(x / 3))).toEqual([]);
    expect(
      findStructure({ rangeM: new Float32Array(400).fill(9), contrastDb: new Float32Array(400) }, {
        eastM: new Float64Array(400),
        northM: new Float64Array(400),
      } as never),
    ).toEqual([]);
  });
});
