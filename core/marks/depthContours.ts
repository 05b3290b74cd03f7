import Delaunator from 'delaunator';

/** A sounding, m east and north of some place. */
export interface Sounding {
  x: number;
  y: number;
  depthM: number;
}

/** A piece of a depth contour, m. */
export interface ContourPiece {
  depthM: number;
  from: readonly [x: number, y: number];
  to: readonly [x: number, y: number];
}

/** Soundings are gathered in squares of this side before they are joined, m: a track lies on itself many times. */
const CELL_M = 3;
/** A triangle with a longer side spans water nobody has sounded, m. */
export const LONGEST_SIDE_M = 35;

/** The mean of the soundings in each square. */
function gathered(soundings: readonly Sounding[]): Sounding[] {
  const cells = new Map<string, { x: number; y: number; depthM: number; count: number }>();
  for (const { x, y, depthM } of soundings) {
    const key = `${Math.floor(x / CELL_M)},${Math.floor(y / CELL_M)}`;
    const cell = cells.get(key) ?? { x: 0, y: 0, depthM: 0, count: 0 };
    cell.x += x;
    cell.y += y;
    cell.depthM += depthM;
    cell.count++;
    cells.set(key, cell);
  }
  return [...cells.values()].map((c) => ({ x: c.x / c.count, y: c.y / c.count, depthM: c.depthM / c.count }));
}

/**
 * Contours of the bed from soundings along a track, straight across the triangles between them (Delaunay): none is drawn where the track is not
 * dense, since triangles with a long side are dropped.
 * @param everyM from one contour to the next, m, above 0
 */
export function depthContours(soundings: readonly Sounding[], everyM: number): ContourPiece[] {
  const points = gathered(soundings);
  if (points.length < 3 || !(everyM > 0)) return [];
  const { triangles } = Delaunator.from(
    points,
    (p) => p.x,
    (p) => p.y,
  );
  const out: ContourPiece[] = [];
  for (let t = 0; t + 2 < triangles.length; t += 3) {
    const corners = [points[triangles[t]!]!, points[triangles[t + 1]!]!, points[triangles[t + 2]!]!];
    const sides = corners.map((p, k) =>
      Math.hypot(p.x - corners[(k + 1) % 3]!.x, p.y - corners[(k + 1) % 3]!.y),
    );
    if (Math.max(...sides) > LONGEST_SIDE_M) continue;
    const depths = corners.map((p) => p.depthM);
    const first = Math.ceil(Math.min(...depths) / everyM);
    const last = Math.floor(Math.max(...depths) / everyM);
    for (let k = first; k <= last; k++) {
      const depthM = k * everyM;
      const crossings: [number, number][] = [];
      for (let i = 0; i < 3; i++) {
        const [a, b] = [corners[i]!, corners[(i + 1) % 3]!];
        // A corner on the contour belongs to one side only.
        if (a.depthM < depthM === b.depthM < depthM) continue;
        const u = (depthM - a.depthM) / (b.depthM - a.depthM);
        crossings.push([a.x + u * (b.x - a.x), a.y + u * (b.y - a.y)]);
      }
      if (crossings.length === 2) out.push({ depthM, from: crossings[0]!, to: crossings[1]! });
    }
  }
  return out;
}
