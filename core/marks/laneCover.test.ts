import { placeFrom } from '@/core/maths';
import { lanesLeft, lengthLeft, type LaidLanes, type TrackedPlace } from './laneCover';

const MIDDLE = { latitudeDeg: -47.3, longitudeDeg: -124.9 };
/** Four lanes of 100 m running east, 10 m apart, a beam of 10 m. */
const LANES: LaidLanes = {
  ...MIDDLE,
  headingRad: Math.PI / 2,
  lengthM: 100,
  count: 4,
  spacingM: 10,
  swathM: 10,
};

/** A boat at 2 m/s along points east and north of the middle, a fix every second. */
function way(points: readonly (readonly [number, number])[], speedMps = 2): TrackedPlace[] {
  const out: TrackedPlace[] = [];
  let timeS = 0;
  for (let k = 1; k < points.length; k++) {
    const [[ax, ay], [bx, by]] = [points[k - 1]!, points[k]!];
    const steps = Math.max(1, Math.round(Math.hypot(bx - ax, by - ay) / speedMps));
    for (let s = 0; s <= steps; s++)
      out.push({
        ...placeFrom(MIDDLE, ax + ((bx - ax) * s) / steps, ay + ((by - ay) * s) / steps),
        timeS: timeS++,
        speedMps,
      });
  }
  return out;
}

describe('lanes left', () => {
  it('are all of them before a boat has been there, and those it has not gone along after', () => {
    expect(lengthLeft(lanesLeft(LANES, []))).toBeCloseTo(400, 6);
    // Lanes lie 15 m and 5 m to either side; running east, what is to starboard lies south.
    const north = way([
      [-60, 15],
      [60, 15],
    ]);
    const left = lanesLeft(LANES, north);
    expect(left.map((l) => l.acrossM)).toEqual([-15, -5, 5, 15]);
    expect(left.map((l) => lengthLeft([l]))).toEqual([0, 100, 100, 100]);
    const both = lanesLeft(LANES, [
      ...north,
      ...way([
        [-60, -5],
        [60, -5],
      ]).map((p) => ({ ...p, timeS: p.timeS + 300 })),
    ]);
    expect(both.map((l) => lengthLeft([l]))).toEqual([0, 100, 0, 100]);
  });
  it('keep the stretch a track breaks off at', () => {
    const [lane] = lanesLeft(
      LANES,
      way([
        [-60, 15],
        [0, 15],
      ]),
    );
    expect(lane!.left).toHaveLength(1);
    // The beam reaches half its width past the last fix, less towards its sides.
    expect(lane!.left[0]![0]).toBeGreaterThanOrEqual(50);
    expect(lane!.left[0]![0]).toBeLessThanOrEqual(55);
    expect(lane!.left[0]![1]).toBe(100);
  });
  it('count nothing from far aside, at planing speed, or over a gap in the fixes', () => {
    expect(
      lengthLeft(
        lanesLeft(
          LANES,
          way([
            [-60, 10],
            [60, 10],
          ]),
        ),
      ),
    ).toBe(400);
    expect(
      lengthLeft(
        lanesLeft(
          LANES,
          way(
            [
              [-60, 15],
              [60, 15],
            ],
            8,
          ),
        ),
      ),
    ).toBe(400);
    const ends = way([
      [-60, 15],
      [60, 15],
    ]).filter((_, k, all) => k === 0 || k === all.length - 1);
    expect(
      lengthLeft(
        lanesLeft(
          LANES,
          ends.map((p, k) => ({ ...p, timeS: 100 * k })),
        ),
      ),
    ).toBe(400);
  });
  it('refuse lanes that are none', () => {
    expect(() => lanesLeft({ ...LANES, swathM: 0 }, [])).toThrow(/above 0/);
  });
});
