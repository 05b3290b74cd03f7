import type { Stretch } from '@/core/recording';

/**
 * Pings whose bed answers by so much more or less than the table of its kind says: its first echo by that, its second by twice as much,
 * having met it twice, and so on.
 * @param bedRangeM of the first echo, by ping @param offDb by ping
 */
export function withBedsOff(
  stretch: Stretch,
  bedRangeM: ArrayLike<number>,
  offDb: ArrayLike<number>,
): Stretch {
  return {
    ...stretch,
    channels: stretch.channels.map((channel) => {
      const { pingCount, sampleCount: n, firstRangeM, sampleStepM } = channel;
      const levelDb = Float32Array.from(channel.levelDb);
      for (let p = 0; p < pingCount; p++)
        for (let j = 0; j < n; j++)
          levelDb[p * n + j]! += offDb[p]! * Math.floor((firstRangeM + j * sampleStepM) / bedRangeM[p]!);
      return { ...channel, levelDb };
    }),
  };
}
