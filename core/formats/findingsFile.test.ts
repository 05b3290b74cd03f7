import { parse } from 'papaparse';
import type { KeptMark } from '@/core/logbook';
import type { Finding } from '@/core/reading';
import { findingsCsv, findingsGeoJson, type FindingsOf } from './findingsFile';

const fish = {
  id: 1,
  kind: 'fish',
  shape: 'arch',
  fromPing: 3,
  toPing: 40,
  timeS: 12.34,
  rangeM: 8.123,
  depthM: [8, 8.123],
  heightM: 0.1,
  gapToBedM: 2.5,
  overBackgroundDb: 21.26,
  confidence: 0.973,
  lengthM: [0.2, 0.31, 0.5],
} as unknown as Finding;
const weed = { ...fish, id: 2, kind: 'cover', cover: 'weed', gapToBedM: null, timeS: 40 } as Finding;
const mark = { latitudeDeg: -47.3, longitudeDeg: -124.9 } as KeptMark;
const of: FindingsOf = {
  title: 'Vessmere',
  simulated: true,
  beam: '200 kHz',
  reading: { findings: [fish, weed] },
  marks: [mark, mark],
  corrections: [{ change: 'renamed', timeS: 40, rangeM: 8.123, was: 'weed', is: 'brush' }],
};

it('findings are a table that comes back as it went', () => {
  const text = findingsCsv(of);
  expect(text.endsWith('\r\n')).toBe(true);
  const { data, errors } = parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(errors).toEqual([]);
  expect(data).toHaveLength(2);
  expect(data[0]).toMatchObject({
    number: '1',
    read_as: 'fish',
    range_m: '8.12',
    length_to_m: '0.5',
    user_says: '',
    latitude_deg: '-47.3',
    simulated: 'true',
  });
  expect(data[1]).toMatchObject({ read_as: 'weed', user_says: 'brush', length_to_m: '', over_bed_m: '' });
});

it('findings are points, longitude first, and say that they are simulated', () => {
  const geo = JSON.parse(findingsGeoJson(of)) as {
    source: string;
    features: { geometry: { coordinates: number[] }; properties: Record<string, unknown> }[];
  };
  expect(geo.source).toBe('simulated');
  expect(geo.features.map((f) => f.geometry.coordinates)).toEqual([
    [-124.9, -47.3],
    [-124.9, -47.3],
  ]);
  expect(geo.features[1]!.properties).toMatchObject({ number: 2, user_says: 'brush', simulated: true });
  const nowhere = JSON.parse(findingsGeoJson({ ...of, marks: [] })) as { features: { geometry: null }[] };
  expect(nowhere.features[0]!.geometry).toBeNull();
});
