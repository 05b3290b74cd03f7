import { XMLParser } from 'fast-xml-parser';
import Papa from 'papaparse';
import * as v from 'valibot';
import { MARK_KINDS, type Day, type DayMark, type TrackPoint } from '@/core/logbook/day';
import { clean, gpxPlace, gpxText } from './gpxText';
import { accepted, refused, type Result } from './result';

/** Largest file of places that is opened, bytes, and most points of it. */
export const LARGEST_PLACES_FILE = 20e6;
const MOST_POINTS = 20_000;
const NOT_NAVIGATION = 'Not for navigation.';

const about = (day: Day): string =>
  `${day.simulated ? 'Simulated: made places of an invented lake. ' : ''}${NOT_NAVIGATION}`;

/** A day's marks as waypoints and its way as a track, GPX 1.1 (Topografix schema). */
export const writeDayGpx = (day: Day): string =>
  gpxText({
    metadata: { name: clean(day.name), desc: about(day) },
    wpt: day.marks.map((mark) => ({
      ...gpxPlace(mark),
      time: mark.at,
      name: clean(`${mark.kind}${mark.depthM === null ? '' : ` at ${mark.depthM.toFixed(1)} m`}`),
      cmt: clean(mark.note),
      desc: `Within ${mark.errorM.toFixed(0)} m. ${about(day)}`,
      type: mark.kind,
    })),
    ...(day.track.length > 0
      ? {
          trk: {
            name: clean(day.name),
            trkseg: { trkpt: day.track.map((p) => ({ ...gpxPlace(p), time: p.at })) },
          },
        }
      : {}),
  });

/** The same as GeoJSON (RFC 7946), with all that is known of each mark. */
export function writeDayGeoJson(day: Day): string {
  const features = [
    ...day.marks.map(({ latitudeDeg, longitudeDeg, ...properties }) => ({
      type: 'Feature',
      geometry: { type: 'Point', coordinates: [longitudeDeg, latitudeDeg] },
      properties,
    })),
    ...(day.track.length > 1
      ? [
          {
            type: 'Feature',
            geometry: {
              type: 'LineString',
              coordinates: day.track.map((p) => [p.longitudeDeg, p.latitudeDeg]),
            },
            properties: {
              kind: 'track',
              times: day.track.map((p) => p.at),
              depths: day.track.map((p) => p.depthM),
              speeds: day.track.map((p) => p.speedMps),
              temperatures: day.track.map((p) => p.temperatureC),
              volts: day.track.map((p) => p.supplyV),
            },
          },
        ]
      : []),
  ];
  return JSON.stringify(
    {
      type: 'FeatureCollection',
      source: day.simulated ? 'simulated' : 'own',
      note: about(day),
      features,
    },
    null,
    1,
  );
}

/** What a spreadsheet would run; a minus is a number's. */
const FORMULA = /^[=+@\t\r].*$/;

/** A day's marks as a table (RFC 4180), a row each. */
export const writeDayCsv = (day: Day): string =>
  Papa.unparse(
    day.marks.map((m) => ({
      time: m.at,
      kind: m.kind,
      latitude_deg: m.latitudeDeg.toFixed(7),
      longitude_deg: m.longitudeDeg.toFixed(7),
      within_m: m.errorM.toFixed(1),
      depth_m: m.depthM ?? '',
      height_m: m.heightM ?? '',
      note: m.note,
      places: day.simulated ? 'simulated' : 'own',
    })),
    { newline: '\r\n', escapeFormulae: FORMULA },
  );

/** Places of a file from outside. */
export interface Places {
  marks: Omit<DayMark, 'id'>[];
  track: TrackPoint[];
  /** Points left out, since they are not on the earth. */
  leftOut: number;
}

const Moment = v.pipe(v.string(), v.isoTimestamp());
/** Of a waypoint that tells no time. */
const NO_DATE = '1970-01-01T00:00:00.000Z';
const Latitude = v.pipe(v.number(), v.minValue(-90), v.maxValue(90));
const Longitude = v.pipe(v.number(), v.minValue(-180), v.maxValue(180));
const Place = v.object({ latitudeDeg: Latitude, longitudeDeg: Longitude });

/** Others' waypoints tell no error; a handheld receiver is good to this, m. */
const USUAL_ERROR_M = 8;

const kindOf = (text: unknown): DayMark['kind'] => MARK_KINDS.find((k) => k === text) ?? 'other';

const numberIn = (value: unknown, most: number, least = 0): number | null =>
  typeof value === 'number' && value >= least && value <= most ? value : null;

function markOf(
  place: { latitudeDeg: number; longitudeDeg: number },
  more: Record<string, unknown>,
): Omit<DayMark, 'id'> {
  const words = [more.name, more.cmt].filter((t) => typeof t === 'string' && t !== '').join('. ');
  return {
    at: momentOf(more.time),
    kind: kindOf(more.type),
    ...place,
    errorM: numberIn(more.errorM, 5000) ?? USUAL_ERROR_M,
    cause: 'position',
    depthM: numberIn(more.depthM, 2000),
    heightM: numberIn(more.heightM, 500),
    schoolId: null,
    note: words.slice(0, 400),
  };
}

const momentOf = (time: unknown): string => {
  const at = v.safeParse(Moment, time);
  return at.success ? at.output : NO_DATE;
};

const pointOf = (
  place: { latitudeDeg: number; longitudeDeg: number },
  more: Record<string, unknown>,
): TrackPoint => ({
  at: momentOf(more.time),
  ...place,
  speedMps: numberIn(more.speedMps, 60),
  depthM: numberIn(more.depthM, 2000),
  temperatureC: numberIn(more.temperatureC, 50, -5),
  supplyV: numberIn(more.supplyV, 60),
});

const nth = (list: unknown, k: number): unknown => (Array.isArray(list) ? (list as unknown[])[k] : undefined);

const asList = (value: unknown): Record<string, unknown>[] =>
  (Array.isArray(value) ? value : value === undefined || value === '' ? [] : [value]).filter(
    (item): item is Record<string, unknown> => typeof item === 'object' && item !== null,
  );

/** Gathers places; those that are not on the earth are counted and left out. */
function gather(
  wpts: readonly Record<string, unknown>[],
  trkpts: readonly Record<string, unknown>[],
): Result<Places> {
  if (wpts.length + trkpts.length > MOST_POINTS)
    return refused(
      `This file has ${wpts.length + trkpts.length} points; ${MOST_POINTS} is the most.`,
      'large',
    );
  const out: Places = { marks: [], track: [], leftOut: 0 };
  for (const [list, take] of [
    [
      wpts,
      (p: v.InferOutput<typeof Place>, more: Record<string, unknown>) => out.marks.push(markOf(p, more)),
    ],
    [
      trkpts,
      (p: v.InferOutput<typeof Place>, more: Record<string, unknown>) => out.track.push(pointOf(p, more)),
    ],
  ] as const)
    for (const item of list) {
      const place = v.safeParse(Place, {
        latitudeDeg: item.lat === '' ? NaN : Number(item.lat),
        longitudeDeg: item.lon === '' ? NaN : Number(item.lon),
      });
      if (place.success) take(place.output, item);
      else out.leftOut++;
    }
  if (out.marks.length + out.track.length === 0)
    return refused('There are no places in this file.', 'foreign');
  return accepted(out);
}

/** Places of a GPX file of whoever wrote it, or one sentence. */
export function readGpx(text: string): Result<Places> {
  if (text.length > LARGEST_PLACES_FILE) return refused('This file is too long to be marks.', 'large');
  // Definitions can name themselves over and over until memory is gone.
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return refused('This file defines its own words; such are not opened.', 'foreign');
  let parsed: unknown;
  try {
    parsed = new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '',
      parseAttributeValue: false,
      parseTagValue: false,
      processEntities: true,
    }).parse(text, true);
  } catch {
    return refused('This GPX file is cut short or damaged.', 'damaged');
  }
  const gpx = (parsed as { gpx?: unknown } | null)?.gpx;
  if (typeof gpx !== 'object' || gpx === null) return refused('This is not a GPX file.', 'foreign');
  const root = gpx as Record<string, unknown>;
  const points = [...asList(root.trk), ...asList(root.rte)].flatMap((trk) => [
    ...asList(trk.trkseg).flatMap((seg) => asList(seg.trkpt)),
    ...asList(trk.rtept),
  ]);
  return gather(asList(root.wpt), points);
}

/** Places of a GeoJSON file, or one sentence. */
export function readGeoJson(text: string): Result<Places> {
  if (text.length > LARGEST_PLACES_FILE) return refused('This file is too long to be marks.', 'large');
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return refused('This GeoJSON file is cut short or damaged.', 'damaged');
  }
  const root = parsed as { type?: unknown; features?: unknown } | null;
  if (typeof root !== 'object' || root === null || root.type !== 'FeatureCollection')
    return refused('This is not a GeoJSON collection.', 'foreign');
  const wpts: Record<string, unknown>[] = [];
  const trkpts: Record<string, unknown>[] = [];
  for (const feature of asList(root.features)) {
    const geometry = asList(feature.geometry)[0];
    const properties = asList(feature.properties)[0] ?? {};
    const pairs = (value: unknown): unknown[][] =>
      Array.isArray(value) ? value.filter((p) => Array.isArray(p)) : [];
    if (geometry?.type === 'Point' && Array.isArray(geometry.coordinates)) {
      const [lon, lat] = geometry.coordinates as unknown[];
      const { at, kind, note, ...rest } = properties;
      wpts.push({ ...rest, lat, lon, time: at ?? rest.time, type: kind, cmt: note });
    } else if (geometry?.type === 'LineString')
      pairs(geometry.coordinates).forEach(([lon, lat], k) =>
        trkpts.push({
          lat,
          lon,
          time: nth(properties.times, k),
          depthM: nth(properties.depths, k),
          speedMps: nth(properties.speeds, k),
          temperatureC: nth(properties.temperatures, k),
          supplyV: nth(properties.volts, k),
        }),
      );
  }
  return gather(wpts, trkpts);
}

/** Places of a table with columns for latitude and longitude, or one sentence. */
export function readPlacesCsv(text: string): Result<Places> {
  if (text.length > LARGEST_PLACES_FILE) return refused('This file is too long to be marks.', 'large');
  const seen = new Set<string>();
  const { data, meta } = Papa.parse<Record<string, unknown>>(text, {
    header: true,
    skipEmptyLines: true,
    // The first column of a name counts.
    transformHeader: (name, k) => {
      const own = seen.has(name) ? `${name} ${k}` : name;
      seen.add(own);
      return own;
    },
  });
  const column = (names: readonly string[]): string | undefined =>
    meta.fields?.find((f) => names.includes(f.trim().toLowerCase()));
  const lat = column(['latitude_deg', 'latitude', 'lat']);
  const lon = column(['longitude_deg', 'longitude', 'lon', 'lng']);
  if (!lat || !lon) return refused('This table has no columns of latitude and longitude.', 'foreign');
  const number = (value: unknown): unknown =>
    value === '' || value === undefined ? undefined : Number(value);
  return gather(
    data.map((row) => ({
      lat: row[lat],
      lon: row[lon],
      time: row.time,
      type: row.kind,
      name: row.name,
      cmt: typeof row.note === 'string' ? row.note.replace(/^'(?=[=+@])/, '') : row.note,
      errorM: number(row.within_m),
      depthM: number(row.depth_m),
      heightM: number(row.height_m),
    })),
    [],
  );
}
