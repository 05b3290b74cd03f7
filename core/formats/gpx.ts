import type { Entry } from '@/core/logbook';
import { clean, gpxPlace, gpxText } from './gpxText';

/** The marks of log entries as waypoints of a GPX 1.1 file (Topografix schema): place, time kept, name, what was seen. */
export function writeGpx(entries: readonly Entry[]): string {
  const wpt = entries.flatMap((entry) =>
    entry.marks.map((mark, i) => ({
      ...gpxPlace(mark),
      time: entry.keptAt,
      name: clean(`${mark.kind} ${i + 1} at ${mark.rangeM.toFixed(1)} m`),
      cmt: clean(entry.call),
      desc: clean(
        `${mark.shape ? `${mark.shape}, ` : ''}top at ${mark.rangeM.toFixed(1)} m, ` +
          // Single marks of older entries have the rise of their legs in it.
          `${mark.kind === 'fish' ? '' : `${mark.heightM.toFixed(1)} m high, `}` +
          `sure to ${Math.round(mark.confidence * 100)} %. A reading, not an identification; not for navigation.`,
      ),
      type: mark.kind,
    })),
  );
  return gpxText({ metadata: { desc: 'Marks kept from a sounder. Not for navigation.' }, wpt });
}
