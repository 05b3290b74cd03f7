import type { MarkPlace, Picture } from '@/core/picture';
import type { Stretch } from '@/core/recording';
import type { Face, Rig } from '@/core/rig';
import type { Scene, Track } from '@/core/scene';
import { visibleFish } from '@/core/sounder';

/** Pings a fish must show in to be looked for. */
const LEAST_PINGS = 4;
/** Most columns to either side a mark is looked for by: of a long leg no more. */
const MOST_COLUMNS = 30;

/**
 * Where the fish of a scene lie on a picture of its recording: those that show in enough pings and whose nearest ping is on it.
 * @param showsDb over the noise from which a fish shows in a ping, dB
 */
export function fishPlaces(
  scene: Scene,
  track: Track,
  rig: Rig,
  face: Face,
  recording: Stretch,
  showsDb?: number,
): (picture: Picture) => MarkPlace[] {
  const channel = recording.channels.find((c) => c.id === face.id)!;
  const { timeS: pingTimes } = recording.navigation;
  const shown = visibleFish(scene, track, rig, face, showsDb).filter((f) => f.pings.length >= LEAST_PINGS);
  return ({ columns, rows, timeS, topM, rowM, columnsFilled }) => {
    const first = columns - columnsFilled;
    const columnAt = (t: number): number => {
      let c = first;
      while (c < columns - 1 && timeS[c]! < t) c++;
      return c;
    };
    return shown.flatMap((f) => {
      const from = pingTimes[f.pings[0]!]!;
      const to = pingTimes[f.pings[f.pings.length - 1]!]!;
      if (f.nearestTimeS < timeS[first]! || f.nearestTimeS > timeS[columns - 1]!) return [];
      const column = columnAt(f.nearestTimeS);
      const row = Math.floor((f.nearestRangeM - topM[column]!) / rowM);
      if (row < 0 || row >= rows) return [];
      const halfColumns = Math.min(
        MOST_COLUMNS,
        Math.max(1, Math.round((columnAt(to) - columnAt(from)) / 3)),
      );
      const halfRows = Math.max(1, Math.round((1.5 * Math.max(channel.resolutionM, 0.1)) / rowM));
      return [{ column, row, halfColumns, halfRows }];
    });
  };
}
