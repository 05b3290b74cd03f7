import type { CloudFinding, CoverFinding, FishFinding } from '../finding';
import { joinSeam } from './seam';

const fish = (fromPing: number, toPing: number, rangeM: number, confidence = 0.8): FishFinding =>
  ({
    kind: 'fish',
    fromPing,
    toPing,
    rangeM,
    confidence,
    path: new Float32Array(toPing - fromPing + 1).fill(rangeM),
  }) as FishFinding;

const cloud = (fromPing: number, toPing: number, topM: number): CloudFinding =>
  ({
    kind: 'cloud',
    fromPing,
    toPing,
    rangeM: topM,
    confidence: 0.9,
    top: new Float32Array(toPing - fromPing + 1).fill(topM),
    bottom: new Float32Array(toPing - fromPing + 1).fill(topM + 2),
  }) as CloudFinding;

/** Blocks own 0…999 and 1000…1999, and look 240 pings into each other. */
const [FROM, TO] = [1000, 2000];

describe('what is read on both sides of a seam', () => {
  it('is one where it runs over it, with the path of both and the surer reading', () => {
    const before = [fish(900, 1100, 6, 0.7)];
    const [one, ...more] = joinSeam(before, [fish(950, 1300, 6.1, 0.9)], FROM, TO);
    expect(more).toEqual([]);
    expect(one).toMatchObject({ fromPing: 900, toPing: 1300, confidence: 0.9 });
    const { path } = one as FishFinding;
    expect(path).toHaveLength(401);
    expect(path[10]).toBeCloseTo(6, 5);
    expect(path[390]).toBeCloseTo(6.1, 5);
  });
  it('is one of clouds too', () => {
    const [one, ...more] = joinSeam([cloud(980, 1150, 4)], [cloud(985, 1250, 4.1)], FROM, TO);
    expect(more).toEqual([]);
    expect(one).toMatchObject({ fromPing: 980, toPing: 1250 });
    expect((one as CloudFinding).top).toHaveLength(271);
  });
  it('has the length of a bed of weed once, however much both sides saw of it', () => {
    const weed = (fromPing: number, toPing: number, lengthM: number): CoverFinding =>
      ({
        kind: 'cover',
        fromPing,
        toPing,
        lengthM,
        confidence: 0.9,
        height: new Float32Array(toPing - fromPing + 1).fill(1),
      }) as CoverFinding;
    // Ten pings a metre: 40 m and 32 m, of which 24 m are the same.
    const [one] = joinSeam([weed(800, 1199, 40)], [weed(960, 1279, 32)], FROM, TO);
    expect((one as CoverFinding).lengthM).toBeCloseTo(48, 6);
    expect(one!.toPing - one!.fromPing + 1).toBe(480);
  });
  it('is two where two lie near each other in one block', () => {
    const out = joinSeam([], [fish(1400, 1430, 6), fish(1402, 1429, 6.15)], FROM, TO);
    expect(out).toHaveLength(2);
  });
  it('is two where they are not alike', () => {
    expect(joinSeam([fish(980, 1050, 6)], [fish(1001, 1060, 7)], FROM, TO)).toHaveLength(2);
    expect(joinSeam([cloud(980, 1050, 6)], [fish(1001, 1060, 6)], FROM, TO)).toHaveLength(2);
  });
  it('is left to the neighbour where it lies wholly beyond the seam', () => {
    expect(joinSeam([], [fish(800, 900, 6)], FROM, TO)).toEqual([]);
    expect(joinSeam([], [fish(2050, 2100, 6)], FROM, TO)).toEqual([]);
    // What begins before the far seam is carried on by the next block.
    expect(joinSeam([], [fish(1990, 2100, 6)], FROM, TO)).toHaveLength(1);
  });
});
