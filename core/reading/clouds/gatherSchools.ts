import { isGap, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { FishFinding } from '../finding';
import type { CloudOutline } from './cloudOutline';

/** Marks this near in range and along the way are of one school, m. */
const NEAR_M = 0.9;
const NEAR_WAY_M = 0.9;
/** Under a slow boat marks are long: drawn beside each other for this share of the shorter they are near, too. */
const NEAR_SHARE = 0.5;
/** Fewer are fish beside each other. */
const FEWEST = 10;

/** Groups of marks by single links, of marks whose middles lie no more pings apart than `reach`. */
function linked(
  fish: readonly FishFinding[],
  reach: number,
  isNear: (a: FishFinding, b: FishFinding) => boolean,
): FishFinding[][] {
  const group = fish.map((_, i) => i);
  const rootOf = (i: number): number => {
    while (group[i] !== i) i = group[i] = group[group[i]!]!;
    return i;
  };
  const middle = (f: FishFinding): number => (f.fromPing + f.toPing) / 2;
  const order = fish.map((_, i) => i).sort((a, b) => middle(fish[a]!) - middle(fish[b]!));
  for (let i = 0; i < order.length; i++)
    for (let k = i + 1; k < order.length; k++) {
      const [a, b] = [fish[order[i]!]!, fish[order[k]!]!];
      if (middle(b) - middle(a) > reach) break;
      if (Math.abs(a.rangeM - b.rangeM) < NEAR_M && isNear(a, b))
        group[rootOf(order[k]!)] = rootOf(order[i]!);
    }
  const byRoot = new Map<number, FishFinding[]>();
  fish.forEach((f, i) => {
    const root = rootOf(i);
    const mine = byRoot.get(root);
    if (mine) mine.push(f);
    else byRoot.set(root, [f]);
  });
  return [...byRoot.values()];
}

const isBeside = (a: FishFinding, b: FishFinding): boolean =>
  Math.min(a.toPing, b.toPing) - Math.max(a.fromPing, b.fromPing) >
  NEAR_SHARE * Math.min(a.toPing - a.fromPing, b.toPing - b.fromPing);

/** Most marks that one ping draws. */
const mostAtOnce = (fish: readonly FishFinding[]): number =>
  Math.max(...fish.map(({ fromPing: at }) => fish.filter((f) => f.fromPing <= at && f.toPing >= at).length));

/**
 * Marks so many and so near that they are one cloud, seen fish by fish: a thin beam and a short pulse resolve bait that a cone draws
 * as one.
 */
export function gatherSchools(
  fish: readonly FishFinding[],
  pingsPerM: number,
): { schools: FishFinding[][]; others: FishFinding[] } {
  const groups = linked(fish, Math.max(2, NEAR_WAY_M * pingsPerM), () => true);
  const few = groups.filter((g) => g.length < FEWEST).flat();
  const longest = few.reduce((most, f) => Math.max(most, f.toPing - f.fromPing), 0);
  // One after the other they are fish that come and go.
  const isSchool = (g: FishFinding[]): boolean => g.length >= FEWEST && mostAtOnce(g) >= FEWEST;
  const long = linked(few, longest, isBeside);
  return {
    schools: [...groups.filter((g) => g.length >= FEWEST), ...long.filter(isSchool)],
    others: long.filter((g) => !isSchool(g)).flat(),
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
