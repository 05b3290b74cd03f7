import { powerOf, toDb, type Random } from '@/core/maths';
import type { Channel, Stretch } from '@/core/recording';

/**
 * What boats, units and files do to a recording, over ranges wider than any one boat, in the order it comes upon the pings: recording
 * in, recording out.
 */
export const NUISANCES = [
  'other-sounder',
  'bursts',
  'smoothed',
  'gain-drifts',
  'gain-applied',
  'pings-lost',
  'clipped',
  'eight-bit',
  'range-counted-elsewhere',
  'beam-width-off',
] as const;
export type Nuisance = (typeof NUISANCES)[number];

type Change = (channel: Channel, random: Random, pingRate: number) => Channel;

const mapped = (channel: Channel, levelDb: Float32Array): Channel => ({ ...channel, levelDb });

/** Mean noise of a channel, dB: a low quantile of its open water put right for what lies over it. */
function noiseDb({ levelDb }: Channel): number {
  const stride = Math.max(1, Math.floor(levelDb.length / 4001)) | 1;
  const looks: number[] = [];
  for (let i = 0; i < levelDb.length; i += stride) looks.push(levelDb[i]!);
  looks.sort((a, b) => a - b);
  // The quarter of exponential noise lies 5.4 dB under its mean.
  return looks[Math.floor(looks.length / 4)]! + 5.4;
}

const CHANGES: Record<Nuisance, Change> = {
  'beam-width-off': (channel, random) => {
    const times = random.between(0.7, 1.3);
    const { beam } = channel;
    return {
      ...channel,
      beam: { ...beam, alongRad: beam.alongRad * times, athwartRad: beam.athwartRad * times },
    };
  },
  'range-counted-elsewhere': (channel, random) => ({
    ...channel,
    firstRangeM: Math.max(0, channel.firstRangeM + random.between(-0.5, 0.5) * channel.resolutionM),
  }),
  smoothed: (channel, random) => {
    const { pingCount, sampleCount: n, levelDb } = channel;
    const span = Math.max(
      2,
      Math.round((random.between(0.4, 1) * channel.resolutionM) / channel.sampleStepM),
    );
    const out = new Float32Array(levelDb.length);
    for (let p = 0; p < pingCount; p++) {
      let sum = 0;
      for (let j = 0; j < n; j++) {
        sum += powerOf(levelDb[p * n + j]!);
        if (j >= span) sum -= powerOf(levelDb[p * n + j - span]!);
        out[p * n + j] = toDb(Math.max(1e-30, sum) / Math.min(j + 1, span));
      }
    }
    return mapped(channel, out);
  },
  'gain-drifts': (channel, random, pingRate) => {
    const { sampleCount: n } = channel;
    const [db, periodS, phase] = [random.between(1, 4), random.between(8, 60), random.between(0, 6)];
    return mapped(
      channel,
      channel.levelDb.map(
        (x, i) => x + db * Math.sin((2 * Math.PI * Math.floor(i / n)) / pingRate / periodS + phase),
      ),
    );
  },
  'pings-lost': (channel, random) => {
    const { pingCount, sampleCount: n } = channel;
    const out = channel.levelDb.slice();
    const share = random.between(0.01, 0.08);
    const floor = noiseDb(channel);
    for (let p = 1; p < pingCount; p++)
      if (random.uniform() < share)
        // A lost ping is the last one again, or nothing but noise.
        if (random.uniform() < 0.5) out.copyWithin(p * n, (p - 1) * n, p * n);
        else
          for (let j = 0; j < n; j++) out[p * n + j] = floor + toDb(-Math.log(1 - random.uniform()) + 1e-6);
    return mapped(channel, out);
  },
  'eight-bit': (channel, random) => {
    const step = random.between(0.35, 0.6);
    const floor = noiseDb(channel) - random.between(6, 14);
    return mapped(
      channel,
      channel.levelDb.map((x) => floor + step * Math.min(255, Math.max(0, Math.round((x - floor) / step)))),
    );
  },
  clipped: (channel, random) => {
    const most = noiseDb(channel) + random.between(28, 40);
    return mapped(
      channel,
      channel.levelDb.map((x) => Math.min(most, x)),
    );
  },
  'gain-applied': (channel, random) => {
    const law = random.between(10, 45);
    const { sampleCount: n, sampleStepM, firstRangeM } = channel;
    return mapped(
      channel,
      channel.levelDb.map((x, i) => x + law * Math.log10(Math.max(0.5, firstRangeM + (i % n) * sampleStepM))),
    );
  },
  bursts: (channel, random) => {
    const { pingCount, sampleCount: n } = channel;
    const out = channel.levelDb.slice();
    const floor = noiseDb(channel);
    const share = random.between(0.01, 0.04);
    for (let p = 0; p < pingCount; p++) {
      if (random.uniform() >= share) continue;
      const from = Math.floor(random.between(0, 0.8) * n);
      const to = Math.min(n, from + Math.floor(random.between(0.08, 0.6) * n));
      const over = random.between(8, 24);
      for (let j = from; j < to; j++)
        out[p * n + j] = toDb(
          powerOf(out[p * n + j]!) + powerOf(floor + over) * -Math.log(1 - random.uniform()),
        );
    }
    return mapped(channel, out);
  },
  'other-sounder': (channel, random, pingRate) => {
    const { pingCount, sampleCount: n, sampleStepM } = channel;
    const out = channel.levelDb.slice();
    const floor = noiseDb(channel);
    const rateHz = random.between(4, 13);
    const drift = random.between(-2e-4, 2e-4);
    const [over, fades, periodS] = [random.between(12, 26), random.between(0, 6), random.between(4, 15)];
    const length = Math.max(2, Math.round(random.between(0.1, 0.25) / sampleStepM));
    const metresAS = channel.soundSpeedMps / 2;
    let at = random.between(0, 1 / rateHz);
    const endS = pingCount / pingRate;
    while (at < endS) {
      const p = Math.floor(at * pingRate);
      const j0 = Math.round(((at - p / pingRate) * metresAS) / sampleStepM);
      const level = floor + over + fades * Math.sin((2 * Math.PI * at) / periodS);
      for (let k = 0; k < length; k++) {
        const j = j0 + k;
        if (j < n) out[p * n + j] = toDb(powerOf(out[p * n + j]!) + powerOf(level + 0.6 * random.normal()));
      }
      at += (1 + drift * Math.sin(at / 7)) / rateHz;
    }
    return mapped(channel, out);
  },
};

/** A recording with nuisances put on each of its channels. */
export function withNuisances(recording: Stretch, nuisances: readonly Nuisance[], random: Random): Stretch {
  const mine = NUISANCES.filter((name) => nuisances.includes(name));
  return {
    ...recording,
    channels: recording.channels.map((channel) =>
      mine.reduce((so, name) => CHANGES[name](so, random, recording.pingRate), channel),
    ),
  };
}
