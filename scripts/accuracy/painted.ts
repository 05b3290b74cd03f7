/** Holds readings of painted passes against what was painted. */
import { isGap, seededRandom, type Random } from '@/core/maths';
import { readChannel, type CloudFinding, type CoverFinding, type FishFinding } from '@/core/reading';
import { NUISANCES, withNuisances, type Nuisance } from '@/core/testing/nuisances';
import {
  paintedPass,
  type PaintedFish,
  type PaintedParts,
  type PaintedPatch,
} from '@/core/testing/paintedWater';
import { trueShape } from './judge';
import { count, countGround, newTally, note, type Tally } from './tally';

/** How a painted pass is made: parts, nuisances always there, and how many more are drawn. */
export interface PaintedWorld {
  parts?: PaintedParts;
  always?: readonly Nuisance[];
  drawn?: number;
}

/** Some nuisances, none twice. */
export function drawnNuisances({ always = [], drawn = 0 }: PaintedWorld, random: Random): Nuisance[] {
  const chosen = new Set<Nuisance>(always);
  for (let k = 0; k < drawn; k++) chosen.add(NUISANCES[random.integer(NUISANCES.length)]!);
  return [...chosen];
}

/** A fish is there to be read from the first level, dB, in so many pings; those from the second on are counted apart. */
const MARGIN_DB = 10;
const WEAK_DB = 6;
const LEAST_PINGS = 4;
/** Share of a mark's pings that must lie on a fish for it to be that fish. */
const ON_IT = 0.5;
/** Between two findings of one place, pings. */
const ABOUT = 6;

const touches = (a: { fromPing: number; toPing: number }, b: { fromPing: number; toPing: number }): boolean =>
  a.fromPing <= b.toPing + ABOUT && a.toPing >= b.fromPing - ABOUT;

const within = (m: FishFinding, c: PaintedPatch): boolean =>
  touches(m, c) && m.rangeM > c.topM - 0.6 && m.rangeM < c.bottomM + 0.6;

/** A fish is near bait within so many metres above or below it, and pings. */
const NEAR_BAIT_M = 2;
const NEAR_BAIT_PINGS = 14;
/** Two fish this near to each other in range, pulses, in more than this share of the strong pings of one are hardly two. */
const APART_PULSES = 1.5;
const BESIDE_SHARE = 0.3;

/** Whether a fish's nearest point lies outside bait and near it. */
function isNearBait(
  { pings, rangeM }: PaintedFish,
  { fromPing, toPing, topM, bottomM }: PaintedPatch,
): boolean {
  const nearestM = Math.min(...rangeM);
  const ping = pings[rangeM.indexOf(nearestM)]!;
  const offM = Math.max(topM - nearestM, nearestM - bottomM);
  return (
    ping > fromPing - NEAR_BAIT_PINGS && ping < toPing + NEAR_BAIT_PINGS && offM > 0 && offM < NEAR_BAIT_M
  );
}

/** Whether an echo of a pulse tells a fish from each of the others in most of its strong pings. */
function isApart(fish: PaintedFish, others: readonly PaintedFish[], pulseM: number): boolean {
  const strong = fish.pings.map((_, i) => i).filter((i) => fish.overDb[i]! >= MARGIN_DB);
  const beside = strong.filter((i) =>
    others.some((other) => {
      const k = other.pings.indexOf(fish.pings[i]!);
      return (
        other !== fish &&
        k >= 0 &&
        other.overDb[k]! >= WEAK_DB &&
        Math.abs(other.rangeM[k]! - fish.rangeM[i]!) < APART_PULSES * pulseM
      );
    }),
  );
  return beside.length <= BESIDE_SHARE * strong.length;
}

/** How many of a mark's points lie on a fish, and of all. */
function onFish(mark: FishFinding, fish: PaintedFish, slackM: number): { on: number; all: number } {
  const at = new Map(fish.pings.map((p, i) => [p, fish.rangeM[i]!]));
  let on = 0;
  let all = 0;
  mark.path.forEach((range, k) => {
    if (isGap(range)) return;
    all++;
    const truth = at.get(mark.fromPing + k);
    if (truth !== undefined && Math.abs(range - truth) < slackM) on++;
  });
  return { on, all };
}

/** Each fish's own mark. What lies on each other the longest is paired first: of two fish side by side none takes the other's mark. */
export function markedFish(
  fish: readonly PaintedFish[],
  marks: readonly FishFinding[],
  slackM: number,
): Map<PaintedFish, FishFinding> {
  const pairs = fish.flatMap((f) =>
    marks
      .map((mark) => ({ fish: f, mark, ...onFish(mark, f, slackM) }))
      .filter(({ on, all }) => on > 0 && on >= ON_IT * all),
  );
  pairs.sort((a, b) => b.on - a.on);
  const marked = new Map<PaintedFish, FishFinding>();
  const used = new Set<FishFinding>();
  for (const pair of pairs) {
    if (marked.has(pair.fish) || used.has(pair.mark)) continue;
    marked.set(pair.fish, pair.mark);
    used.add(pair.mark);
  }
  return marked;
}

/** Everything of one painted pass. */
export function judgePainted(seed: number, world: PaintedWorld): Tally {
  const tally = newTally();
  const random = seededRandom(seed).fork('nuisances');
  const nuisances = drawnNuisances(world, random);
  const { recording: clean, truth } = paintedPass(seed, world.parts);
  const recording = withNuisances(clean, nuisances, random);
  const channel = recording.channels[0]!;
  const reading = readChannel(recording, channel);
  const slackM = 0.15 + 1.5 * channel.resolutionM;
  const tell = (words: string): void =>
    void tally.notes.push(`seed ${seed} [${nuisances.join(' ')}]: ${words}`);

  let off = 0;
  for (let p = 0; p < channel.pingCount; p++) {
    const share = Math.abs(reading.bed.rangeM[p]! - truth.bedRangeM[p]!) / truth.bedRangeM[p]!;
    const under = truth.boulders.some((b) => p >= b.fromPing - 4 && p <= b.toPing + 4);
    if (under) continue;
    count(tally, 'bed within 3 %', share <= 0.03);
    if (share <= 0.03) note(tally, 'bed off', share);
    else off++;
  }
  if (off > 4) tell(`bed off in ${off} pings`);
  for (const { hard } of reading.hardness) countGround(tally, hard, truth.hard);

  const marks = reading.findings.filter((f): f is FishFinding => f.kind === 'fish');
  const marked = markedFish(truth.fish, marks, slackM);
  for (const fish of truth.fish) {
    const mine = marked.get(fish);
    const peak = Math.max(...fish.overDb);
    const middle = fish.pings[fish.overDb.indexOf(peak)]!;
    const pingsFrom = (db: number): number => fish.overDb.filter((over) => over >= db).length;
    const clear = truth.bedRangeM[middle]! - Math.min(...fish.rangeM) > 1.5 * channel.resolutionM + 0.1;
    const near = truth.weed.some((w) => touches(w, { fromPing: middle, toPing: middle }));
    if (!clear || near || pingsFrom(WEAK_DB) < LEAST_PINGS) continue;
    const strong = pingsFrom(MARGIN_DB) >= LEAST_PINGS;
    count(tally, strong ? 'recall' : 'recall of weak ones', mine !== undefined);
    if (strong && truth.clouds.some((c) => isNearBait(fish, c))) {
      count(tally, 'recall near bait', mine !== undefined);
      if (isApart(fish, truth.fish, channel.resolutionM))
        count(tally, 'recall near bait, apart from other fish', mine !== undefined);
    }
    if (strong && mine) {
      // Drawn from where weak ones are, whatever it peaks at.
      const pings = fish.pings.filter((_, i) => fish.overDb[i]! >= WEAK_DB);
      const rangeM = fish.rangeM.filter((_, i) => fish.overDb[i]! >= WEAK_DB);
      const shape = trueShape({ pings, rangeM, nearestRangeM: Math.min(...rangeM) }, channel.resolutionM);
      if (shape !== null) count(tally, 'shape', shape === mine.shape);
    }
    if (strong && !mine)
      tell(
        `missed at ${Math.min(...fish.rangeM).toFixed(1)} m, ping ${middle}, ${peak.toFixed(0)} dB, ${pingsFrom(WEAK_DB)} pings`,
      );
  }
  const used = new Set(marked.values());
  let wrong = 0;
  for (const m of marks) {
    // What lies in bait or weed may be one of its own.
    if (!used.has(m) && [...truth.clouds, ...truth.weed].some((c) => within(m, c))) continue;
    const right = used.has(m);
    count(tally, 'precision', right);
    tally.claims.push(['fish', m.confidence, right]);
    if (right) continue;
    wrong++;
    tell(
      `false fish at ${m.rangeM.toFixed(1)} m, pings ${m.fromPing}–${m.toPing}, ${m.shape}, ${m.overBackgroundDb.toFixed(0)} dB, said ${m.confidence.toFixed(2)}`,
    );
  }
  note(tally, 'false fish a pass', wrong);

  const clouds = reading.findings.filter((f): f is CloudFinding => f.kind === 'cloud');
  const mineOf = truth.clouds.map((c) =>
    clouds.find((f) => touches(f, c) && f.rangeM < c.bottomM + 0.4 && f.rangeM + f.heightM > c.topM - 0.4),
  );
  truth.clouds.forEach((c, i) => {
    const f = mineOf[i];
    count(tally, 'clouds found', f !== undefined);
    if (!f)
      return tell(
        `cloud missed, ${c.mood}, pings ${c.fromPing}–${c.toPing} at ${c.topM.toFixed(1)}–${c.bottomM.toFixed(1)} m`,
      );
    tally.claims.push(['bait', f.confidence, true], ['calm or hunted', f.moodProbability, f.mood === c.mood]);
    count(tally, `mood: ${c.mood}`, f.mood === c.mood);
  });
  for (const f of clouds) {
    const right = mineOf.includes(f);
    count(tally, 'cloud precision', right);
    if (right) continue;
    tally.claims.push(['bait', f.confidence, false]);
    tell(
      `false cloud at ${f.rangeM.toFixed(1)} m, ${f.heightM.toFixed(1)} m high, pings ${f.fromPing}–${f.toPing}, ${f.overBackgroundDb.toFixed(0)} dB, said ${f.confidence.toFixed(2)}`,
    );
  }

  const cover = reading.findings.filter((f): f is CoverFinding => f.kind === 'cover');
  for (const [kind, there] of [
    ['weed', truth.weed],
    ['boulder', truth.boulders],
  ] as const) {
    for (const w of there) {
      const mine = cover.filter((f) => touches(f, w));
      const found = mine.some((f) => f.cover === kind);
      count(tally, `${kind} found`, found);
      if (!found)
        tell(
          `${kind} missed, pings ${w.fromPing}–${w.toPing}, ${(w.bottomM - w.topM).toFixed(1)} m high, read as ${mine.map((f) => f.cover).join() || 'nothing'}`,
        );
    }
    const wrongs = cover.filter((f) => f.cover === kind && !there.some((w) => touches(f, w)));
    note(tally, `false ${kind} a pass`, wrongs.length);
    for (const f of wrongs)
      tell(
        `false ${kind}, ${f.heightM.toFixed(1)} m high, pings ${f.fromPing}–${f.toPing}, said ${f.confidence.toFixed(2)}`,
      );
  }
  note(
    tally,
    'false brush and timber a pass',
    cover.filter(
      (f) =>
        (f.cover === 'brush' || f.cover === 'timber') &&
        ![...truth.weed, ...truth.boulders].some((w) => touches(f, w)),
    ).length,
  );
  const THERE: Partial<Record<CoverFinding['cover'], readonly PaintedPatch[]>> = {
    weed: truth.weed,
    boulder: truth.boulders,
  };
  for (const f of cover)
    tally.claims.push(['on the bed', f.confidence, (THERE[f.cover] ?? []).some((w) => touches(f, w))]);
  const sounders = reading.named.filter((e) => e.kind === 'another-sounder');
  if (nuisances.includes('other-sounder')) {
    count(tally, 'sounder named', sounders.length > 0);
    if (sounders.length === 0) tell('other sounder not named');
  } else {
    note(tally, 'false sounders a pass', sounders.length);
    for (const e of sounders)
      tell(
        `false sounder at ${e.rangeM[0].toFixed(1)}–${e.rangeM[1].toFixed(1)} m, pings ${e.fromPing}–${e.toPing}, steady ${e.steadyDb.toFixed(1)} dB, slant ${e.slantM.toFixed(3)}`,
      );
  }
  return tally;
}
