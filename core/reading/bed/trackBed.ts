import { amplitudeToDb, medianInPlace } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from './bedLine';
import { medianOfFive } from '../levels/medianOfFive';
import { scratchFloats, scratchShorts } from '../levels/scratch';

/** Height of the bins the line is first sought in, and of the windows above and below an edge, m. */
const BIN_M = 0.12;
const WINDOW_M = 0.6;
/** Water the bed is never sought in, m. */
const TOP_M = 0.8;
/** What a jump of a bin from one ping to the next costs, dB of edge. */
const JUMP_DB = 5;
/** The line is first sought in every which ping, and then in all of them this near it, m. */
const EVERY = 4;
const BAND_M = 1.5;
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

/** The bins of a channel and how edges are sought in them. */
interface Binning {
  perBin: number;
  bins: number;
  /** Bins of the windows above and below an edge, and the first bin an edge is sought in. */
  windowBins: number;
  topBin: number;
  /** What spreading and absorption take, by sample and summed by bin, dB. */
  tvg: Float32Array;
  tvgBin: Float64Array;
}

function binningOf(channel: Channel): Binning {
  const { sampleCount: n, sampleStepM: step, firstRangeM } = channel;
  const perBin = Math.max(1, Math.round(BIN_M / step));
  const bins = Math.max(1, Math.floor(n / perBin));
  const windowBins = Math.max(2, Math.round(windowOf(channel) / perBin));
  const alpha = channel.calibration?.absorptionDbPerM ?? 0;
  const tvg = Float32Array.from({ length: n }, (_, j) => {
    const range = Math.max(step, firstRangeM + j * step);
    return amplitudeToDb(range) + 2 * alpha * range;
  });
  return {
    perBin,
    bins,
    windowBins,
    topBin: Math.max(windowBins, Math.ceil((TOP_M - firstRangeM) / step / perBin)),
    tvg,
    tvgBin: Float64Array.from({ length: bins }, (_, b) =>
      tvg.subarray(b * perBin, (b + 1) * perBin).reduce((a, x) => a + x, 0),
    ),
  };
}

/** Samples of the windows above and below an edge. */
const windowOf = ({ sampleStepM: step, resolutionM }: Channel): number =>
  Math.max(3, Math.round(Math.max(WINDOW_M, 3 * resolutionM) / step));

/** Scores of edges: of each row the bins low…high − 1, from `at` on. */
interface Edges {
  low: Int32Array;
  high: Int32Array;
  at: Int32Array;
  score: Float32Array;
  /** Mean level under an edge, dB. */
  strength: Float32Array;
  best: Int16Array;
}

/** Scores the edges of the pings `pingOf` gives, each between its own bins. */
function scoreEdges(
  channel: Channel,
  { perBin, windowBins, topBin, tvgBin, bins }: Binning,
  pingOf: (row: number) => number,
  { low, high, at, score, strength, best: bestBin }: Edges,
): void {
  const { sampleCount: n, levelDb: level } = channel;
  const sum = new Float64Array(bins + 1);
  const [perWindow, cap, share] = [1 / (windowBins * perBin), CONTRAST_CAP_DB, STRENGTH_SHARE];
  for (let r = 0; r < low.length; r++) {
    const first = Math.max(0, low[r]! - windowBins);
    const end = Math.min(bins, high[r]! + windowBins);
    let below = 0;
    sum[first] = 0;
    for (let b = first, j = pingOf(r) * n + first * perBin; b < end; b++) {
      below += tvgBin[b]!;
      // Three are the usual number, and worth writing out.
      if (perBin === 3) below += level[j]! + level[j + 1]! + level[j + 2]!;
      else for (let k = 0; k < perBin; k++) below += level[j + k]!;
      j += perBin;
      sum[b + 1] = below;
    }
    const from = Math.max(topBin, low[r]!);
    const to = Math.min(high[r]!, bins - windowBins + 1);
    const base = at[r]! - low[r]!;
    let strongest = -1e9;
    for (let b = from; b < to; b++) {
      const under = (sum[b + windowBins]! - sum[b]!) * perWindow;
      strength[base + b] = under;
      if (under > strongest) strongest = under;
    }
    score.fill(NO_EDGE, base + low[r]!, base + high[r]!);
    let best = Math.min(Math.max(from, low[r]!), high[r]! - 1);
    for (let b = from; b < to; b++) {
      const under = strength[base + b]!;
      const contrast = under - (sum[b]! - sum[b - windowBins]!) * perWindow;
      const edge = (contrast < cap ? contrast : cap) + share * (under - strongest);
      score[base + b] = edge;
      if (edge > score[base + best]!) best = b;
    }
    bestBin[r] = best;
  }
}

function edgesFor(name: string, low: Int32Array, high: Int32Array): Edges {
  const at = new Int32Array(low.length);
  let total = 0;
  for (let r = 0; r < low.length; r++) {
    at[r] = total;
    total += high[r]! - low[r]!;
  }
  return {
    low,
    high,
    at,
    score: scratchFloats(`${name} score`, total),
    strength: scratchFloats(`${name} strength`, total),
    best: new Int16Array(low.length),
  };
}

/** The line through every few pings, over all the water: bins. */
function coarseLine(channel: Channel, binning: Binning): Int16Array {
  const { bins } = binning;
  const rows = Math.ceil(channel.pingCount / EVERY);
  const edges = edgesFor('coarse', new Int32Array(rows), new Int32Array(rows).fill(bins));
  edges.strength.fill(-1e9);
  scoreEdges(channel, binning, (row) => row * EVERY, edges);
  const { perBin, windowBins } = binning;
  const { sampleCount: n, levelDb: level } = channel;
  discountLaterEchoes(
    {
      ...edges,
      peak: (row, b) => {
        let peak = -Infinity;
        const from = row * EVERY * n;
        for (let j = b * perBin; j < (b + windowBins) * perBin && j < n; j++)
          if (level[from + j]! > peak) peak = level[from + j]!;
        return peak;
      },
    },
    rows,
    bins,
  );
  return bestLine(edges, bins, JUMP_DB / EVERY);
}

/**
 * The first bed echo, ping by ping. An edge is scored by mean level under it less mean level over it, plus its strength
 * against the strongest of its ping, so that the second bed echo (weaker) and fish (thinner than the window) lose; the
 * best line is found by dynamic programming (Viterbi) with a price on jumps, so that the line goes on under fish and through
 * dropouts: through every few pings first, then through all of them near that; then its edge is found to the sample.
 */
export function trackBed(channel: Channel): BedLine {
  const { pingCount, sampleCount: n, sampleStepM: step, firstRangeM, levelDb: level } = channel;
  const binning = binningOf(channel);
  const { perBin, bins, tvg } = binning;
  const window = windowOf(channel);
  const coarse = coarseLine(channel, binning);
  const reach = Math.ceil(BAND_M / step / perBin);
  const low = new Int32Array(pingCount);
  const high = new Int32Array(pingCount);
  for (let p = 0; p < pingCount; p++) {
    const before = coarse[Math.floor(p / EVERY)]!;
    const after = coarse[Math.min(coarse.length - 1, Math.ceil(p / EVERY))]!;
    low[p] = Math.max(0, Math.min(before, after) - reach);
    high[p] = Math.min(bins, Math.max(before, after) + reach + 1);
  }
  const edges = edgesFor('fine', low, high);
  scoreEdges(channel, binning, (row) => row, edges);
  const line = bestLine(edges, bins, JUMP_DB);

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
    if (edges.score[edges.at[p]! + at - low[p]!]! < LEAST_CONTRAST_DB) edge[p] = NaN;
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
/** Sounders may have made up for spreading, both ways and a little too much: else no later echo is louder than the first. */
const SPREADING_DB = 40;
const TOO_MUCH_DB = 3;
/** Rows to either side in which most must show such a pair: under a cloud it is chance and passes, over hard ground it stays. */
const PAIRS_ROWS = 120 / EVERY;
const PAIRS_SHARE = 0.6;
/** How near a whole ratio the two must be. */
const RATIO_SLACK = 0.03;

/** Edges of all rows over all the bins, and how loud what lies under one is at its loudest, dB. */
interface AllEdges extends Pick<Edges, 'score' | 'strength' | 'best'> {
  peak: (row: number, bin: number) => number;
}

/** Bin of the nearer edge of which the edge of a bin may be the second or third echo, −1 when there is none. */
function earlierEdge({ score, strength, peak }: AllEdges, r: number, bins: number, b: number): number {
  const row = r * bins;
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
    if (
      best >= 0 &&
      score[row + best]! >= LEAST_CONTRAST_DB &&
      score[row + best]! >= EARLIER_SHARE * own &&
      peak(r, best) > peak(r, b) - SPREADING_DB * Math.log10(m) - TOO_MUCH_DB
    )
      return best;
  }
  return -1;
}

/** Of a fourth echo the second is an earlier edge, and of that the first; −1 when there is none. */
function earliestEdge(edges: AllEdges, r: number, bins: number, b: number): number {
  let earliest = -1;
  for (let k = earlierEdge(edges, r, bins, b); k >= 0; k = earlierEdge(edges, r, bins, k)) earliest = k;
  return earliest;
}

/** Rows between places the usual nearer edge is worked out for, and how far from it a pair's own may lie, as a share. */
const PAIRS_EVERY = 32 / EVERY;
const NEAR_USUAL = 0.25;

/**
 * Takes from each edge that stands where a second or third echo of a nearer one must. Over shallow hard ground the second echo,
 * clear of the first one's tail, can be the better edge. The nearer edge must be the one that goes on through these minutes: a
 * cloud half way down to the bed passes. In place; from the far end, so that what is compared is still whole.
 */
function discountLaterEchoes(edges: AllEdges, rows: number, bins: number): void {
  const { score, best: bestBin } = edges;
  const nearer = new Int16Array(rows).fill(-1);
  for (let r = 0; r < rows; r++) {
    const row = r * bins;
    const least = EARLIER_SHARE * score[row + bestBin[r]!]!;
    // Either of the two may be the better edge of a ping.
    for (let b = bins - 1; b > 6 && nearer[r]! < 0; b--)
      if (score[row + b]! >= least) nearer[r] = earliestEdge(edges, r, bins, b);
  }
  const found = new Float32Array(2 * PAIRS_ROWS + PAIRS_EVERY + 1);
  for (let r0 = 0; r0 < rows; r0 += PAIRS_EVERY) {
    const from = Math.max(0, r0 - PAIRS_ROWS);
    const to = Math.min(rows, r0 + PAIRS_EVERY + PAIRS_ROWS);
    let count = 0;
    for (let r = from; r < to; r++) if (nearer[r]! >= 0) found[count++] = nearer[r]!;
    if (count < PAIRS_SHARE * (to - from)) continue;
    const usual = medianInPlace(found, count);
    for (let r = r0; r < Math.min(rows, r0 + PAIRS_EVERY); r++) {
      const row = r * bins;
      for (let b = bins - 1; b > 6; b--) {
        const k = earlierEdge(edges, r, bins, b);
        if (k >= 0 && Math.abs(k - usual) <= NEAR_USUAL * usual + 1)
          score[row + b]! -= LATER_LOSES * score[row + k]!;
      }
    }
  }
}

/** Total of a bin no line leads to. */
const NO_LINE = -1e9;

/**
 * The best line through the bins, a bin a row, at a price a bin of jump; two sweeps a row carry the best neighbour along at a
 * linear price.
 */
function bestLine({ low, high, at, score }: Edges, bins: number, jumpDb: number): Int16Array {
  const rows = low.length;
  const total = new Float32Array(bins).fill(NO_LINE);
  const back = scratchShorts('back', rows > 0 ? at[rows - 1]! + high[rows - 1]! - low[rows - 1]! : 0);
  // Where the row before had its bins.
  let lastLow = low[0] ?? 0;
  let lastHigh = high[0] ?? 0;
  total.fill(0, lastLow, lastHigh);
  for (let r = 0; r < rows; r++) {
    const [lowest, highest] = [low[r]!, high[r]!];
    const base = at[r]! - lowest;
    let from = lastLow;
    let carried = -Infinity;
    for (let b = Math.min(lowest, lastLow); b < highest; b++) {
      carried -= jumpDb;
      if (carried > total[b]!) total[b] = carried;
      else {
        carried = total[b]!;
        from = b;
      }
      if (b >= lowest) back[base + b] = from;
    }
    carried = -Infinity;
    for (let b = Math.max(highest, lastHigh) - 1; b >= lowest; b--) {
      carried -= jumpDb;
      const inside = b < highest;
      if (carried > total[b]!) {
        if (inside) back[base + b] = from;
      } else {
        carried = total[b]!;
        from = inside ? back[base + b]! : b;
      }
      if (inside) total[b] = carried + score[base + b]!;
    }
    for (let b = lastLow; b < lowest; b++) total[b] = NO_LINE;
    for (let b = highest; b < lastHigh; b++) total[b] = NO_LINE;
    [lastLow, lastHigh] = [lowest, highest];
  }
  const line = new Int16Array(rows);
  if (rows === 0) return line;
  let bin = lastLow;
  for (let b = lastLow + 1; b < lastHigh; b++) if (total[b]! > total[bin]!) bin = b;
  for (let r = rows - 1; r >= 0; r--) {
    line[r] = bin;
    bin = back[at[r]! + bin - low[r]!]!;
  }
  return line;
}
