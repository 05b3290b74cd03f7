import type { Channel, Navigation, Recording, Stretch } from '@/core/recording';

/** A recording of one stretch gone over again and again, as one long stretch: times and places go on. */
export function repeated({ title, startedAt, stretches }: Recording, times: number): Recording {
  const [stretch] = stretches as [Stretch];
  const { navigation } = stretch;
  const pings = navigation.timeS.length;
  const lengthS = navigation.timeS[pings - 1]! + 1 / stretch.pingRate;
  const goesOn: Partial<Record<keyof Navigation, number>> = {
    timeS: lengthS,
    eastM: navigation.eastM[pings - 1]! - navigation.eastM[0]!,
    northM: navigation.northM[pings - 1]! - navigation.northM[0]!,
  };
  const rows = Object.fromEntries(
    Object.entries(navigation).map(([name, row]: [string, Float64Array | Float32Array]) => {
      const whole =
        row instanceof Float64Array ? new Float64Array(pings * times) : new Float32Array(pings * times);
      const step = goesOn[name as keyof Navigation] ?? 0;
      for (let p = 0; p < whole.length; p++) whole[p] = row[p % pings]! + Math.floor(p / pings) * step;
      return [name, whole];
    }),
  ) as unknown as Navigation;
  const channels = stretch.channels.map((channel): Channel => {
    const levelDb = new Float32Array(channel.levelDb.length * times);
    for (let k = 0; k < times; k++) levelDb.set(channel.levelDb, k * channel.levelDb.length);
    return { ...channel, pingCount: pings * times, levelDb };
  });
  return { title, startedAt, stretches: [{ ...stretch, navigation: rows, channels }] };
}
