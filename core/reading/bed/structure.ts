import { isGap, medianInPlace } from '@/core/maths';
import type { Navigation } from '@/core/recording';
import type { BedLine } from './bedLine';

/** A rise, a drop or a step of the bed along the way. */
export interface Structure {
  kind: 'hump' | 'channel' | 'ledge';
  fromPing: number;
  toPing: number;
  /** Shallowest and deepest first echo of it, m. */
  topM: number;
  footM: number;
  /** How far it stands over, or lies under, what is beside it; of a ledge the step, m. */
  heightM: number;
  /** Length along the way, m. */
  lengthM: number;
}

/** The bed is read at places this far apart along the way, m; a median of three takes out what stands on it. */
const EVERY_M = 1;
/** Lower than this, or than this share of the depth, it is no structure, m. */
const LEAST_M = 0.7;
const LEAST_SHARE = 0.06;
/** Longer than this it is the lie of the land, m. */
const LONGEST_M = 80;
/** A ledge falls this steeply, as a gradient, over no more than this way, m. */
const LEDGE_GRADIENT = 0.2;
const LEDGE_WAY_M = 12;

/** Humps, channels and ledges of the first echo along the way. Gives none for a boat that has not moved 5 m. */
export function findStructure({ rangeM }: BedLine, { eastM, northM }: Navigation): Structure[] {
  const places: { ping: number; wayM: number; depth: number }[] = [];
  const near = new Float32Array(64);
  let wayM = 0;
  let next = 0;
  for (let p = 0; p < rangeM.length; p++) {
    if (p > 0) wayM += Math.hypot(eastM[p]! - eastM[p - 1]!, northM[p]! - northM[p - 1]!);
    if (wayM < next) continue;
    let count = 0;
    for (let q = Math.max(0, p - 10); q <= Math.min(rangeM.length - 1, p + 10); q++)
      if (!isGap(rangeM[q]!)) near[count++] = rangeM[q]!;
    if (count > 0) places.push({ ping: p, wayM, depth: medianInPlace(near, count) });
    next = wayM + EVERY_M;
  }
  if (places.length < 6) return [];
  const depth = places.map((a) => a.depth);
  const least = (d: number): number => Math.max(LEAST_M, LEAST_SHARE * d);
  const out: Structure[] = [];
  const put = (kind: Structure['kind'], a: number, b: number, heightM: number): void => {
    const part = depth.slice(a, b + 1);
    out.push({
      kind,
      fromPing: places[a]!.ping,
      toPing: places[b]!.ping,
      topM: Math.min(...part),
      footM: Math.max(...part),
      heightM,
      lengthM: places[b]!.wayM - places[a]!.wayM,
    });
  };
  for (const ledge of steps(places, least)) put('ledge', ledge.from, ledge.to, ledge.fall);
  for (const sign of [1, -1] as const)
    for (const { from, to, stands } of bulges(places, sign, least))
      put(sign === 1 ? 'hump' : 'channel', from, to, stands);
  return out.sort((a, b) => a.fromPing - b.fromPing);
}

type Place = { wayM: number; depth: number };

/** Stretches that fall or rise without a stop at a ledge's gradient. */
function steps(
  places: readonly Place[],
  least: (d: number) => number,
): { from: number; to: number; fall: number }[] {
  const out: { from: number; to: number; fall: number }[] = [];
  for (let i = 0; i + 1 < places.length; i++) {
    const way = Math.sign(places[i + 1]!.depth - places[i]!.depth);
    let to = i;
    while (
      to + 1 < places.length &&
      (way * (places[to + 1]!.depth - places[to]!.depth)) / (places[to + 1]!.wayM - places[to]!.wayM) >=
        LEDGE_GRADIENT
    )
      to++;
    if (to === i) continue;
    const fall = Math.abs(places[to]!.depth - places[i]!.depth);
    if (fall >= least(places[i]!.depth) && places[to]!.wayM - places[i]!.wayM <= LEDGE_WAY_M)
      out.push({ from: i, to, fall });
    i = to;
  }
  return out;
}

/** Places that stand over (or, sign −1, lie under) the bed on both sides, each with the stretch it stands out over. */
function bulges(
  places: readonly Place[],
  sign: 1 | -1,
  least: (d: number) => number,
): { from: number; to: number; stands: number }[] {
  const found: { from: number; to: number; stands: number; at: number }[] = [];
  const up = places.map((p) => -sign * p.depth);
  for (let i = 1; i + 1 < up.length; i++) {
    if (!(up[i]! > up[i - 1]! && up[i]! >= up[i + 1]!)) continue;
    // To either side as far as nothing stands higher: the lowest there is its foot.
    const side = (step: 1 | -1): { at: number; low: number } => {
      let at = i;
      let low = up[i]!;
      for (let k = i + step; k >= 0 && k < up.length; k += step) {
        if (up[k]! > up[i]! || Math.abs(places[k]!.wayM - places[i]!.wayM) > LONGEST_M / 2) break;
        if (up[k]! < low) {
          low = up[k]!;
          at = k;
        }
      }
      return { at, low };
    };
    const before = side(-1);
    const after = side(1);
    const stands = up[i]! - Math.max(before.low, after.low);
    if (stands >= least(places[i]!.depth)) found.push({ from: before.at, to: after.at, stands, at: i });
  }
  return found.filter(
    (a) => !found.some((b) => b !== a && b.from <= a.at && a.at <= b.to && b.stands > a.stands),
  );
}
