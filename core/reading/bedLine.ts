import { medianInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from './findings';
import { medianOfFive } from './medianOfFive';
import { scratchFloats, scratchShorts } from './scratch';

/** Height of the bins the line is first sought in, and of the windows above and below an edge, m. */
const BIN_M = 0.12;
const WINDOW_M = 0.6;
/** Water the bed is never sought in, m. */
const TOP_M = 0.8;
/** What a jump of a bin from one ping to the next costs, dB of edge. */
const JUMP_DB = 5;
/** An edge must stand this far out to count for more than this (a saturated bed is no surer than a strong one), dB. */
const CONTRAST_CAP_DB = 30;
/** How much an edge's strength against its ping's strongest counts beside its contrast. */
const STRENGTH_SHARE = 0.8;
/** Score of a place that can be no edge. */
const NO_EDGE = -60;
/** Below this mean contrast a ping shows no bed, dB. */
const LEAST_CONTRAST_DB = 7;
/** The first echo begins where the level comes within this of the bed's peak, dB: a diffuse bed grows from nothing. */
const ONSET_DB = 12;

/**
 * The first bed echo, ping by ping. An edge is scored by mean level under it less mean level over it, plus its strength
 * against the strongest of its ping, so that the second bed echo (weaker) and fish (thinner than the window) lose; the
 * best line through all pings is found by dynamic programming (Viterbi) with a price on jumps, so that the line goes on
 * under fish and through dropouts; then its edge is found to the sample.
 */
export function trackBed(channel: Channel): BedLine {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM } = channel;
  const perBin = Math.max(1, Math.round(BIN_M / step));
  const bins = Math.max(1, Math.floor(n / perBin));
  const window = Math.max(3, Math.round(Math.max(WINDOW_M, 3 * channel.resolutionM) / step));
  const topSample = Math.max(window, Math.ceil((TOP_M - firstRangeM) / step));
  const alpha = channel.calibration?.absorptionDbPerM ?? 0;
  const tvg = Float32Array.from({ length: n }, (_, j) => {
    const range = Math.max(step, firstRangeM + j * step);
    return 20 * Math.log10(range) + 2 * alpha * range;
  });

  const score = scratchFloats('score', pingCount * bins);
  /** Mean level under an edge at each bin, dB. */
  const strength = scratchFloats('strength', pingCount * bins);
  const bestBin = new Int16Array(pingCount);
  const tvgBin = Float64Array.from({ length: bins }, (_, b) =>
    tvg.subarray(b * perBin, (b + 1) * perBin).reduce((a, x) => a + x, 0),
  );
  const sum = new Float64Array(bins + 1);
  const level = channel.levelDb;
  const windowBins = Math.max(2, Math.round(window / perBin));
  const topBin = Math.max(windowBins, Math.ceil(topSample / perBin));
  const [perWindow, cap, share] = [1 / (windowBins * perBin), CONTRAST_CAP_DB, STRENGTH_SHARE];
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    let below = 0;
    for (let b = 0, j = row; b < bins; b++) {
      below += tvgBin[b]!;
      // Three are the usual number, and worth writing out.
      if (perBin === 3) below += level[j]! + level[j + 1]! + level[j + 2]!;
      else for (let k = 0; k < perBin; k++) below += level[j + k]!;
      j += perBin;
      sum[b + 1] = below;
    }
    // Mean under each edge; what lies over an edge is what lay under the one a window higher.
    const base = p * bins;
    let strongest = -1e9;
    for (let b = 0; b + windowBins <= bins; b++) {
      const under = (sum[b + windowBins]! - sum[b]!) * perWindow;
      strength[base + b] = under;
      if (b >= topBin && under > strongest) strongest = under;
    }
    score.fill(NO_EDGE, base, base + bins);
    let best = topBin;
    for (let b = topBin; b + windowBins <= bins; b++) {
      const under = strength[base + b]!;
      const contrast = under - strength[base + b - windowBins]!;
      const edge = (contrast < cap ? contrast : cap) + share * (under - strongest);
      score[base + b] = edge;
      if (edge > score[base + best]!) best = b;
    }
    bestBin[p] = Math.min(best, bins - 1);
  }

  discountLaterEchoes(score, strength, bestBin, pingCount, bins);
  const line = bestLine(score, pingCount, bins);

  const edge = new Float32Array(pingCount);
  const contrastDb = new Float32Array(pingCount);
  for (let p = 0; p < pingCount; p++) {
    const row = p * n;
    const at = line[p]!;
    const middle = at * perBin;
    let peak = -Infinity;
    const until = Math.min(n - 1, middle + perBin + window);
    for (let j = Math.max(0, middle - perBin); j <= until; j++)
      if (level[row + j]! + tvg[j]! > peak) peak = level[row + j]! + tvg[j]!;
    let over = 0;
    let counted = 0;
    for (let j = Math.max(0, middle - 2 * window); j < middle - perBin; j++) {
      over += level[row + j]! + tvg[j]!;
      counted++;
    }
    const quiet = counted > 0 ? over / counted : peak - 40;
    contrastDb[p] = peak - quiet;
    if (score[p * bins + at]! < LEAST_CONTRAST_DB) edge[p] = NaN;
    else {
      // Back from the strong part to where it first rose; a fish or speck higher up is not joined to it.
      const threshold = Math.max(peak - ONSET_DB, quiet + 8);
      let j = Math.max(0, middle - perBin);
      while (j < until && level[row + j]! + tvg[j]! < threshold) j++;
      const above = j > 0 ? level[row + j - 1]! + tvg[j - 1]! : threshold;
      const here = level[row + j]! + tvg[j]!;
      const part = here > above ? Math.min(1, Math.max(0, (here - threshold) / (here - above))) : 0;
      edge[p] = firstRangeM + (j - part) * step;
    }
  }
  return { rangeM: medianOfFive(edge), contrastDb };
}

/** An edge at this share of a bin's own score, at a half or a third of its range, makes it that edge's later echo. */
const EARLIER_SHARE = 0.6;
/** How much of the earlier edge's score such a bin then loses. */
const LATER_LOSES = 0.9;
/** A first echo, shorter than its second and at times overloaded, may on the mean lie this much under it, dB. */
const SHORTER_DB = 13;
/** Pings to either side in which most must show such a pair: under a cloud it is chance and passes, over hard ground it stays. */
const PAIRS_PINGS = 120;
const PAIRS_SHARE = 0.6;
/** How near a whole ratio the two must be. */
const RATIO_SLACK = 0.03;

/** Bin of the nearer edge of which the edge of a bin may be the second or third echo, −1 when there is none. */
function earlierEdge(score: Float32Array, strength: Float32Array, row: number, b: number): number {
  const own = score[row + b]!;
  if (own < LEAST_CONTRAST_DB) return -1;
  for (let m = 2; m <= 3; m++) {
    // Bins count from the face, so ranges go as bins and a half.
    const earlier = (b + 0.5) / m - 0.5;
    const from = Math.max(0, Math.floor(earlier * (1 - RATIO_SLACK)));
    const to = Math.ceil(earlier * (1 + RATIO_SLACK));
    let best = -1;
    for (let k = from; k <= to; k++)
      // A cloud over a bed is weaker than the bed; a bed is stronger than its own later echo.
      if (
        (best < 0 || score[row + k]! > score[row + best]!) &&
        strength[row + k]! > strength[row + b]! - SHORTER_DB
      )
        best = k;
    if (best >= 0 && score[row + best]! >= LEAST_CONTRAST_DB && score[row + best]! >= EARLIER_SHARE * own)
      return best;
  }
  return -1;
}

/** Pings between places the usual nearer edge is worked out for, and how far from it a pair's own may lie, as a share. */
const PAIRS_EVERY = 32;
const NEAR_USUAL = 0.25;

/**
 * Takes from each edge that stands where a second or third echo of a nearer one must. Over shallow hard ground the second echo,
 * clear of the first one's tail, can be the better edge. The nearer edge must be the one that goes on through these minutes: a
 * cloud half way down to the bed passes. In place; from the far end, so that what is compared is still whole.
 */
function discountLaterEchoes(
  score: Float32Array,
  strength: Float32Array,
  bestBin: Int16Array,
  pingCount: number,
  bins: number,
): void {
  const nearer = new Int16Array(pingCount).fill(-1);
  for (let p = 0; p < pingCount; p++) {
    const row = p * bins;
    const least = EARLIER_SHARE * score[row + bestBin[p]!]!;
    // Either of the two may be the better edge of a ping.
    for (let b = bins - 1; b > 6 && nearer[p]! < 0; b--)
      if (score[row + b]! >= least) nearer[p] = earlierEdge(score, strength, row, b);
  }
  const found = new Float32Array(2 * PAIRS_PINGS + PAIRS_EVERY + 1);
  for (let p0 = 0; p0 < pingCount; p0 += PAIRS_EVERY) {
    const from = Math.max(0, p0 - PAIRS_PINGS);
    const to = Math.min(pingCount, p0 + PAIRS_EVERY + PAIRS_PINGS);
    let count = 0;
    for (let p = from; p < to; p++) if (nearer[p]! >= 0) found[count++] = nearer[p]!;
    if (count < PAIRS_SHARE * (to - from)) continue;
    const usual = medianInPlace(found, count);
    for (let p = p0; p < Math.min(pingCount, p0 + PAIRS_EVERY); p++) {
      const row = p * bins;
      for (let b = bins - 1; b > 6; b--) {
        const k = earlierEdge(score, strength, row, b);
        if (k >= 0 && Math.abs(k - usual) <= NEAR_USUAL * usual + 1)
          score[row + b]! -= LATER_LOSES * score[row + k]!;
      }
    }
  }
}

/** The best line through the bins; two sweeps a ping carry the best neighbour along at a linear price. */
function bestLine(score: Float32Array, pingCount: number, bins: number): Int16Array {
  const total = new Float32Array(bins);
  const back = scratchShorts('back', pingCount * bins);
  for (let p = 0; p < pingCount; p++) {
    const row = p * bins;
    let from = 0;
    let carried = -Infinity;
    for (let b = 0; b < bins; b++) {
      carried -= JUMP_DB;
      if (carried > total[b]!) total[b] = carried;
      else {
        carried = total[b]!;
        from = b;
      }
      back[row + b] = from;
    }
    carried = -Infinity;
    for (let b = bins - 1; b >= 0; b--) {
      carried -= JUMP_DB;
      if (carried > total[b]!) back[row + b] = from;
      else {
        carried = total[b]!;
        from = back[row + b]!;
      }
      total[b] = carried + score[row + b]!;
    }
  }
  let at = 0;
  for (let b = 1; b < bins; b++) if (total[b]! > total[at]!) at = b;
  const line = new Int16Array(pingCount);
  for (let p = pingCount - 1; p >= 0; p--) {
    line[p] = at;
    at = back[p * bins + at]!;
  }
  return line;
}
