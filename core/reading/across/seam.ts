import { isGap } from '@/core/maths';
import type { CoverFinding, Finding } from '../finding';

/** A block owns pings from…to − 1 and is read from first to end − 1. */
export interface Block {
  from: number;
  to: number;
  first: number;
  end: number;
}

/** Pings read at a time, and how far a block looks into its neighbours: longer than a mark stays under a moving boat. */
const PINGS = 1600;
const OVERLAP = 240;

/** Cuts a recording into blocks; a short one is a block of its own. */
export function blocksOf(pings: number): Block[] {
  if (pings <= PINGS + OVERLAP) return pings > 0 ? [{ from: 0, to: pings, first: 0, end: pings }] : [];
  const count = Math.ceil(pings / PINGS);
  const each = Math.ceil(pings / count);
  return Array.from({ length: count }, (_, k) => {
    const from = k * each;
    const to = Math.min(pings, from + each);
    return { from, to, first: Math.max(0, from - OVERLAP), end: Math.min(pings, to + OVERLAP) };
  }).filter((s) => s.to > s.from);
}

/** One thing read from both sides of a seam lies within this in range, m. */
const SAME_M = 0.4;

const rowOf = (f: Finding): Float32Array =>
  f.kind === 'fish' ? f.path : f.kind === 'cloud' ? f.top : f.height;

/** Whether two findings are one thing read from both sides of a seam: alike where both have it. */
function isSame(a: Finding, b: Finding): boolean {
  if (a.kind !== b.kind) return false;
  const from = Math.max(a.fromPing, b.fromPing);
  const to = Math.min(a.toPing, b.toPing);
  let both = 0;
  let alike = 0;
  for (let p = from; p <= to; p++) {
    const off = Math.abs(rowOf(a)[p - a.fromPing]! - rowOf(b)[p - b.fromPing]!);
    if (!isGap(off)) {
      both++;
      if (off < SAME_M) alike++;
    }
  }
  return both > 2 && alike >= 0.5 * both;
}

function joinRow(a: Finding, b: Finding, rowA: Float32Array, rowB: Float32Array): Float32Array {
  const row = new Float32Array(Math.max(a.toPing, b.toPing) - a.fromPing + 1).fill(NaN);
  row.set(rowB, b.fromPing - a.fromPing);
  row.set(rowA);
  return row;
}

/** Length of a thing read from both sides of a seam, m: what both have counts once, by its share of the pings. */
function joinedLength(a: CoverFinding, b: CoverFinding): number {
  const pings = (f: CoverFinding): number => f.toPing - f.fromPing + 1;
  const shared = Math.max(0, Math.min(a.toPing, b.toPing) - Math.max(a.fromPing, b.fromPing) + 1);
  const perPing = (a.lengthM + b.lengthM) / (pings(a) + pings(b));
  return a.lengthM + b.lengthM - shared * perPing;
}

/** The earlier of two readings of one thing, carried on by the later. */
function joined(a: Finding, b: Finding): Finding {
  const longer = b.toPing - b.fromPing > a.toPing - a.fromPing ? b : a;
  const whole = {
    fromPing: a.fromPing,
    toPing: Math.max(a.toPing, b.toPing),
    confidence: Math.max(a.confidence, b.confidence),
  };
  if (a.kind === 'fish' && b.kind === 'fish')
    return { ...(longer as typeof a), ...whole, path: joinRow(a, b, a.path, b.path) };
  if (a.kind === 'cloud' && b.kind === 'cloud')
    return {
      ...(longer as typeof a),
      ...whole,
      top: joinRow(a, b, a.top, b.top),
      bottom: joinRow(a, b, a.bottom, b.bottom),
    };
  if (a.kind === 'cover' && b.kind === 'cover')
    return {
      ...(longer as typeof a),
      ...whole,
      lengthM: joinedLength(a, b),
      height: joinRow(a, b, a.height, b.height),
    };
  return longer;
}

/**
 * Adds a block's findings to those before it: its own pings' things once, and what runs over the seam as one.
 * @param from first ping the block owns @param to first it no longer owns
 */
export function joinSeam(
  before: readonly Finding[],
  more: readonly Finding[],
  from: number,
  to: number,
): Finding[] {
  const out = [...before];
  for (const f of more) {
    // Two of one block are two, however near each other.
    const at = out.findIndex(
      (o, k) => k < before.length && o.toPing >= f.fromPing && o.fromPing <= f.fromPing && isSame(o, f),
    );
    if (at >= 0) {
      out[at] = joined(out[at]!, f);
      continue;
    }
    const middle = (f.fromPing + f.toPing) / 2;
    // What lies wholly beyond either seam is its neighbour's.
    if (middle < from || (middle >= to && f.fromPing >= to)) continue;
    out.push(f);
  }
  return out;
}
