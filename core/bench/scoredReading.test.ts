import { describe, expect, it } from '@jest/globals';
import { FIRST_BRIEF } from '@/core/advice';
import { readChannel } from '@/core/reading';
import { channelOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { benchPass } from './benchPass';
import { cutawayPass } from './cutaway';
import { scoredReading, type FoundPlace } from './scoredReading';

const request = benchPass(
  { ...FIRST_BRIEF, windMps: 0 },
  GENERIC_RIG,
  { faceId: 'cone-200', pingRate: 8, rangeM: 20, power: 'full' },
  4,
);
const recording = simulate(request);
const { findings } = readChannel(recording, channelOf(recording, 'cone-200'));
const pass = cutawayPass(request, 'cone-200');

describe('a reading held against the true water', () => {
  const { marks, fish } = scoredReading(findings, pass);
  it('is right where the fish are, with their lengths', () => {
    const own = findings.filter((f) => f.kind === 'fish');
    expect(own.length).toBeGreaterThan(3);
    const right = marks.filter((m) => m.right && m.made === 'fish');
    expect(right.length).toBeGreaterThanOrEqual(own.length - 1);
    for (const m of right) {
      expect(m.lengthM).toBeGreaterThanOrEqual(FIRST_BRIEF.lengthM[0] - 0.001);
      expect(m.lengthM).toBeLessThanOrEqual(FIRST_BRIEF.lengthM[1] + 0.001);
    }
    expect(fish.filter((f) => f.found).length).toBeGreaterThanOrEqual(right.length - 1);
  });
  it('is wrong in open water, and then every fish is missed', () => {
    const shifted: FoundPlace[] = findings
      .filter((f) => f.kind === 'fish')
      .map((f) => ({ ...f, rangeM: 0.6, fromPing: f.fromPing, toPing: f.toPing }));
    const scored = scoredReading(shifted, pass);
    expect(scored.marks.every((m) => !m.right && m.lengthM === null)).toBe(true);
    expect(scored.fish.every((f) => !f.found)).toBe(true);
    expect(scored.fish.length).toBe(fish.length);
  });
  it('tells what else made a mark', () => {
    const { rangeM, timeS } = findings[0]!;
    const ping = findings[0]!.fromPing;
    const onBed = scoredReading(
      [{ id: 1, kind: 'fish', timeS, rangeM: 30, heightM: 0.1, fromPing: ping, toPing: ping }],
      pass,
    );
    expect(rangeM).toBeLessThan(30);
    expect(onBed.marks[0]).toEqual({ id: 1, right: false, made: 'bed', lengthM: null });
  });
});
