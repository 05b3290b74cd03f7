/**
 * A way through the water over time: rows of t (s, rising), x, y, z (m). Between rows it runs smoothly (cubic Hermite with
 * finite-difference tangents, Catmull & Rom 1974); before the first and after the last straight on at the end's speed.
 */
export type SwimPath = Float64Array;

const ROW = 4;

/** A path from its rows. @throws RangeError unless there are two rows or more and time rises */
export function swimPath(rows: readonly (readonly [t: number, x: number, y: number, z: number])[]): SwimPath {
  if (!(rows.length >= 2)) throw new RangeError(`swim path: two rows or more, got ${rows.length}`);
  for (let i = 1; i < rows.length; i++)
    if (!(rows[i]![0] > rows[i - 1]![0]))
      throw new RangeError(`swim path: time must rise, got ${rows[i - 1]![0]} s then ${rows[i]![0]} s`);
  return Float64Array.from(rows.flat());
}

/** A straight swim: through a place at a time with a velocity. */
export const straightSwim = (
  timeS: number,
  [x, y, z]: readonly [number, number, number],
  [vx, vy, vz]: readonly [number, number, number],
): SwimPath =>
  swimPath([
    [timeS, x, y, z],
    [timeS + 1, x + vx, y + vy, z + vz],
  ]);

/** Place (out 0…2, m) and velocity (out 3…5, m/s) at a time. */
export function swimAt(path: SwimPath, timeS: number, out: Float64Array): void {
  const rows = path.length / ROW;
  let low = 0;
  let high = rows - 1;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (path[mid * ROW]! <= timeS) low = mid;
    else high = mid;
  }
  const a = low * ROW;
  const b = high * ROW;
  const t0 = path[a]!;
  const t1 = path[b]!;
  const span = t1 - t0;
  const before = low > 0 ? a - ROW : a;
  const after = high < rows - 1 ? b + ROW : b;
  for (let k = 1; k < ROW; k++) {
    const p0 = path[a + k]!;
    const p1 = path[b + k]!;
    const m0 = (p1 - path[before + k]!) / (t1 - path[before]!);
    const m1 = (path[after + k]! - p0) / (path[after]! - t0);
    if (timeS <= t0) {
      out[k - 1] = p0 + m0 * (timeS - t0);
      out[k + 2] = m0;
    } else if (timeS >= t1) {
      out[k - 1] = p1 + m1 * (timeS - t1);
      out[k + 2] = m1;
    } else {
      const u = (timeS - t0) / span;
      const u2 = u * u;
      const u3 = u2 * u;
      out[k - 1] =
        (2 * u3 - 3 * u2 + 1) * p0 +
        (u3 - 2 * u2 + u) * span * m0 +
        (3 * u2 - 2 * u3) * p1 +
        (u3 - u2) * span * m1;
      out[k + 2] = ((6 * u2 - 6 * u) * (p0 - p1)) / span + (3 * u2 - 4 * u + 1) * m0 + (3 * u2 - 2 * u) * m1;
    }
  }
}
