import { clamp, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { EchoTrack } from './followEchoes';
import { gateM } from './markRules';

/** Piece of water specks are counted in: pings, and gates a track is followed within. */
const PIECE_PINGS = 64;
const PIECE_GATES = 8;
/** Water a peak is taken from, in gates. */
const TAKEN_GATES = 2.6;
/** A track must be so much likelier than specks in a line, nats. */
const LEAST_NATS = 6;

/** Levels are told apart in steps, dB, the last of them for all beyond: specks this much weaker than a track explain none of it. */
const STEP_DB = 3;
const STEPS = 12;
const stepOf = (overDb: number): number => clamp(Math.floor(overDb / STEP_DB), 0, STEPS - 1);

/** Peaks in a piece of water, by level, and as many runs of neighbouring pings at one range: a column drawn twice says the same twice. */
interface Peaks {
  peaks: Int32Array;
  runs: Int32Array;
}
const noPeaks = (): Peaks => ({ peaks: new Int32Array(STEPS), runs: new Int32Array(STEPS) });

function countInto({ peaks, runs }: Peaks, { pings, peakSample, overDb }: EchoTrack, i: number): void {
  const step = stepOf(overDb[i]!);
  peaks[step]!++;
  if (i === 0 || pings[i - 1] !== pings[i]! - 1 || Math.abs(peakSample[i - 1]! - peakSample[i]!) > 1)
    runs[step]!++;
}

/** How many are no weaker than a step. */
const from = (counts: Int32Array, step: number): number => {
  let sum = 0;
  for (let s = step; s < STEPS; s++) sum += counts[s]!;
  return sum;
};

/**
 * Those of tracks that specks of noise do not explain. Where a screen draws part of the noise, its specks fall into line now and again: a
 * track is one of them unless more of its pings are filled than specks as loud fill near it, by the Kullback–Leibler divergence of its share
 * filled from chance's (Chernoff's bound on a binomial tail; Chernoff 1952), and the more so the more specks there are to begin one.
 */
export function outOfSpecks(
  { sampleStepM, resolutionM, pingCount }: Pick<Channel, 'sampleStepM' | 'resolutionM' | 'pingCount'>,
  tracks: readonly EchoTrack[],
): EchoTrack[] {
  const high = (PIECE_GATES * gateM(sampleStepM, resolutionM)) / sampleStepM;
  const across = Math.ceil(pingCount / PIECE_PINGS) + 2;
  const pieceAt = (ping: number, sample: number): number =>
    (Math.floor(sample / high) + 1) * across + Math.floor(ping / PIECE_PINGS) + 1;
  const pieces = new Map<number, Peaks>();
  for (const track of tracks)
    track.pings.forEach((ping, i) => {
      const at = pieceAt(ping, track.peakSample[i]!);
      if (!pieces.has(at)) pieces.set(at, noPeaks());
      countInto(pieces.get(at)!, track, i);
    });
  return tracks.filter((track) => {
    const { pings, peakSample, overDb } = track;
    const near = new Set<number>();
    const own = noPeaks();
    pings.forEach((ping, i) => {
      const at = pieceAt(ping, peakSample[i]!);
      for (let row = -across; row <= across; row += across)
        for (let piece = at + row - 1; piece <= at + row + 1; piece++) near.add(piece);
      countInto(own, track, i);
    });
    const asLoud = Math.max(0, stepOf(median(overDb)) - 1);
    let specks = -from(own.peaks, asLoud);
    let runs = -from(own.runs, asLoud);
    for (const piece of near) {
      const there = pieces.get(piece);
      if (!there) continue;
      specks += from(there.peaks, asLoud);
      runs += from(there.runs, asLoud);
    }
    if (runs <= 0) return true;
    const chance = 1 - Math.exp((-TAKEN_GATES * specks) / (near.size * PIECE_PINGS * PIECE_GATES));
    const span = pings[pings.length - 1]! - pings[0]! + 1;
    const nats = (divergence(pings.length / span, chance) * span * runs) / specks;
    return nats > LEAST_NATS + Math.log(runs);
  });
}

/** Kullback–Leibler divergence of one share from a lesser one, nats; 0 where it is no more. */
const divergence = (share: number, chance: number): number =>
  share <= chance
    ? 0
    : share * Math.log(share / chance) + (share < 1 ? (1 - share) * Math.log((1 - share) / (1 - chance)) : 0);
