import type { Stretch } from '@/core/recording';

/** How far a bed answers off the table of its kind, by ping, dB. */
export interface BedsOff {
  /** By its roughness, which spreads what the first bounce sends back: every echo of it by as much. */
  roughDb?: ArrayLike<number>;
  /** By its hardness: the first echo by as much, the second by twice that, having met the bed twice, and so on. */
  hardDb?: ArrayLike<number>;
}

/** Pings whose bed answers off the table of its kind. @param bedRangeM of the first echo, by ping */
export function withBedsOff(
  stretch: Stretch,
  bedRangeM: ArrayLike<number>,
  { roughDb, hardDb }: BedsOff,
): Stretch {
  return {
    ...stretch,
    channels: stretch.channels.map((channel) => {
      const { pingCount, sampleCount: n, firstRangeM, sampleStepM } = channel;
      const levelDb = Float32Array.from(channel.levelDb);
      for (let p = 0; p < pingCount; p++)
        for (let j = 0; j < n; j++) {
          const bounces = Math.floor((firstRangeM + j * sampleStepM) / bedRangeM[p]!);
          if (bounces > 0) levelDb[p * n + j]! += (roughDb?.[p] ?? 0) + bounces * (hardDb?.[p] ?? 0);
        }
      return { ...channel, levelDb };
    }),
  };
}
