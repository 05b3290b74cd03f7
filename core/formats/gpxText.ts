import { XMLBuilder } from 'fast-xml-parser';

/** Characters XML 1.0 cannot hold. */
const NOT_XML = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;

/** Text as XML can hold it. */
export const clean = (text: string): string => text.replace(NOT_XML, '');

/** A place as a GPX point has it, degrees to a centimetre. */
export const gpxPlace = ({ latitudeDeg, longitudeDeg }: { latitudeDeg: number; longitudeDeg: number }) => ({
  '@_lat': latitudeDeg.toFixed(7),
  '@_lon': longitudeDeg.toFixed(7),
});

/** A GPX 1.1 file (Topografix schema) of what stands within it, in the schema's order. */
export const gpxText = (within: { metadata: object; wpt: readonly object[]; trk?: object }): string =>
  new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true }).build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    gpx: {
      '@_version': '1.1',
      '@_creator': 'Nimble Echo',
      '@_xmlns': 'http://www.topografix.com/GPX/1/1',
      '@_xmlns:xsi': 'http://www.w3.org/2001/XMLSchema-instance',
      '@_xsi:schemaLocation': 'http://www.topografix.com/GPX/1/1 http://www.topografix.com/GPX/1/1/gpx.xsd',
      ...within,
    },
  });
