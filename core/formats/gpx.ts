import { XMLBuilder } from 'fast-xml-parser';
import type { Entry } from '@/core/logbook';

/** Characters XML 1.0 cannot hold. */

const NOT_XML = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;

const clean = (text: string): string => text.replace(NOT_XML, '');

/** The marks of log entries as waypoints of a GPX 1.1 file (Topografix schema): place, time kept, name, what was seen. */
export function writeGpx(entries: readonly Entry[]): string {
  const wpt = entries.flatMap((entry) =>
    entry.marks.map((mark, i) => ({
      '@_lat': mark.latitudeDeg.toFixed(7),
      '@_lon': mark.longitudeDeg.toFixed(7),
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
  return new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true }).build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    gpx: {
      '@_version': '1.1',
      '@_creator': 'Nimble Echo',
      '@_xmlns': 'http://www.topografix.com/GPX/1/1',
      '@_xmlns:xsi': 'http://www.w3.org/2001/XMLSchema-instance',
      '@_xsi:schemaLocation': 'http://www.topografix.com/GPX/1/1 http://www.topografix.com/GPX/1/1/gpx.xsd',
      metadata: { desc: 'Marks kept from a sounder. Not for navigation.' },
      wpt,
    },
  });
}
