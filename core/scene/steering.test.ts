import { describe, expect, it } from '@jest/globals';
import { FIRST_BRIEF } from '@/core/advice';
import { benchPass } from '@/core/bench';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { EXTRA_BAIT, EXTRA_COVERS, type SteeringCommand, type WaterExtras } from './index';

const SOUNDING = { faceId: 'cone-83', pingRate: 5, rangeM: 20, power: 'full' } as const;
const passWith = (more: WaterExtras, steering: readonly SteeringCommand[] = []) =>
  benchPass(FIRST_BRIEF, GENERIC_RIG, SOUNDING, 4, 2, more, steering);

describe('a boat steered anew', () => {
  const atS = 30;
  const straight = passWith({});
  it('has gone as before until then: the same pings to the last bit', () => {
    const before = simulate(straight).channels[0]!;
    const after = simulate(passWith({}, [{ atS, way: 'plane', speedMps: 1 }])).channels[0]!;
    const pings = atS * SOUNDING.pingRate;
    expect(after.levelDb.slice(0, pings * after.sampleCount)).toEqual(
      before.levelDb.slice(0, pings * before.sampleCount),
    );
    expect(after.levelDb.slice(-after.sampleCount)).not.toEqual(before.levelDb.slice(-before.sampleCount));
  });
  it('turns back onto the very line it came by', () => {
    const { track } = passWith({}, [{ atS, way: 'back', speedMps: 1.5 }]);
    const last = track.timeS.length - 1;
    expect(Math.abs(track.yM[last]!)).toBeLessThan(0.6);
    expect(track.xM[last]!).toBeLessThan(track.xM[atS * SOUNDING.pingRate]!);
    expect(Math.cos(track.headingRad[last]!)).toBeCloseTo(-1, 2);
  });
  it('stops when told to hold, and planes when told to', () => {
    const speedAfter = (way: SteeringCommand['way']): number =>
      passWith({}, [{ atS, way, speedMps: 1.5 }]).track.speedMps.at(-1)!;
    expect(speedAfter('hold')).toBe(0);
    expect(speedAfter('plane')).toBeGreaterThan(5);
    expect(speedAfter('idle')).toBeCloseTo(1.5, 5);
  });
  it('answers its last command, whatever came before', () => {
    const { track } = passWith({}, [
      { atS: 20, way: 'plane', speedMps: 1 },
      { atS: 25, way: 'hold', speedMps: 1 },
    ]);
    expect(track.speedMps.at(-1)).toBe(0);
    expect(track.timeS.at(-1)!).toBeGreaterThan(100);
  });
});

describe('more in a water', () => {
  const plain = passWith({}).scene;
  it('leaves alone what is not named', () => {
    expect(passWith({ electrical: true }).scene).toEqual({
      ...plain,
      electrical: expect.objectContaining({ overNoiseDb: expect.any(Number) }),
    });
  });
  it.each(EXTRA_COVERS)('stands cover of the kind named on the bed: %s', (cover) => {
    const { covers } = passWith({ cover }).scene;
    expect(new Set(covers.map((c) => c.kind))).toEqual(new Set(cover === 'none' ? [] : [cover]));
    for (const c of covers) expect(c.topM).toBeLessThan(c.footM);
  });
  it('has wood answer less with age', () => {
    const loudest = (coverAgeYears: number): number =>
      Math.max(
        ...passWith({ cover: 'brush', coverAgeYears }).scene.covers[0]!.points.filter((_, i) => i % 4 === 3),
      );
    expect(loudest(10)).toBeLessThan(0.5 * loudest(0));
  });
  it.each(EXTRA_BAIT)('holds bait as named: %s', (bait) => {
    const { clouds } = passWith({ bait }).scene;
    expect(clouds.map((c) => c.mood)).toEqual(bait === 'none' ? [] : [bait, bait]);
  });
  it('lies as told, and drifts and bubbles', () => {
    const { scene } = passWith({ ground: 'ledge', drifting: 30, upwelling: true });
    expect(scene.title).toBe('Your water: a ledge');
    expect(scene.drifters.filter((d) => d.kind === 'debris')).toHaveLength(30);
    expect(scene.drifters.some((d) => d.kind === 'bubble')).toBe(true);
  });
});
