import type { Channel } from '@/core/recording';
import type { FishFinding } from '../finding';
import type { Reading } from '../reading';

/** What two channels that pinged over the same water say of one mark together. */
export interface Together {
  /** The mark, and the other channel's of the same thing, or null. */
  mark: FishFinding;
  other: FishFinding | null;
  /**
   * Confirmed: both have it. To a side: only the wider has it, and it lay beyond the narrow one. Doubted: only one has it
   * although the other must have, if it were what it seems.
   */
  verdict: 'confirmed' | 'to-a-side' | 'doubted';
  /** How far off the line it passed, m: from and to; null when nothing says. */
  asideM: readonly [number, number] | null;
}

/** One mark seen twice lies within this in range, m and share of it, and in time, s. */
const SAME_M = 0.3;
const SAME_SHARE = 0.02;
const SAME_S = 1.5;
/** A mark no louder than this may be lost in the other channel by its noise alone, dB over the water. */
const FAINT_DB = 16;

const athwartReach = (channel: Channel, rangeM: number): number =>
  rangeM * Math.sin(Math.min(channel.beam.athwartRad / 2, 1.2));

/**
 * Holds the marks of one channel against another's of the same pings: two cones, or a cone and a slice. Which of them sees
 * farther to the side decides what a mark missing from one of them means.
 */
export function readTogether(
  a: { channel: Channel; reading: Reading },
  b: { channel: Channel; reading: Reading },
): Together[] {
  const fish = (r: Reading): FishFinding[] => r.findings.filter((f): f is FishFinding => f.kind === 'fish');
  const others = fish(b.reading);
  const used = new Set<FishFinding>();
  const seen: Together[] = fish(a.reading).map((mark) => {
    const other =
      others.find(
        (o) =>
          !used.has(o) &&
          Math.abs(o.rangeM - mark.rangeM) < SAME_M + SAME_SHARE * mark.rangeM &&
          Math.abs(o.timeS - mark.timeS) < SAME_S,
      ) ?? null;
    if (other) used.add(other);
    return judged(mark, other, a.channel, b.channel);
  });
  for (const o of others) if (!used.has(o)) seen.push(judged(o, null, b.channel, a.channel));
  return seen.sort((x, y) => x.mark.timeS - y.mark.timeS);
}

function judged(mark: FishFinding, other: FishFinding | null, own: Channel, lacking: Channel): Together {
  const wide = athwartReach(own, mark.rangeM);
  const narrow = athwartReach(lacking, mark.rangeM);
  if (other) return { mark, other, verdict: 'confirmed', asideM: [0, Math.min(wide, narrow)] };
  if (narrow < 0.8 * wide) return { mark, other, verdict: 'to-a-side', asideM: [narrow, wide] };
  // The other sees as far: a strong mark should have shown there too.
  return { mark, other, verdict: mark.overBackgroundDb > FAINT_DB ? 'doubted' : 'to-a-side', asideM: null };
}
