import type { CloudOutline } from './cloudOutline';

/** Between two parts of a torn cloud lies so much way at most, m, and this share of the shorter part. */
const GAP_M = 2;
const GAP_SHARE = 0.7;
/** They share this much of the lower one's height. */
const SAME_DEPTH = 0.5;

interface Span {
  top: number;
  bottom: number;
}

function spanOf({ top, bottom }: CloudOutline): Span {
  let [least, most] = [Infinity, -1];
  top.forEach((a, k) => {
    if (a < 0) return;
    least = Math.min(least, a);
    most = Math.max(most, bottom[k]!);
  });
  return { top: least, bottom: most };
}

/** Whether the second, which begins later, goes on where the first is torn. */
function goesOn(a: CloudOutline, b: CloudOutline, pingsPerM: number): boolean {
  const gap = b.fromPing - a.toPing - 1;
  const shorter = Math.min(a.top.length, b.top.length);
  if (gap < 0 || gap > Math.min(GAP_M * pingsPerM, GAP_SHARE * shorter)) return false;
  const [x, y] = [spanOf(a), spanOf(b)];
  const shared = Math.min(x.bottom, y.bottom) - Math.max(x.top, y.top);
  return shared >= SAME_DEPTH * Math.min(x.bottom - x.top, y.bottom - y.top);
}

/** Two outlines as one, with a gap between them. */
function joined(a: CloudOutline, b: CloudOutline): CloudOutline {
  const pings = b.toPing - a.fromPing + 1;
  const top = new Int32Array(pings).fill(-1);
  const bottom = new Int32Array(pings).fill(-1);
  for (const part of [a, b]) {
    top.set(part.top, part.fromPing - a.fromPing);
    bottom.set(part.bottom, part.fromPing - a.fromPing);
  }
  const size = (part: CloudOutline): number =>
    part.top.reduce((sum, from, k) => sum + (from < 0 ? 0 : part.bottom[k]! - from + 1), 0);
  const [na, nb] = [size(a), size(b)];
  const mean = (of: 'overDb' | 'fill'): number => (na * a[of] + nb * b[of]) / Math.max(1, na + nb);
  return { fromPing: a.fromPing, toPing: b.toPing, top, bottom, overDb: mean('overDb'), fill: mean('fill') };
}

/**
 * Joins what is one cloud torn apart by hunters: parts that follow each other at one depth with little water between.
 * @returns the clouds in order of their first ping, and by cloud that was given which of them it is now
 */
export function joinTorn(
  parts: readonly CloudOutline[],
  pingsPerM: number,
): { clouds: CloudOutline[]; became: number[] } {
  const order = parts.map((_, i) => i).sort((i, k) => parts[i]!.fromPing - parts[k]!.fromPing);
  const clouds: CloudOutline[] = [];
  const became: number[] = [];
  for (const i of order) {
    const part = parts[i]!;
    const at = clouds.findIndex((cloud) => goesOn(cloud, part, pingsPerM));
    if (at < 0) clouds.push(part);
    else clouds[at] = joined(clouds[at]!, part);
    became[i] = at < 0 ? clouds.length - 1 : at;
  }
  return { clouds, became };
}
