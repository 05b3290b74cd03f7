import { isGap, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { FishFinding } from '../finding';
import type { CloudOutline } from './cloudOutline';

/** Marks this near in range and along the way are of one school, m. */
const NEAR_M = 0.9;
const NEAR_WAY_M = 0.9;
/** Fewer are fish beside each other. */
const FEWEST = 10;

/**
 * Marks so many and so near that they are one cloud, seen fish by fish: a thin beam and a short pulse resolve bait that a cone draws
 * as one. By single links.
 */
export function gatherSchools(
  fish: readonly FishFinding[],
  pingsPerM: number,
): { schools: FishFinding[][]; others: FishFinding[] } {
  const group = fish.map((_, i) => i);
  const rootOf = (i: number): number => {
    while (group[i] !== i) i = group[i] = group[group[i]!]!;
    return i;
  };
  const middle = (f: FishFinding): number => (f.fromPing + f.toPing) / 2;
  const way = Math.max(2, NEAR_WAY_M * pingsPerM);
  const order = fish.map((_, i) => i).sort((a, b) => middle(fish[a]!) - middle(fish[b]!));
  for (let i = 0; i < order.length; i++)
    for (let k = i + 1; k < order.length; k++) {
      const [a, b] = [fish[order[i]!]!, fish[order[k]!]!];
      if (middle(b) - middle(a) > way) break;
      if (Math.abs(a.rangeM - b.rangeM) < NEAR_M) group[rootOf(order[k]!)] = rootOf(order[i]!);
    }
  const byRoot = new Map<number, FishFinding[]>();
  fish.forEach((f, i) => {
    const root = rootOf(i);
    const mine = byRoot.get(root);
    if (mine) mine.push(f);
    else byRoot.set(root, [f]);
  });
  const all = [...byRoot.values()];
  return {
    schools: all.filter((g) => g.length >= FEWEST),
    others: all.filter((g) => g.length < FEWEST).flat(),
  };
}

/** Outline of a school: from the highest to the lowest of its fish, ping by ping. */
export function schoolOutline(school: readonly FishFinding[], channel: Channel): CloudOutline {
  const fromPing = Math.min(...school.map((f) => f.fromPing));
  const toPing = Math.max(...school.map((f) => f.toPing));
  const top = new Int32Array(toPing - fromPing + 1).fill(-1);
  const bottom = new Int32Array(top.length).fill(-1);
  const sample = (rangeM: number): number => Math.round((rangeM - channel.firstRangeM) / channel.sampleStepM);
  for (const f of school)
    f.path.forEach((range, i) => {
      if (isGap(range)) return;
      const k = f.fromPing - fromPing + i;
      const from = sample(range);
      const to = sample(range + f.heightM);
      if (top[k] === -1 || from < top[k]!) top[k] = from;
      if (to > bottom[k]!) bottom[k] = to;
    });
  const covered = top.reduce((sum, a, k) => sum + (a < 0 ? 0 : bottom[k]! - a + 1), 0);
  const met = school.reduce((sum, f) => {
    const samples = Math.max(1, sample(channel.firstRangeM + f.heightM));
    return sum + samples * f.path.reduce((count, r) => count + (isGap(r) ? 0 : 1), 0);
  }, 0);
  return {
    fromPing,
    toPing,
    top,
    bottom,
    overDb: median(school.map((f) => f.overBackgroundDb)),
    fill: Math.min(1, met / Math.max(1, covered)),
  };
}
