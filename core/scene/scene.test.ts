import { seededRandom } from '@/core/maths';
import {
  bedDepthAt,
  bedSlopeAt,
  firstPass,
  idlePass,
  FISH_IN_PASS,
  layBed,
  layTrack,
  passDuration,
  truthOf,
} from '@/core/scene';

const water = { temperatureC: 17, salinity: 0, thermoclineM: 9, windMps: 3 };
const brief = {
  fromM: 6,
  toM: 14,
  lengthM: [0.2, 0.3] as const,
  bladder: 'closed' as const,
  speedMps: 1.5,
  water,
};

describe('bed field', () => {
  const bed = layBed(
    { originXM: 0, originYM: 0, widthM: 10, heightM: 10, cellM: 1 },
    (x, y) => 5 + 0.1 * x - 0.2 * y,
    () => 'sand',
  );
  it('is a plane between its cells, and knows its slope', () => {
    const out = new Float64Array(3);
    bedSlopeAt(bed, 3.3, 4.7, out);
    expect(out[0]).toBeCloseTo(5 + 0.33 - 0.94, 4);
    expect(out[1]).toBeCloseTo(0.1, 4);
    expect(out[2]).toBeCloseTo(-0.2, 4);
    expect(bedDepthAt(bed, 3.3, 4.7)).toBeCloseTo(out[0]!, 6);
  });
  it('goes on at its edge and refuses to be too large', () => {
    expect(bedDepthAt(bed, -50, 0)).toBeCloseTo(5, 3);
    expect(() =>
      layBed(
        { originXM: 0, originYM: 0, widthM: 1e5, heightM: 1e5, cellM: 0.1 },
        () => 1,
        () => 'mud',
      ),
    ).toThrow(RangeError);
  });
});

describe('first pass', () => {
  it.each([1, 2, 3])(
    'holds eight fish clear of the bed, soft and hard ground and one cloud (seed %d)',
    (seed) => {
      const scene = firstPass(brief, seed);
      expect(scene.fish).toHaveLength(FISH_IN_PASS);
      expect(scene.clouds).toHaveLength(1);
      expect(new Set(scene.bed.material).size).toBe(2);
      const track = layTrack(
        { legs: idlePass(1.5, passDuration(brief)), pingRate: 8, windMps: 0 },
        seededRandom(seed),
      );
      const truth = truthOf(scene, track, 0.17);
      for (const fish of truth.fish) {
        expect(fish.depthM).toBeGreaterThan(brief.fromM - 0.5);
        const ping = Math.round(fish.timeS * 8);
        expect(truth.firstBedRangeM[ping]! - fish.nearestRangeM).toBeGreaterThan(0.5);
        expect(fish.angleRad).toBeLessThan(0.17);
      }
    },
  );
  it('is the same for the same seed and another for another', () => {
    expect(firstPass(brief, 5).fish).toEqual(firstPass(brief, 5).fish);
    expect(firstPass(brief, 5).clouds[0]!.offsets[100]).toBe(firstPass(brief, 5).clouds[0]!.offsets[100]);
    expect(firstPass(brief, 5).fish).not.toEqual(firstPass(brief, 6).fish);
  });
  it('refuses depths it cannot lay', () => {
    expect(() => firstPass({ ...brief, toM: 5 }, 1)).toThrow(/first pass/);
    expect(() => firstPass({ ...brief, toM: NaN }, 1)).toThrow(RangeError);
  });
});

it('refuses a track without pings or with too many', () => {
  const random = seededRandom(1);
  const lay = (durationS: number, pingRate: number) =>
    layTrack({ legs: idlePass(1, durationS), pingRate, windMps: 0 }, random);
  expect(() => lay(0, 5)).toThrow(RangeError);
  expect(() => lay(1e6, 50)).toThrow(RangeError);
});
