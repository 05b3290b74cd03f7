import { heaveByBed } from '../bed/heaveByBed';
import { partedWhereCrossed } from './crossedTracks';
import { fitted, type Fitted } from './fitted';
import type { EchoTrack } from './followEchoes';

const [SPEED, PULSE_M, PING_RATE] = [1.5, 0.1, 10];
const timeS = Float64Array.from({ length: 300 }, (_, p) => p / PING_RATE);
const still = new Float32Array(timeS.length);
const trackOf = (from: number, to: number, rangeAt: (timeS: number) => number): Fitted => {
  const pings = Array.from({ length: to - from + 1 }, (_, k) => from + k);
  const track: EchoTrack = {
    pings,
    rangeM: pings.map((p) => rangeAt(timeS[p]!)),
    thickM: pings.map(() => PULSE_M),
    overDb: pings.map(() => 20),
    peakSample: pings.map((p) => p),
  };
  return fitted(track, timeS, SPEED);
};
const pointAt =
  (nearestM: number, atS: number) =>
  (t: number): number =>
    Math.hypot(nearestM, SPEED * (t - atS));
/** A swell of 4 s and 0.25 m. */
const heaveAt = (t: number): number => 0.25 * Math.sin((2 * Math.PI * t) / 4);
/** Parts of the first of some tracks. */
const part = (tracks: readonly Fitted[], heaveM: Float32Array = still): Fitted[] => {
  const pings = new Set(tracks[0]!.track.peakSample);
  return partedWhereCrossed(tracks, timeS, heaveM, SPEED, PULSE_M).filter(({ track }) =>
    pings.has(track.peakSample[0]!),
  );
};

describe('a track that goes over from one fish to another', () => {
  const [one, other] = [pointAt(6, 10), pointAt(6.1, 13)];
  const crossed = (t: number): number => (t < 11.4 ? one(t) : other(t));
  const bed = {
    rangeM: Float32Array.from(timeS, (t) => 9 + 0.02 * t + heaveAt(t)),
    contrastDb: new Float32Array(timeS.length),
  };

  /** What is left of the other fish, as far as no other echo is nearer; its samples count from elsewhere. */
  const rest = (heaved: (t: number) => number = () => 0): Fitted => {
    const fish = trackOf(100, 112, (t) => other(t) + heaved(t));
    fish.track.peakSample = fish.track.pings.map((p) => 1000 + p);
    return fish;
  };

  it('is parted where their arches cross, each part on the curve of its own fish', () => {
    const whole = trackOf(80, 150, crossed);
    const parts = part([whole, rest()]);
    expect(parts).toHaveLength(2);
    expect(Math.abs(parts[0]!.track.pings.at(-1)! - 113)).toBeLessThanOrEqual(3);
    expect(parts[0]!.curve!.nearestTimeS).toBeCloseTo(10, 1);
    expect(parts[1]!.curve!.nearestTimeS).toBeCloseTo(13, 1);
    expect(parts.flatMap(({ track }) => track.pings)).toEqual(whole.track.pings);
    expect(parts.flatMap(({ track }) => track.peakSample)).toHaveLength(71);
  });
  it('is parted though nothing else of the other fish is seen, where it comes near twice', () => {
    expect(part([trackOf(80, 150, crossed)])).toHaveLength(2);
  });
  it('stays whole where it is one fish, one that swims along before it is passed, and where it is too short to tell', () => {
    expect(part([trackOf(80, 150, one), rest()])).toHaveLength(1);
    const along = trackOf(60, 150, (t) => (t < 10.5 ? 6 : pointAt(6, 10.5)(t)));
    expect(along.curve!.offM).toBeGreaterThan(0.6 * PULSE_M);
    expect(part([along])).toHaveLength(1);
    expect(part([trackOf(110, 119, crossed), rest()])).toHaveLength(1);
  });
  it('stays whole where the bed heaves as the track does, and is parted in a swell too', () => {
    const heaveM = heaveByBed(bed, PING_RATE);
    for (let p = 30; p < 270; p++) expect(Math.abs(heaveM[p]! - heaveAt(timeS[p]!))).toBeLessThan(0.08);
    const heaved = trackOf(80, 150, (t) => one(t) + heaveAt(t));
    const beside = trackOf(80, 150, (t) => one(t) + heaveAt(t) + 0.2);
    beside.track.peakSample = beside.track.pings.map((p) => 1000 + p);
    expect(part([heaved, beside]).length).toBeGreaterThan(1);
    expect(part([heaved, beside], heaveM)).toHaveLength(1);
    expect(part([trackOf(80, 150, (t) => crossed(t) + heaveAt(t)), rest(heaveAt)], heaveM)).toHaveLength(2);
  });
  it('knows no heave where no bed is', () => {
    const none = { ...bed, rangeM: new Float32Array(50).fill(NaN) };
    expect(Array.from(heaveByBed(none, PING_RATE))).toEqual(Array.from({ length: 50 }, () => 0));
  });
});
